/** Rules of what holds the top flat: breadboards, channels, slats, a frame. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../verdict/verdict";
import { closest } from "./governing";
import { LEAST_IN_GROOVE } from "./insets";
import type { MovementFacts } from "./rules";

/** @source common practice, save where said */
export const FLAT_LIMITS = {
  clearance: 0.5,
  proud: 4,
  shy: 0.2,
  endGap: 10,
  drawOffset: { low: 0.8, high: 1.6 },
  tongue: { low: 25, high: 40 },
  glued: 100,
  slatGap: { least: 3, good: 4, most: 12 },
  mitre: 0.3,
};
const TRAVEL = "Wood Handbook FPL-GTR-282, ch. 13, for the travel";
const round1 = (n: number) => Math.round(n * 10) / 10;
const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;

export const FLAT_RULES: ((facts: MovementFacts) => Verdict | null)[] = [
  pegs,
  pegsFit,
  endBoardLength,
  mortiseEnds,
  shoulder,
  tongueSize,
  channelSlots,
  channelEnds,
  slatGaps,
  slatScrews,
  panelInFrame,
  mitres,
];

function pegs({ piece, breadboards, top }: MovementFacts): Verdict | null {
  if (!breadboards || piece.form.breadboard.slots === "none") return null;
  const slotted = breadboards.pegs.filter((each) => !each.fixed);
  if (slotted.length === 0) return null;
  const short = (peg: (typeof slotted)[number]) =>
    Math.min(peg.room.wet - Math.max(0, peg.wet, peg.dry), peg.room.dry - Math.max(0, -peg.dry, -peg.wet));
  const worst = closest(slotted);
  const left = Math.min(...slotted.map(short));
  const wetFirst = worst.room.wet - worst.wet <= worst.room.dry + worst.dry;
  const month = wetFirst ? top.wet.name : top.dry.name;
  const level: Level = left < 0 ? "fix" : left < FLAT_LIMITS.clearance - 1e-9 ? "tight" : "holds";
  return verdict({
    id: "movement.pegs",
    stage: "movement",
    subject: slotted
      .filter((each) => short(each) < FLAT_LIMITS.clearance - 1e-9 || level === "holds")
      .map((each) => each.id),
    level,
    text:
      level === "fix"
        ? `Outer pegs will bind in ${month}`
        : level === "tight"
          ? `Outer pegs close to ${fine(left)} in ${month}`
          : "Pegs travel freely in their slots all year",
    why: `The outermost needs ${fine(Math.max(0, worst.wet))} toward the fixed peg for ${top.wet.name} and ${fine(Math.max(0, -worst.dry))} outward for ${top.dry.name}; its ${fine(worst.slot)} slot gives ${fine(worst.room.wet)} and ${fine(worst.room.dry)}.`,
    limit: round1(worst.need),
    actual: round1(worst.slot),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : [
            set("Cut each slot as long as it needs", ["form", "breadboard", "slots"], "computed"),
            // where a slot is long enough and only lies wrong, setting it off is all it takes
            ...(piece.form.breadboard.setOff ||
            !slotted.every(
              (peg) =>
                peg.slot >= piece.form.breadboard.peg + Math.max(0, peg.wet, peg.dry) + Math.max(0, -peg.dry, -peg.wet),
            )
              ? []
              : [set("Set the slots off to the side they travel", ["form", "breadboard", "setOff"], true)]),
          ],
  });
}

/** Pegs too near one another are not drilled, or the tongue splits: on a narrow top fewer fit than are asked for. */
function pegsFit({ piece, breadboards, slats, top }: MovementFacts): Verdict | null {
  // slats have one each
  if (!breadboards || slats) return null;
  const { pegs: asked, peg } = piece.form.breadboard;
  const fit = breadboards.pegs.length;
  return verdict({
    id: "movement.pegs-fit",
    stage: "movement",
    subject: breadboards.pegs.map((each) => each.id),
    level: fit < asked ? "tight" : "holds",
    text:
      fit < asked
        ? `Only ${fit} of ${asked} pegs fit across the tongue`
        : `${fit} peg${fit > 1 ? "s" : ""} fit across the tongue`,
    why: `Pegs of ${mm(peg)} want three of their own diameters from one to the next, on ${mm(top.width)} of panel.`,
    limit: asked,
    actual: fit,
    sense: "at least",
    unit: "pegs",
    remedies:
      fit < asked ? [set(`Use ${fit} peg${fit > 1 ? "s" : ""} an end`, ["form", "breadboard", "pegs"], fit)] : [],
  });
}

function endBoardLength({ piece, breadboards, slats, top, at }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { dry, wet } = breadboards.proud;
  const { school } = piece.form.breadboard;
  const level: Level =
    wet < -FLAT_LIMITS.shy ? (wet < -2 ? "fix" : "tight") : dry > FLAT_LIMITS.proud ? "tight" : "holds";
  const flush = breadboards.flush.length ? ` Flush about ${breadboards.flush.slice(0, 2).join(" and ")}.` : "";
  return verdict({
    id: "movement.breadboard-length",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      wet < -FLAT_LIMITS.shy
        ? `The panel stands ${fine(-wet)} past its breadboards in ${top.wet.name}`
        : `Breadboards stand ${fine(Math.max(0, dry))} proud in ${top.dry.name}`,
    why: `${school === "long" ? "Left long on purpose so that they are never shy" : school === "flush-today" ? "Flush on the day they were fitted" : "Flush in the middle of the year"}: ${fine(breadboards.length)} long against ${slats ? `${fine(at.top.width)} of slats` : `${fine(top.width)} of panel`} today.${flush}`,
    limit: FLAT_LIMITS.proud,
    actual: round1(Math.max(Math.abs(dry), Math.abs(wet))),
    sense: "at most",
    unit: "mm",
    source: "common practice: three schools",
    remedies:
      wet < -FLAT_LIMITS.shy
        ? [set("Leave them long", ["form", "breadboard", "school"], "long")]
        : dry > FLAT_LIMITS.proud && school === "long" && (dry - wet) / 2 <= FLAT_LIMITS.shy
          ? [set("Make them flush at mid-season", ["form", "breadboard", "school"], "flush-mid")]
          : [],
  });
}

function mortiseEnds({ piece, breadboards, slats, top }: MovementFacts): Verdict | null {
  // slats share one groove: their gaps are judged
  if (!breadboards || slats) return null;
  const { need, has } = breadboards.mortise;
  const level: Level = has < need ? "fix" : piece.form.breadboard.endGap < FLAT_LIMITS.endGap ? "tight" : "holds";
  const gap = Math.max(25, Math.ceil(need + 8));
  return verdict({
    id: "movement.mortise-ends",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      level === "fix"
        ? `The tongue meets the mortise's end in ${top.wet.name}`
        : level === "tight"
          ? "The mortise comes near the end of the board"
          : "The mortise has room at its ends",
    why: `The tongue's outer edge goes out ${fine(need)}; ${fine(has)} of mortise lies beyond it. About 25 mm keeps the slot hidden and the end strong.`,
    limit: Math.max(FLAT_LIMITS.endGap, round1(need)),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Keep ${gap} mm at each end`, ["form", "breadboard", "endGap"], gap)],
  });
}

function shoulder({ piece, breadboards, slats }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { drawOffset, glued } = piece.form.breadboard;
  const { low, high } = FLAT_LIMITS.drawOffset;
  const level: Level = drawOffset > high ? "fix" : drawOffset < low || glued > FLAT_LIMITS.glued ? "tight" : "holds";
  return verdict({
    id: "movement.draw",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      drawOffset > high
        ? `An offset of ${fine(drawOffset)} breaks pegs or tongue`
        : drawOffset < low
          ? "The shoulder is not drawn tight"
          : glued > FLAT_LIMITS.glued
            ? `${mm(glued)} glued across the grain is long`
            : `Pegs draw the shoulder by ${fine(drawOffset)}`,
    why: `Peg holes in the tongue stand ${low} to ${high} mm nearer the shoulder. ${slats ? `Glue the middle of each slat’s tongue, ${mm(Math.min(glued, slats.width / 3))} at most.` : `Glue ${mm(glued)} of tongue at the fixed peg; the other pegs are glued in the end board only.`}`,
    limit: drawOffset > high ? high : low,
    actual: drawOffset,
    sense: drawOffset > high ? "at most" : "at least",
    unit: "mm",
    remedies:
      drawOffset > high || drawOffset < low
        ? [set("Offset the holes by 1.2 mm", ["form", "breadboard", "drawOffset"], 1.2)]
        : glued > FLAT_LIMITS.glued
          ? [set("Glue 80 mm only", ["form", "breadboard", "glued"], 80)]
          : [],
  });
}

function tongueSize({ piece, breadboards, at }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { length, thickness } = breadboards.tongue;
  const share = thickness / at.top.thickness;
  const { low, high } = FLAT_LIMITS.tongue;
  const thick = share < 0.25 || share > 0.45;
  const level: Level =
    share > 0.6 || length < 12 || length > piece.form.breadboard.width - 15
      ? "fix"
      : thick || length < low || length > Math.max(high, 60)
        ? "tight"
        : "holds";
  return verdict({
    id: "movement.tongue",
    stage: "movement",
    subject: ["end-board"],
    level,
    text: `A tongue ${fine(thickness)} thick and ${mm(length)} long`,
    why: `A third of ${mm(at.top.thickness)} leaves the mortise its walls, ${fine((at.top.thickness - thickness) / 2)} now; ${low} to ${high} mm long, in an end board ${mm(piece.form.breadboard.width)} wide.`,
    limit: low,
    actual: length,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : thick
          ? [
              set(
                "Make it a third of the thickness",
                ["form", "breadboard", "thickness"],
                Math.round((at.top.thickness / 3) * 2) / 2,
              ),
            ]
          : [
              set("Make it 32 mm long", ["form", "breadboard", "tongue"], 32),
              ...(piece.form.breadboard.width < 70
                ? [set("Make the end boards 90 mm wide", ["form", "breadboard", "width"], 90)]
                : []),
            ],
  });
}

function channelSlots({ piece, stiffeners, top }: MovementFacts): Verdict | null {
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

function channelEnds({ piece, stiffeners, top }: MovementFacts): Verdict | null {
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

function slatGaps({ slats, top }: MovementFacts): Verdict | null {
  if (!slats) return null;
  const { dry, wet } = slats.gap;
  const { least, good, most } = FLAT_LIMITS.slatGap;
  const level: Level = wet < 1 ? "fix" : wet < good || dry > most ? "tight" : "holds";
  const gap =
    wet < good
      ? half(good + 0.5 + Math.max(0, top.wet.change))
      : half(Math.max(least, most - 0.5 + Math.min(0, top.dry.change)));
  return verdict({
    id: "movement.slat-gaps",
    stage: "movement",
    subject: ["slat"],
    level,
    text:
      wet < 0
        ? `Slats meet and push in ${top.wet.name}`
        : wet < good
          ? `Gaps close to ${fine(wet)} in ${top.wet.name}`
          : dry > most
            ? `Gaps open to ${fine(dry)} in ${top.dry.name}`
            : `Gaps run from ${fine(wet)} to ${fine(dry)}`,
    why: `Each ${mm(slats.width)} slat changes from ${fine(top.dry.change)} to ${fine(top.wet.change)}. Water wants ${good} mm to run through; over ${most} mm a finger or a heel goes in.`,
    limit: wet < good ? good : most,
    actual: round1(wet < good ? wet : dry),
    sense: wet < good ? "at least" : "at most",
    unit: "mm",
    source: "common practice: about 6 on the day",
    remedies: level === "holds" ? [] : [set(`Leave ${gap} mm between slats`, ["form", "slats", "gap"], gap)],
  });
}

function slatScrews({ piece, slats }: MovementFacts): Verdict | null {
  if (!slats) return null;
  const { need, has } = slats.screw;
  const level = piece.form.slats.screws === "one" ? "holds" : grade(has, "at least", need + 0.3, need);
  const clearance = Math.ceil((2 * need + 1) * 2) / 2;
  return verdict({
    id: "movement.slat-screws",
    stage: "movement",
    subject: ["slat"],
    level,
    text:
      piece.form.slats.screws === "one"
        ? "One screw across each slat lets it go both ways"
        : level === "holds"
          ? "Two screws a slat have room in their holes"
          : "Two screws hold a slat from moving",
    why:
      piece.form.slats.screws === "one"
        ? "Each slat moves about its own screws."
        : `Screws ${mm(piece.form.slats.screwSpread)} apart must give ${fine(need)} each; their holes give ${fine(has)}.`,
    limit: round1(need),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Drill holes ${clearance} mm over the screw`, ["form", "slats", "clearance"], clearance),
            set("Use one screw across each slat", ["form", "slats", "screws"], "one"),
          ],
  });
}

function panelInFrame({ piece, framed, top }: MovementFacts): Verdict | null {
  if (!framed || piece.form.frame.panel === "glued") return null;
  const { wet, dry } = framed.room;
  const level: Level =
    wet.has < wet.need || dry.left < 1
      ? "fix"
      : wet.has < wet.need + FLAT_LIMITS.clearance || dry.left < LEAST_IN_GROOVE
        ? "tight"
        : "holds";
  const gap = half(wet.need + 1);
  const groove = half(gap + LEAST_IN_GROOVE + 1 - Math.min(0, top.dry.change / 2));
  return verdict({
    id: "movement.panel",
    stage: "movement",
    subject: ["top"],
    level,
    text:
      wet.has < wet.need
        ? `The panel pushes its frame apart in ${top.wet.name}`
        : dry.left < 1
          ? `The panel drops out of its groove in ${top.dry.name}`
          : level === "tight"
            ? `The panel keeps ${fine(Math.min(wet.has - wet.need, dry.left))} to spare`
            : "The panel floats in its groove all year",
    why: `It goes ${fine(wet.need)} into each groove, which leaves ${fine(wet.has)} today; dry it keeps ${fine(dry.left)} of edge in.`,
    limit: round1(wet.need),
    actual: round1(wet.has),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Leave ${gap} mm in grooves ${groove} mm deep`,
              patches: [
                { path: ["form", "frame", "gap"], value: gap },
                { path: ["form", "frame", "groove"], value: groove },
              ],
            },
          ],
  });
}

function mitres({ piece, framed, top }: MovementFacts): Verdict | null {
  if (!framed || piece.form.frame.corners !== "mitred") return null;
  const worst = Math.max(framed.mitre.dry, framed.mitre.wet);
  return verdict({
    id: "movement.mitres",
    stage: "movement",
    subject: ["frame-long", "frame-end"],
    level: grade(worst, "at most", FLAT_LIMITS.mitre, 2 * FLAT_LIMITS.mitre),
    text: `Mitres open ${fine(worst)} in ${framed.mitre.dry > framed.mitre.wet ? top.dry.name : top.wet.name}`,
    why: `Each member changes ${fine(framed.mitre.dry > framed.mitre.wet ? framed.member.dry : framed.member.wet)} across its ${mm(piece.form.frame.width)}; a mitre shows that times 1.4, at the inside when dry, at the outside when wet.`,
    limit: FLAT_LIMITS.mitre,
    actual: Math.round(worst * 100) / 100,
    sense: "at most",
    unit: "mm",
    source: "derived: ε b √2",
    remedies:
      worst <= FLAT_LIMITS.mitre ? [] : [set("Tenon the frame's corners", ["form", "frame", "corners"], "tenoned")],
  });
}
