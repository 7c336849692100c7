/** What holds a top flat, fastens it and lets it move: each a choice with its sizes, kept while another is tried. */
import * as v from "valibot";
import { between, choice, count, distance, list, name, size, text } from "./fields";

/** A top is a field, what is at its ends, and what keeps it flat: each its own choice. */
export const FIELDS = ["solid", "stripes", "slats", "slabs"] as const;
export const ENDS = ["none", "breadboards", "frame"] as const;
export const STIFFENERS = ["none", "channels", "battens", "ring"] as const;
/** How each choice is called. */
export const TOP_NAMES = {
  field: { solid: "One panel", stripes: "Stripes", slats: "Slats", slabs: "Slabs" },
  ends: { none: "Nothing", breadboards: "Breadboards", frame: "A frame" },
  stiffener: { none: "Nothing", channels: "Steel channels", battens: "Battens", ring: "A ring" },
} as const;
export const FASTENINGS = ["button", "figure-8", "z-clip", "slotted", "oversized", "loose", "screwed"] as const;

/** Fields of the form: how the top is made. `slot` null: each slot as long as Movement asks. */
export const topConstructionFields = {
  field: choice("top's field", FIELDS),
  ends: choice("top's ends", ENDS),
  stiffener: choice("what keeps the top flat", STIFFENERS),
  breadboard: v.strictObject({
    width: size("breadboard width", 20, 300),
    joint: choice("breadboard joint", ["tongue", "loose-tenons"]),
    tongue: size("tongue length", 5, 120),
    thickness: v.nullable(size("tongue thickness", 2, 60)),
    pegs: count("pegs an end", 1, 15),
    peg: size("peg diameter", 3, 20),
    slots: choice("peg slots", ["computed", "given", "none"]),
    slot: size("slot length", 3, 80),
    setOff: v.boolean("Slots are set off or not."),
    drawOffset: distance("draw offset", 4),
    endGap: distance("gap at the mortise's ends", 80),
    school: choice("breadboard length", ["long", "flush-today", "flush-mid"]),
    glued: distance("glued length at the fixed peg", 400),
  }),
  channel: v.strictObject({
    count: count("channels", 1, 8),
    slot: size("channel slot", 4, 60),
    bolt: size("bolt", 3, 16),
    washer: size("washer", 4, 60),
    endRoom: distance("room at the channel's ends", 60),
    setOff: v.boolean("Slots are set off or not."),
  }),
  batten: v.strictObject({
    count: count("battens", 1, 6),
    width: size("batten width", 15, 200),
    thickness: size("batten thickness", 8, 80),
    screw: size("batten screw", 2, 12),
    slot: size("batten slot", 3, 60),
    setOff: v.boolean("Slots are set off or not."),
  }),
  slats: v.strictObject({
    count: count("slats", 2, 40),
    gap: distance("gap between slats", 40),
    screws: choice("screws across a slat", ["one", "two"]),
    screwSpread: size("distance of two screws", 5, 200),
    clearance: distance("clearance of a screw's hole", 10),
  }),
  stripes: v.optional(
    v.strictObject({
      /** how wide each stripe of the pattern is beside the others; each is a kind of part, with a wood of its own where it differs */
      shares: list("stripes of the pattern", between("share of a stripe", 0.1, 40), 4, 1),
      repeats: count("repeats of the pattern", 1, 20),
      /** the last strip is the pattern's first again, or its last */
      ends: choice("edges of the striped top", ["alike", "as-they-come"]),
      /** gluings before the last seams; null: as few as planer and open time allow */
      sections: v.nullable(count("sections of the striped top", 1, 12)),
    }),
    { shares: [3, 1], repeats: 5, ends: "alike", sections: null },
  ),
  frame: v.strictObject({
    width: size("frame width", 20, 250),
    corners: choice("frame corners", ["tenoned", "mitred"]),
    groove: size("groove depth", 2, 60),
    gap: distance("gap in the groove on the day", 40),
    panel: choice("panel held", ["floating", "glued"]),
  }),
};

/** Fields of the joints: how the top is fastened to its base. */
export const fasteningFields = {
  fastening: choice("top fastening", FASTENINGS),
  figure8: v.strictObject({
    centres: size("plate's centre distance", 5, 80),
    swing: between("recess lets it swing", 0, 80, "°"),
    /** how they lie on what runs along the top's grain */
    lengthwise: choice("plates along the grain", ["along", "across"]),
  }),
  zClip: v.strictObject({ groove: size("clip groove depth", 2, 40), engaged: size("clip engaged", 1, 40) }),
  slotted: v.strictObject({
    slot: size("slot", 3, 80),
    screw: size("screw", 2, 16),
    setOff: v.boolean("Slots are set off or not."),
  }),
  oversized: v.strictObject({
    hole: size("hole", 3, 60),
    screw: size("screw", 2, 16),
    washer: size("washer", 4, 80),
    setOff: v.boolean("Holes are set off or not."),
  }),
  loose: v.strictObject({ gap: distance("gap at the tabs on the day", 60) }),
};

const box = {
  id: text("id", 60),
  name: name("name"),
  width: size("opening width", 50, 3000),
  height: size("opening height", 30, 2500),
};

/** Something that sits in an opening and moves there. `gap` is what is left on the day, mm: at each long edge of a panel or door, above a drawer. */
export const insetSchema = v.variant(
  "kind",
  [
    v.strictObject({ kind: v.literal("drawer"), ...box, gap: distance("gap above the drawer", 40) }),
    v.strictObject({
      kind: v.literal("door"),
      ...box,
      gap: distance("gap of the door", 40),
      build: choice("door", ["framed", "solid"]),
      stile: size("stile", 15, 300),
    }),
    v.strictObject({
      kind: v.literal("panel"),
      ...box,
      gap: distance("gap in the groove", 40),
      groove: size("groove depth", 2, 60),
      thickness: size("panel thickness", 3, 80),
    }),
  ],
  "An inset must be one of: drawer, door, panel.",
);

export type TopChoices = v.InferOutput<v.StrictObjectSchema<typeof topConstructionFields, undefined>>;
export type FasteningChoices = v.InferOutput<v.StrictObjectSchema<typeof fasteningFields, undefined>>;

/** @source common practice */
export const USUAL_TOP: TopChoices = {
  field: "solid",
  ends: "none",
  stiffener: "none",
  breadboard: {
    width: 90,
    joint: "tongue",
    tongue: 32,
    thickness: null,
    pegs: 5,
    peg: 10,
    slots: "computed",
    slot: 14,
    setOff: true,
    drawOffset: 1.2,
    endGap: 25,
    school: "long",
    glued: 80,
  },
  channel: { count: 3, slot: 18, bolt: 6, washer: 25, endRoom: 10, setOff: false },
  batten: { count: 2, width: 60, thickness: 25, screw: 5, slot: 16, setOff: false },
  slats: { count: 5, gap: 6, screws: "one", screwSpread: 40, clearance: 2 },
  stripes: { shares: [3, 1], repeats: 5, ends: "alike", sections: null },
  frame: { width: 80, corners: "tenoned", groove: 14, gap: 5, panel: "floating" },
};

/** @source common practice */
export const USUAL_FASTENING: FasteningChoices = {
  fastening: "button",
  figure8: { centres: 20, swing: 40, lengthwise: "along" },
  zClip: { groove: 11, engaged: 6 },
  slotted: { slot: 20, screw: 5, setOff: true },
  oversized: { hole: 10, screw: 5, washer: 20, setOff: false },
  loose: { gap: 6 },
};
