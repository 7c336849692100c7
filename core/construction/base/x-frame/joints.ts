import { BlindTenon, blindTenon, Meets, TENON } from "../../../joinery/blind-tenon";
import { levelHead } from "../../../joinery/level-head";
import { halfLap } from "../../../joinery/half-lap";
import type { KindOfJoint } from "../../../joinery/kinds";
import { ThroughTenon, throughTenon } from "../../../joinery/through-tenon";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { mm } from "../../../verdict/verdict";
import type { XFrame } from "./place";

/** Two tenons that come at each other stay so far apart, mm. @source common practice */
const APART = 4;
/** Loose tenons hold the heads: a tenon cut on them would stand across their grain. */
const HEADS: TenonChoice = { ...USUAL_TENON, kind: "loose" };

/** The joints of X frames, a group at a time. */
export function xFrameJoints(at: XFrame, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const { strip, lean, bearer, stretcher, frames, bays } = at;
  const meets = (receives: string, enters: string, name: string, count: number): Meets => {
    const group = `${receives}+${enters}`;
    return { id: group, group, name, receives, enters, count };
  };
  const set = (group: string, usual: TenonChoice) => choices.groups[group] ?? usual;
  const lap = halfLap({
    meets: meets("x-leg", "x-leg", "Leg across leg", frames.length),
    ...{ width: strip.width, thickness: strip.thickness, angle: 180 - 2 * lean.degrees },
    set: setOut(at),
  });
  const head = meets("bearer", "x-leg", "Leg to bearer", 2 * frames.length);
  const out: KindOfJoint[] = [
    lap,
    levelHead({
      ...{ meets: head, setting: set(head.group, HEADS), shop, level: lean.level, thickness: strip.thickness },
      into: { depth: bearer.height, thickness: bearer.thickness },
      lean: 90 - lean.degrees,
    }),
  ];
  if (!stretcher) return out;
  const section = { width: stretcher.depth, thickness: stretcher.thickness };
  if (form.xFrame.stretcher.kind === "heads") {
    const who = meets("bearer", "stretcher", "Stretcher to bearer", 2 * bays.length);
    out.push(
      blindTenon({
        meets: who,
        section,
        into: { depth: bearer.thickness, thickness: bearer.height },
        ...{ setting: set(who.group, USUAL_TENON), shop },
        most: frames.length > 2 ? bearer.thickness / 2 - APART / 2 - TENON.mortiseDeeper : undefined,
      }),
    );
    return out;
  }
  const who = meets("x-leg", "stretcher", "Stretcher through the crossing", 2);
  out.push(
    inCrossing(
      at,
      throughTenon({
        meets: who,
        section: { width: stretcher.depth, thickness: stretcher.thickness },
        into: { depth: strip.thickness, thickness: stretcher.thickness },
        ...{ proud: form.xFrame.stretcher.proud, wedged: true },
        thickness: set(who.group, USUAL_TENON).thickness,
        shop,
      }),
    ),
  );
  if (bays.length > 1) {
    const middle = meets("middle-x-leg", "stretcher", "Stretcher to the middle crossing", 2);
    out.push(
      inCrossing(
        at,
        blindTenon({
          meets: middle,
          section,
          into: { depth: strip.thickness, thickness: stretcher.thickness },
          ...{ setting: set(middle.group, USUAL_TENON), shop },
          most: strip.thickness / 2 - APART / 2 - TENON.mortiseDeeper,
        }),
      ),
    );
  }
  return out;
}

/** A mortise where two strips cross is held against the nearer edge of both. */
function inCrossing<J extends ThroughTenon | BlindTenon>({ strip, lean }: XFrame, joint: J): J {
  const { thickness } = joint;
  const reach = (joint.tenonWidth / 2) * Math.abs(lean.cos) + (thickness / 2) * lean.sin;
  return {
    ...joint,
    walls: [
      ...joint.walls.filter(({ where }) => where !== "beside the mortise"),
      {
        where: "between the mortise’s corner and the leg’s edge",
        ...{ left: strip.width / 2 - reach, good: TENON.wall, least: TENON.wallLeast },
      },
    ],
  };
}

/** What is drawn full size before anything is cut. */
function setOut({ lean, floor, head, bearer }: XFrame) {
  return [
    {
      what: "Drawn full size: two level lines, a middle line, half the spread to each side",
      setting: `${mm(bearer.from)} apart; ${mm(floor / 2)} below, ${mm(head / 2)} above`,
    },
    { what: "Lean, from the floor", setting: `${lean.degrees.toFixed(1)}°` },
    { what: "Level cuts at foot and head, from square", setting: `${(90 - lean.degrees).toFixed(1)}°, parallel` },
    { what: "Long point to long point, over both ends", setting: mm(lean.length) },
    { what: "Middle of the lap, from the foot’s long point along the strip", setting: mm(lean.toCrossing) },
    { what: "They cross, over the floor", setting: mm(lean.crossing) },
  ];
}
