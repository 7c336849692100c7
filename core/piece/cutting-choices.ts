/** What is chosen and done with the boards: where parts are cut, what has been sawn, the top's outline, the glue-ups that were run. */
import * as v from "valibot";
import { boardSchema } from "../stock/board";
import { between, choice, date, distance, list, name, size, text } from "./fields";

const mark = (field: string) => text(field, 40);

/** A section at its place on a board, its pieces lane by lane; see the search. */
const sectionSchema = v.strictObject({
  board: mark("board"),
  x: distance("section place", 12000),
  y: distance("section place", 12000),
  length: size("section length", 10, 12000),
  lanes: list(
    "lanes of a section",
    v.strictObject({ width: size("lane width", 5, 1200), pieces: list("pieces of a lane", mark("piece"), 12, 1) }),
    12,
    1,
  ),
});

/** What was sawn from a board, as it was before, and the offcuts that went back on the rack. */
const sawnSchema = v.strictObject({
  board: boardSchema,
  on: date("day it was sawn"),
  strip: v.nullable(
    v.strictObject({
      x: distance("strip place", 12000),
      y: distance("strip place", 12000),
      length: size("strip length", 10, 12000),
      width: size("strip width", 5, 1200),
    }),
  ),
  sections: list("sections sawn from a board", sectionSchema, 60),
  offcuts: v.pipe(v.array(boardSchema), v.maxLength(40, "A board leaves 40 offcuts at most.")),
});

/** Fields of the cutting plan. `sections` empty: Taller lays the pieces out itself. */
export const cuttingSchema = v.strictObject({
  sequence: choice("sawing sequence", ["least-waste", "crosscut-first", "rip-first"]),
  sections: v.pipe(v.array(sectionSchema), v.maxLength(400, "A cutting plan holds 400 sections at most.")),
  /** `piece` comes from the board that `as` comes from */
  matches: v.pipe(
    v.array(v.strictObject({ piece: mark("matched piece"), as: mark("piece it matches") })),
    v.maxLength(200, "200 matches at most."),
  ),
  sawn: v.pipe(v.array(sawnSchema), v.maxLength(200, "200 boards at most.")),
  spoiled: v.pipe(
    v.array(
      v.strictObject({
        piece: mark("spoiled piece"),
        board: mark("board"),
        on: date("day"),
        why: text("what went wrong", 200),
      }),
    ),
    v.maxLength(200, "200 spoiled pieces at most."),
  ),
  ticked: v.pipe(v.array(text("card", 80)), v.maxLength(1000, "1000 ticks at most.")),
});

/** Lines and arcs of one outline. Ours */
export const MOST_POINTS = 120;

/** The finished shape of the top within its length and width. `bulge`: how much narrower the ends of soft sides are; `notch`: cut out at each corner. */
export const outlineFields = {
  outline: choice("outline", ["rectangle", "ellipse", "soft", "notched", "points"]),
  bulge: distance("bulge of the sides", 400),
  notch: v.strictObject({ length: distance("notch length", 600), width: distance("notch width", 600) }),
  /** of an outline by points, in the order in which it is sawn; each with how far the line to the next one bows outward, going anticlockwise */
  points: v.optional(
    list(
      "points of the outline",
      v.strictObject({
        x: between("place of a point", -3000, 3000, " mm"),
        y: between("place of a point", -1250, 1250, " mm"),
        rise: between("rise of an arc", -1500, 1500, " mm"),
      }),
      MOST_POINTS,
    ),
    [],
  ),
  /** those points were scribed so far round what the top lies on */
  around: v.optional(v.nullable(distance("how far the outline runs round what is below", 400)), null),
  /** x and y of its middle, from the middle of the top */
  /** let into the upper face: each kind with its own wood, at so many places from the middle; turned from the top's grain, degrees */
  inlays: v.optional(
    list(
      "inlays",
      v.strictObject({
        name: name("inlay"),
        shape: choice("shape of the inlay", ["key", "plug", "patch", "lozenge"]),
        length: size("length of the inlay", 5, 600),
        width: size("width of the inlay", 5, 600),
        deep: size("depth of the inlay", 1, 60),
        turn: between("turn of the inlay", -180, 180, "°"),
        places: list(
          "places of the inlay",
          v.strictObject({
            x: between("place of an inlay", -3000, 3000, " mm"),
            y: between("place of an inlay", -1250, 1250, " mm"),
          }),
          24,
          1,
        ),
      }),
      12,
    ),
    [],
  ),
  cutouts: v.pipe(
    v.array(
      v.strictObject({
        name: name("name of the cut-out"),
        x: between("place of the cut-out", -3000, 3000, " mm"),
        y: between("place of the cut-out", -1250, 1250, " mm"),
        length: size("cut-out length", 5, 3000),
        width: size("cut-out width", 5, 2000),
      }),
    ),
    v.maxLength(20, "20 cut-outs at most."),
  ),
};

const moment = (field: string) =>
  v.pipe(text(field, 40), v.isoTimestamp(`${field} must be a moment such as 2027-03-31T14:05:00Z.`));

/** A glue-up as it was run, with the moment each thing was done; null while it is open. */
export const glueRunSchema = v.strictObject({
  stage: mark("stage"),
  people: v.pipe(
    v.number("People must be a number."),
    v.integer("People must be a whole number."),
    v.minValue(1, "At least one person."),
    v.maxValue(4, "Four people at most."),
  ),
  started: moment("Start"),
  clamped: v.nullable(moment("Clamps on")),
  scraped: v.nullable(moment("Scraped")),
  unclamped: v.nullable(moment("Clamps off")),
  machined: v.nullable(moment("First machining")),
});

/** What these begin with: a rectangle, nothing sawn, no glue-up run. */
export const USUAL_OUTLINE = {
  outline: "rectangle" as const,
  bulge: 60,
  notch: { length: 80, width: 80 },
  points: [],
  around: null,
  inlays: [],
  cutouts: [],
};
export const freshCutting = () => ({
  sequence: "least-waste" as const,
  sections: [],
  matches: [],
  sawn: [],
  spoiled: [],
  ticked: [],
});
