/** The record that is stored for a piece: choices and measurements only. Everything else is derived from it. */
import * as v from "valibot";
import { MAKES } from "../assembly/sort";
import { thingsField, USES } from "./brief-choices";
import { BASES, LEG_TOPS, lowFields, shelfFields, tenonSettingSchema, trestleFields, xFields } from "./base-choices";
import { climateSchema } from "./climate";
import { cuttingSchema, glueRunSchema, outlineFields } from "./cutting-choices";
import { FINISHES, kindSchema } from "./kinds";
import { fasteningFields, insetSchema, topConstructionFields } from "./movement-choices";
import { boxFields } from "./box-choices";
import { caseFields } from "./case-choices";
import { dovetailFields } from "./dovetail-choices";
import { MOST_TIMES } from "./most-times";
import { NO_OWN, ownSchema } from "./own-choices";
import { dropFields } from "./drop-choices";
import { turnFields } from "./turn-choices";
import { facingFields } from "./facing-choices";
import { hatchFields } from "./hatch-choices";
import { sheetFields } from "./sheet-choices";
import { feetFields } from "./feet-choices";
import { partingFields } from "./parting-choices";
import { ringFields } from "./ring-choices";
import { slabFields } from "./slab-choices";
import { standingFields } from "./standing-choices";
import { between, choice, count, date, distance, list, moisture, name, size, text } from "./fields";

export const PIECE_FORMAT = "taller-piece";
export const PIECE_VERSION = 4;

const briefSchema = v.strictObject({
  room: v.strictObject({
    length: size("room length", 500, 30000),
    width: size("room width", 500, 30000),
    height: size("room height", 1500, 12000),
  }),
  seats: v.strictObject({ daily: count("seats daily", 1, 40), most: count("seats at most", 1, 40) }),
  seating: choice("seating", ["chairs", "bench"]),
  place: choice("place", ["indoors", "porch"]),
  climate: climateSchema,
  topHeight: size("top height", 150, 2400),
  match: text("what it must match"),
  deadline: v.nullable(date("deadline")),
  ...thingsField,
});

const formSchema = v.strictObject({
  kind: choice("construction", BASES),
  use: choice("use", USES),
  top: v.strictObject({
    length: size("top length", 200, 6000),
    width: size("top width", 60, 2500),
    thickness: size("top thickness", 6, 150),
    edge: v.strictObject({
      kind: choice("top edge", ["square", "eased", "rounded", "bevel-below"]),
      size: distance("top edge size", 400),
      /** of a bevel below: what is left at the rim, and its angle from the underside in place of how far in it begins */
      rim: v.optional(v.nullable(size("thickness left at the rim", 2, 150)), null),
      angle: v.optional(v.nullable(between("angle of the bevel below", 3, 80, "°")), null),
    }),
    ...outlineFields,
  }),
  overhang: v.strictObject({ end: distance("end overhang", 1500), side: distance("side overhang", 800) }),
  height: size("height", 150, 2400),
  leg: v.strictObject({
    section: size("leg section", 15, 300),
    across: v.nullable(size("leg section across the top", 15, 300)),
    taper: choice("taper", ["none", "two-faces", "four-faces", "turned"]),
    foot: size("leg foot", 10, 300),
    make: choice("leg making", MAKES),
    top: choice("where legs end", LEG_TOPS),
    gap: distance("gap beside a leg in its notch", 40),
  }),
  apron: v.strictObject({
    depth: size("apron depth", 20, 400),
    thickness: size("apron thickness", 6, 100),
    reveal: distance("reveal", 100),
    arch: distance("arch below the rails", 200),
  }),
  ...lowFields,
  crossRails: count("cross-rails", 0, 6),
  middleLegs: v.optional(v.boolean("Middle legs are there or not."), false),
  cornerBlocks: v.boolean("Corner blocks are there or not."),
  ...trestleFields,
  ...xFields,
  ...standingFields,
  ...caseFields,
  ...boxFields,
  ...shelfFields,
  ...feetFields,
  ...topConstructionFields,
  ...partingFields,
  ...dropFields,
  ...turnFields,
  ...slabFields,
  ...ringFields,
  ...facingFields,
  ...hatchFields,
  ...sheetFields,
});

const jointsSchema = v.strictObject({
  legRail: v.strictObject({
    kind: choice("leg joint", ["mortise-tenon", "loose-tenon", "dowels", "pockets"]),
    thickness: v.nullable(size("tenon thickness", 2, 60)),
    length: v.nullable(size("tenon length", 5, 250)),
    tenons: v.nullable(count("tenons a rail", 1, 6)),
    meeting: choice("where two tenons meet", ["mitred", "short"]),
    haunch: v.boolean("A haunch is there or not."),
  }),
  /** by group, such as "foot+post"; absent: the kind decides */
  groups: v.record(text("group of joints", 60), tenonSettingSchema),
  ...dovetailFields,
  buttons: v.strictObject({
    width: size("button width", 10, 80),
    tongue: size("button tongue", 3, 40),
    engaged: size("button engagement", 1, 40),
    grooveDepth: size("button groove depth", 3, 40),
    slotLength: size("button slot length", 10, 200),
    spacing: size("button spacing", 60, 1000),
  }),
  ...fasteningFields,
});

const strip = v.strictObject({
  board: text("board", 40),
  face: choice("face", ["bark-up", "bark-down"]),
  turned: v.boolean(),
  slide: distance("slide", 12000),
  width: v.nullable(size("strip width", 5, 1000)),
});

const panelSchema = v.strictObject({
  strips: v.pipe(v.array(strip), v.maxLength(40, "A panel holds 40 strips at most.")),
  pinned: list("pinned boards", text("board", 40), 200),
  banned: list("banned boards", text("board", 40), 1000),
  crosscutFirst: v.boolean(),
  /** light passes over an upper face that stays as it was sawn; null where it is planed */
  sawnFace: v.optional(v.nullable(count("light passes over the sawn face", 0, 6)), null),
});

/** `what` is the top, or the id of a board; a meter's raw reading is kept beside the value it was corrected to. */
const logEntry = v.variant("kind", [
  v.strictObject({ kind: v.literal("note"), id: text("id", 60), on: date("date"), text: text("note", 4000) }),
  v.strictObject({
    kind: v.literal("mistake"),
    id: text("id", 60),
    on: date("date"),
    text: text("mistake", 4000),
    cost: text("cost", 200),
  }),
  v.strictObject({
    kind: v.literal("moisture"),
    id: text("id", 60),
    on: date("date"),
    value: moisture("moisture reading"),
    text: text("note", 400),
    what: text("what was measured", 40),
    meter: v.nullable(
      v.strictObject({
        reading: moisture("meter reading"),
        temperature: between("wood temperature", -20, 60, " °C"),
        offset: between("species offset", -10, 10, " %"),
      }),
    ),
  }),
  v.strictObject({
    kind: v.literal("width"),
    id: text("id", 60),
    on: date("date"),
    value: size("width reading", 5, 2500),
    text: text("note", 400),
    what: text("what was measured", 40),
    moisture: v.nullable(moisture("moisture beside the width")),
  }),
  v.strictObject({
    kind: v.literal("air"),
    id: text("id", 60),
    on: date("date"),
    value: between("relative humidity", 1, 99, " %"),
    temperature: between("temperature", -40, 60, " °C"),
    text: text("note", 400),
  }),
]);

export const pieceSchema = v.strictObject({
  format: v.literal(PIECE_FORMAT, "This is not a Taller piece: its format must be “taller-piece”."),
  version: v.literal(PIECE_VERSION, `This version of Taller reads pieces of version ${PIECE_VERSION}.`),
  name: name("name"),
  commission: text("commission", 120),
  /** made so many times, all alike */
  times: v.optional(count("pieces made alike", 1, MOST_TIMES), 1),
  day: date("day of the build"),
  species: text("species", 60),
  moisture: v.strictObject({ value: moisture("measured moisture"), on: date("day it was measured") }),
  brief: briefSchema,
  form: formSchema,
  joints: jointsSchema,
  choices: v.strictObject({
    rings: choice("ring order", ["alternate", "best-face"]),
    fixedLine: choice("fixed line", ["centre", "front-edge", "back-edge"]),
    edges: choice("edges", ["jointer", "folded-pairs", "track-saw"]),
    stages: choice("glue-up stages", ["all-at-once", "halves"]),
    alignment: choice("alignment", ["none", "loose-tenons", "dowels", "biscuits"]),
    squeezeOut: choice("squeeze-out", ["scrape-rubbery", "wipe-wet", "scrape-dry"]),
    /** legs are sawn to length at once, or stay long at the foot until the base stands */
    legs: v.optional(choice("legs", ["left-long", "to-length"]), "left-long"),
  }),
  /** what is composed from boards: the top, and whatever else is a panel, by its name */
  panels: v.objectWithRest({ top: panelSchema }, panelSchema),
  cutting: cuttingSchema,
  glueUp: v.strictObject({
    adhesive: text("adhesive", 40),
    hands: count("hands", 1, 4),
    runs: v.pipe(v.array(glueRunSchema), v.maxLength(60, "60 glue-ups at most.")),
  }),
  finish: choice("finish", FINISHES),
  /** parts of the maker's own, beside the construction's */
  own: v.optional(ownSchema, NO_OWN),
  /** by kind of part, where it differs from the piece */
  kinds: v.record(text("kind of part", 60), kindSchema),
  faces: v.strictObject({
    below: choice("finish below", ["alike", "one-coat", "bare"]),
    sun: choice("above the top", ["room", "sun"]),
    heater: choice("below the top", ["room", "heater"]),
  }),
  delivery: v.nullable(date("day of delivery")),
  insets: v.pipe(v.array(insetSchema), v.maxLength(40, "A piece holds 40 drawers, doors and panels at most.")),
  fitted: v.pipe(
    v.array(
      v.strictObject({
        what: text("what was measured", 40),
        coefficient: between("coefficient", 0.0002, 0.008, " per percent"),
        uncertainty: between("uncertainty", 0, 0.01),
        on: date("date"),
      }),
    ),
    v.maxLength(60, "60 fitted coefficients at most."),
  ),
  asBuilt: list(
    "measured sizes",
    v.strictObject({
      part: text("part", 60),
      dimension: choice("dimension", ["length", "width", "thickness"]),
      value: size("measured size", 1, 6000),
      on: date("date"),
    }),
    400,
  ),
  log: v.pipe(v.array(logEntry), v.maxLength(2000, "The log holds 2000 entries at most.")),
  done: list("steps done", text("step", 80), 400),
});

export type Piece = v.InferOutput<typeof pieceSchema>;
export type Brief = Piece["brief"];
export type Form = Piece["form"];
export type JointChoices = Piece["joints"];
export type PanelChoice = v.InferOutput<typeof panelSchema>;
export type Strip = PanelChoice["strips"][number];
export type LogEntry = Piece["log"][number];
export type AsBuilt = Piece["asBuilt"][number];
export type Inset = Piece["insets"][number];
export type Cutting = Piece["cutting"];
export type Sawn = Cutting["sawn"][number];
export type GlueRun = Piece["glueUp"]["runs"][number];
