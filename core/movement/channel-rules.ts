/** Rules of channels and battens: their slots, and their ends in the top. */
import { fine, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { FLAT_LIMITS, TRAVEL } from "./flat-limits";
import type { MovementFacts } from "./movement-facts";

export function channelSlots({ piece, stiffeners, top }: MovementFacts): Verdict | null {
  if (!stiffeners) return null;
  const moving = stiffeners.bolts.filter((each) => !each.fixed);
  const steel = stiffeners.kind === "channels";
  const said = steel
    ? { one: "bolt", many: "Bolts of the channel", each: "channel", all: "channels" }
    : { one: "screw", many: "Screws of the battens", each: "batten", all: "battens" };
  const group = steel ? "channel" : "batten";
  const { slot: has, bolt: size } = steel
    ? piece.form.channel
    : { slot: piece.form.batten.slot, bolt: piece.form.batten.screw };
  if (moving.length === 0)
    return verdict({
      id: "movement.channel-slots",
      stage: "movement",
      subject: ["top"],
      level: "fix",
      text: `One ${said.one} a ${said.each} can't hold the top flat`,
      why: `Across ${mm(top.width)} no second ${said.one} fits in from the edge. A top this narrow needs no ${said.each}.`,
      remedies: [set(`Leave the ${said.all} out`, ["form", "stiffener"], "none")],
    });
  const short = (bolt: (typeof moving)[number]) =>
    Math.min(bolt.room.wet - Math.max(0, bolt.wet), bolt.room.dry + Math.min(0, bolt.dry));
  const worst = moving.reduce((a, b) => (short(b) < short(a) ? b : a));
  const left = short(worst);
  const slot = Math.ceil(size + 2 * Math.max(Math.abs(worst.dry), Math.abs(worst.wet)) + 1);
  const level: Level = left < 0 ? "fix" : left < FLAT_LIMITS.clearance ? "tight" : "holds";
  return verdict({
    id: "movement.channel-slots",
    stage: "movement",
    subject: ["top"],
    level,
    text:
      level === "fix"
        ? `${said.many} bind in ${worst.room.wet - worst.wet < worst.room.dry + worst.dry ? top.wet.name : top.dry.name}`
        : level === "tight"
          ? `${said.many} close to ${fine(left)}`
          : `${said.many} slide all year`,
    why: `The outer ones go out ${fine(Math.max(0, worst.wet))} and in ${fine(Math.max(0, -worst.dry))}; a ${fine(has)} slot for a ${fine(size)} ${said.one} gives ${fine(worst.room.wet)} and ${fine(worst.room.dry)}.`,
    limit: round1(worst.need),
    actual: has,
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" ? [] : [set(`${steel ? "Order" : "Cut"} slots of ${slot} mm`, ["form", group, "slot"], slot)],
  });
}

export function channelEnds({ piece, stiffeners, top }: MovementFacts): Verdict | null {
  if (!stiffeners?.ends) return null;
  const { need, has } = stiffeners.ends;
  const broad = piece.form.channel.washer >= piece.form.channel.slot * 0.6 + piece.form.channel.bolt;
  const level: Level = has < need ? "fix" : has < need + 1 || !broad ? "tight" : "holds";
  const room = Math.ceil(need + 3);
  return verdict({
    id: "movement.channel-ends",
    stage: "movement",
    subject: ["top"],
    level,
    text:
      has < need
        ? `The groove closes on the steel in ${top.dry.name}`
        : !broad
          ? "The washer hardly bridges its slot"
          : `The groove keeps ${fine(has - need)} beyond the steel at its least`,
    why: `Steel ${mm(stiffeners.length)} long in a groove of ${mm(stiffeners.groove)}; each end of the groove comes in ${fine(need)} when the top is dry. A ${mm(piece.form.channel.washer)} washer over a ${fine(piece.form.channel.slot)} slot.`,
    limit: round1(need),
    actual: has,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            !broad && has >= need + 1
              ? set(
                  `Use ${Math.ceil(piece.form.channel.slot * 0.6 + piece.form.channel.bolt)} mm washers`,
                  ["form", "channel", "washer"],
                  Math.ceil(piece.form.channel.slot * 0.6 + piece.form.channel.bolt),
                )
              : set(`Leave ${room} mm at each end`, ["form", "channel", "endRoom"], room),
          ],
  });
}
