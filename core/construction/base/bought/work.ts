import { fieldKinds } from "../../../steps/slabs";
import { stepOf as step } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import type { Bought } from "./stand";
import { tubesOf } from "./welded";

const SAID = {
  frames: "frames",
  hairpins: "legs",
  pedestal: "pedestal",
  lift: "lifting frame",
  welded: "welded frame",
};
const COATED = { raw: "left raw and oiled against rust", waxed: "brushed and waxed", powder: "powder coated" };
/** Hours of a week, for what is waited for. */
const WEEK = 7 * 24;

/** The order round bought legs: ordered first, measured when they come, the top drilled from them, bolted on last. */
export function boughtWork({ form, at, joints, choices: holding }: WorkFacts<Bought>): BaseWork {
  const { choices, stands } = at;
  const said = SAID[choices.kind];
  const [joint] = joints;
  const { welded } = at;
  const weeks = choices.weeks + (welded ? choices.welded.coatingWeeks : 0);
  const holes = joint?.kind === "bolted" ? joint.holes.length * stands.length : 0;
  return {
    steps: [
      step({
        id: "order-bought",
        title: welded ? "Have the frame welded" : `Order the ${said}`,
        detail: welded
          ? `By its drawing, from square tube of ${mm(welded.bar)}: ${tubesOf(welded)
              .map(
                ({ what, count, length, mitred }) =>
                  `${what.toLowerCase()} ${count} of ${mm(length)}${mitred ? ", mitred" : ""}`,
              )
              .join(
                "; ",
              )}. ${welded.holes.length} ${holding.fastening === "slotted" ? `slots ${mm(holding.slotted.slot)} long across the grain of the top` : `holes of ${mm(holding.oversized.hole)}`} through each tube across, then it is ${COATED[choices.welded.coating]}${choices.welded.coatingWeeks > 0 ? `, ${choices.welded.coatingWeeks} week${choices.welded.coatingWeeks === 1 ? "" : "s"} more` : ""}: no hole after that.`
          : `${stands.length} by their drawing: ${mm(at.height)} high under plates of ${mm(choices.plate.length)} by ${mm(choices.plate.width)} by ${mm(choices.plate.thickness)}, slots across the grain, feet that can be levelled; coated when all is welded.`,
        parts: [],
        after: [],
        hours: 0.5,
        ...(weeks > 0 && !choices.measured ? { wait: weeks * WEEK, waitFor: `the ${said} to come` } : {}),
      }),
      step({
        id: "measure-bought",
        title: `Measure the ${said} that came`,
        detail:
          "Height, width over all, every hole from one edge, plates flat on a straightedge: typed in before anything is drilled.",
        parts: [],
        after: ["order-bought"],
        hours: 0.5,
        check: welded
          ? "It stands without a rock on the flat floor, its ring flat under a straightedge."
          : "Both stand at one height on the flat floor.",
      }),
    ],
    levelling: [
      step({
        id: "drill-top",
        title: choices.into === "inserts" ? "Drill the top and set the inserts" : "Drill the top for its screws",
        detail: `${holes} holes marked through the ${welded ? "tubes" : "plates"} where they will stand, each in the middle of its slot on the day; a stop on the drill.${choices.into === "inserts" ? " Inserts a hair below the face, square to it, glued with epoxy in soft wood." : ""}`,
        parts: fieldKinds(form, at.top),
        after: ["measure-bought", "sand-top"],
        hours: 0.5 + holes * 0.06,
        check: "Every bolt goes in by hand.",
        caution: "A drill without its stop comes through the face.",
      }),
    ],
    apart: ["measure-bought"],
    closing: "measure-bought",
    closed: ["measure-bought"],
    standing: ["drill-top"],
    attach: {
      title: "Bolt the top on",
      detail: `Upside down on blankets: in each row the bolt ${form.field === "slabs" ? "nearest each slab’s middle line" : "on the middle line"} tight, all others under broad washers, a turn loose in their slots.${choices.kind === "lift" ? " Cables with slack for the highest height." : ""}`,
      check: "Gap at each fastener as Movement gives it.",
    },
    seen: [],
  };
}
