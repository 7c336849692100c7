/** What stands below a top: each base a choice with its sizes, kept while another is tried. */
import { STICKS_OF } from "../assembly/sort";
import * as v from "valibot";
import { choice, count, distance, size } from "./fields";

export const BASES = [
  "leg-and-apron",
  "trestle",
  "x-frame",
  "splayed",
  "splayed-frame",
  "staked",
  "plank",
  "bent",
  "bought",
  "existing",
  "case",
  "box",
] as const;
export type BaseName = (typeof BASES)[number];

/** Where in the form a base keeps what no other reads. */
export const OWN_CHOICES = {
  trestle: "trestle",
  "x-frame": "xFrame",
  splayed: "splayed",
  "splayed-frame": "splayedFrame",
  staked: "staked",
  plank: "plank",
  bent: "bent",
  bought: "bought",
  existing: "existing",
  case: "case",
  box: "box",
} as const satisfies Partial<Record<BaseName, string>>;

const endChoice = (of: string) => choice(`${of}'s ends`, ["square", "bevelled", "rounded"]);
/** Thick stock: one stick, or leaves glued by their faces. */
const make = (of: string) => choice(`how a ${of} is made`, STICKS_OF);

/** Fields of the form: a trestle. Heights of the stretcher and the struts from the floor and the post's foot. */
export const trestleFields = {
  trestle: v.strictObject({
    ends: count("ends of the trestle", 2, 3),
    foot: v.strictObject({
      length: size("foot length", 60, 2500),
      height: size("foot height", 20, 300),
      thickness: size("foot thickness", 15, 300),
      relief: distance("foot relief", 150),
      ends: endChoice("foot"),
      cut: distance("foot end cut", 300),
      pads: v.boolean("Pads are there or not."),
      make: make("foot"),
    }),
    post: v.strictObject({
      count: count("posts an end", 1, 2),
      width: size("post width", 20, 500),
      thickness: size("post thickness", 15, 300),
      apart: size("distance of two posts", 20, 2000),
      make: make("post"),
    }),
    brace: v.strictObject({
      length: size("brace length", 60, 2500),
      height: size("brace height", 15, 250),
      thickness: size("brace thickness", 15, 300),
      ends: endChoice("brace"),
      cut: distance("brace end cut", 300),
    }),
    stretcher: v.strictObject({
      height: distance("stretcher height", 1200),
      depth: size("stretcher depth", 15, 400),
      thickness: size("stretcher thickness", 10, 200),
      arch: distance("stretcher arch", 200),
      joint: choice("stretcher joint", ["wedged", "through", "blind", "lagged"]),
      proud: distance("tenon proud", 80),
    }),
    struts: v.strictObject({
      joint: choice("struts", ["none", "tenoned", "shouldered"]),
      width: size("strut width", 15, 250),
      thickness: size("strut thickness", 10, 200),
      reach: size("strut reach", 30, 1000),
    }),
    ties: v.strictObject({
      count: choice("ties", ["none", "two"]),
      depth: size("tie depth", 15, 250),
      thickness: size("tie thickness", 10, 120),
      apart: size("distance of the ties", 20, 2000),
    }),
    uprights: count("uprights on the stretcher", 0, 4),
  }),
};

const xFrameSchema = v.strictObject({
  frames: count("X frames", 2, 3),
  width: size("leg width", 20, 300),
  thickness: size("leg thickness", 12, 200),
  /** from the top's sides to the outside of the feet and of the heads; a bearer's to its ends */
  inBelow: distance("set-in on the floor", 1200),
  inAbove: distance("set-in under the top", 1200),
  bearer: v.strictObject({
    setIn: distance("set-in of the bearer", 1200),
    height: size("bearer height", 15, 200),
    thickness: size("bearer thickness", 15, 200),
  }),
  stretcher: v.strictObject({
    kind: choice("stretcher", ["none", "crossing", "heads"]),
    depth: size("stretcher depth", 15, 400),
    thickness: size("stretcher thickness", 10, 200),
    proud: distance("tenon proud", 80),
  }),
  /** heads and feet are cut in one once the lap is glued, or before it */
  ends: choice("when feet and heads are cut", ["after-lap", "before"]),
});
export type XFrameChoices = v.InferOutput<typeof xFrameSchema>;

/** @source common practice */
export const USUAL_X: XFrameChoices = {
  ...{ frames: 2, width: 80, thickness: 45, inBelow: 75, inAbove: 120 },
  bearer: { setIn: 90, height: 45, thickness: 60 },
  stretcher: { kind: "crossing", depth: 70, thickness: 40, proud: 6 },
  ends: "after-lap",
};
/** Fields of the form: X frames. */
export const xFields = { xFrame: v.optional(xFrameSchema, USUAL_X) };

/** Legs end below the top, or run up through its notched corners and stand level with it. */
export const LEG_TOPS = ["under", "through"] as const;
/** Stretchers low between legs: none, from leg to leg all round, two at the ends with one between them, at the ends only. */
export const LOWS = ["none", "box", "h", "ends"] as const;

/** Fields of the form: stretchers low between legs. */
export const lowFields = {
  low: v.strictObject({
    kind: choice("low stretchers", LOWS),
    height: distance("height of the low stretchers", 1200),
    depth: size("low stretcher depth", 10, 200),
    thickness: size("low stretcher thickness", 8, 120),
  }),
};

/** Fields of the form: a low shelf, on a base's stretchers or let into its legs. */
export const shelfFields = {
  shelf: v.strictObject({
    kind: choice("shelf", ["none", "solid", "slats"]),
    height: distance("shelf height", 1200),
    width: size("shelf width", 40, 1500),
    thickness: size("shelf thickness", 6, 60),
    gap: distance("gap beside the shelf on the day", 20),
    slats: count("shelf slats", 2, 40),
    slatGap: distance("gap between the shelf's slats", 60),
  }),
};

/** A group of mortises and tenons as the maker sets it. */
export const tenonSettingSchema = v.strictObject({
  kind: choice("tenon", ["tenon", "loose", "dowels", "pockets"]),
  thickness: v.nullable(size("tenon thickness", 2, 100)),
  length: v.nullable(size("tenon length", 5, 300)),
  tenons: v.nullable(count("tenons side by side", 1, 6)),
  twin: v.boolean("Twin tenons or not."),
  pinned: v.boolean("Pinned or not."),
  foxed: v.optional(v.boolean("Foxed or not."), false),
});

export type TrestleChoices = v.InferOutput<(typeof trestleFields)["trestle"]>;
export type TenonChoice = v.InferOutput<typeof tenonSettingSchema>;

export type LowChoice = v.InferOutput<(typeof lowFields)["low"]>;
export type ShelfChoice = v.InferOutput<(typeof shelfFields)["shelf"]>;

/** @source common practice */
export const USUAL_LOW: LowChoice = { kind: "none", height: 120, depth: 45, thickness: 25 };
/** What legs and aprons begin with beside their sizes: square, below the top, straight rails. */
export const USUAL_LEG = { across: null, top: "under" as const, gap: 3 };

/** @source common practice */
export const USUAL_SHELF: ShelfChoice = {
  ...{ kind: "none", height: 180, width: 240, thickness: 20, gap: 3 },
  ...{ slats: 6, slatGap: 12 },
};

/** What a group begins with. */
export const USUAL_TENON: TenonChoice = {
  kind: "tenon",
  thickness: null,
  length: null,
  tenons: null,
  twin: false,
  pinned: false,
  foxed: false,
};

/** @source common practice */
export const USUAL_TRESTLE: TrestleChoices = {
  ends: 2,
  foot: { length: 700, height: 80, thickness: 64, relief: 12, ends: "bevelled", cut: 40, pads: false, make: "solid" },
  post: { count: 1, width: 150, thickness: 64, apart: 320, make: "laminated" },
  brace: { length: 700, height: 70, thickness: 64, ends: "bevelled", cut: 40 },
  stretcher: { height: 260, depth: 110, thickness: 40, arch: 0, joint: "wedged", proud: 6 },
  struts: { joint: "none", width: 60, thickness: 40, reach: 180 },
  ties: { count: "none", depth: 60, thickness: 30, apart: 420 },
  uprights: 0,
};
