/** Fields of the form: a case of solid boards, its openings and what they hold. */
import * as v from "valibot";
import { alcoveSchema } from "./alcove-choices";
import { between, choice, count, distance, list, size } from "./fields";
import { hangSchema, USUAL_HANG } from "./hang-choices";
import { MITRES } from "./mitre-choices";
import { legFrameSchema, USUAL_LEG_FRAME } from "./leg-frame-choices";

/**
 * What an opening holds: a drawer, or one from in front and one from behind that meet back to back; a door is hung on its left or on its
 * right, two meet in the middle.
 */
export const HOLDS = ["nothing", "drawer", "drawers-through", "door-left", "door-right", "doors"] as const;
/** Whether what it holds is drawn out. */
export const isDrawn = (holds: (typeof HOLDS)[number]) => holds === "drawer" || holds === "drawers-through";

/** What is below a case: its own sides, a plinth, a frame of legs, legs that are its corners, or nothing where it hangs on a wall. */
export const STANDS = ["sides", "plinth", "frame", "posts", "wall"] as const;

/** How a case ends above: its top lies on rails or on a board from side to side, or is the case's own upper board, joined to the sides at its corners. */
export const CORNERS = ["rails", "sub-top", "through", "half-blind", "mitred", "rebated", "butted"] as const;

export const BOTTOMS = ["let-in", "mitred"] as const;
export const RUNS_ON = ["runners", "slides", "hung"] as const;
/** Side-hung slides of steel as they are sold: half an inch a side. @source common practice */
const USUAL_SLIDES = { thick: 12.7, height: 45, length: null as number | null, load: 35 };
const USUAL_PULL = { kind: "none" as "none" | "knob" | "bar", centres: 128 };

/** Fronts come each from any board; those side by side from one; or all of them, as they stand above one another. */
export const FRONTS_FROM = ["apart", "row", "all"] as const;

const rowSchema = v.strictObject({
  /** null: an equal share of what is left */
  height: v.nullable(size("height of the opening", 20, 1500)),
  holds: choice("what the opening holds", HOLDS),
  /** on pins, evenly spread; none beside a drawer */
  shelves: v.optional(count("loose shelves", 0, 6), 0),
});
const baySchema = v.strictObject({
  /** null: an equal share of what is left */
  width: v.nullable(size("width of the bay", 30, 6000)),
  /** from above */
  rows: list("openings of the bay", rowSchema, 8, 1),
});

export const DOOR_BUILDS = ["framed", "battened"] as const;
/** What keeps an inset door shut, against a stop behind it; cup hinges close by themselves. */
export const LATCHES = ["none", "magnets", "ball"] as const;
export const DOOR_MOUNTS = ["inset", "overlay"] as const;
/** @source common practice */
const USUAL_DOORS = {
  ...{ thickness: 20, stile: 55, rail: 60, panelThickness: 10, groove: 10, free: 3, gap: 2 },
  panel: "solid" as "solid" | "sheet",
  mount: "inset" as "inset" | "overlay",
  build: "framed" as "framed" | "battened",
  batten: { width: 60, thickness: 18, slot: 12 },
  latch: "magnets" as "none" | "magnets" | "ball",
};

/** What closes a case behind: a sheet, boards that lap one another, a frame with panels. */
export const BACKS = ["none", "sheet", "boards", "framed"] as const;
/** @source common practice */
const USUAL_BACKS = {
  ...{ thickness: 14, board: 110, lap: 8, gap: 2 },
  ...{ stile: 60, rail: 60, panelThickness: 7, groove: 10, free: 3 },
};

const NO_SKIRTING = { height: 0, depth: 0 };

export const CASE_OF = ["solid", "plywood", "fibreboard"] as const;

const caseSchema = v.strictObject({
  /** sides, bottom, dividers and shelves: glued up from boards, or cut from sheets and lipped in front */
  of: v.optional(choice("what the case is of", CASE_OF), "solid"),
  lip: v.optional(size("thickness of lippings", 2, 40), 8),
  thickness: size("thickness of the sides", 8, 80),
  /** of bottom, dividers, shelves and drawer rails */
  inner: size("thickness of bottom and dividers", 6, 60),
  /** rails that bear the top, and those between drawers: across the piece, from front to back */
  rails: size("width of the rails", 20, 300),
  /** from the top's back edge to the case's back */
  behind: distance("overhang at the back", 300),
  /** of the bottom's underside above the floor */
  lift: distance("bottom above the floor", 2000),
  corners: v.optional(choice("corners of the case above", CORNERS), "rails"),
  mitre: v.optional(choice("what holds the mitres", MITRES), "spline"),
  /** under mitred sides: let in or dovetailed from below, or mitred too, so that the grain runs round all four */
  bottom: v.optional(choice("bottom of the case", BOTTOMS), "let-in"),
  /** on its own sides, on a plinth, or on a frame of legs: as high as the bottom lies */
  stands: v.optional(choice("what the case stands on", STANDS), "sides"),
  /** of the plinth behind the case's front */
  setBack: v.optional(distance("set-back of the plinth", 150), 40),
  frame: v.optional(legFrameSchema, USUAL_LEG_FRAME),
  /** square, from the floor to the top, flush with the sides inside */
  post: v.optional(size("thickness of the corner posts", 20, 120), 45),
  /** by what it hangs on the wall */
  hang: v.optional(hangSchema, USUAL_HANG),
  /** of the wall behind it; 0 by 0 where there is none */
  skirting: v.optional(
    v.strictObject({ height: distance("height of the skirting", 400), depth: distance("depth of the skirting", 80) }),
    NO_SKIRTING,
  ),
  /** sheets in grooves between drawers that run one above another */
  dust: v.optional(v.boolean("Dust panels are there or not."), false),
  kick: v.boolean("A kick board is there or not."),
  relief: distance("foot relief", 150),
  back: choice("back", BACKS),
  backs: v.optional(
    v.strictObject({
      thickness: size("thickness of a back of wood", 6, 30),
      /** boards: how wide about, how far they lap, the gap left in that on the day */
      board: size("width of the back's boards", 30, 300),
      lap: size("lap of the back's boards", 3, 25),
      gap: distance("gap between the back's boards", 8),
      /** a frame */
      stile: size("width of the back's stiles", 20, 200),
      rail: size("width of the back's rails", 20, 200),
      panelThickness: size("thickness of the back's panels", 3, 20),
      groove: size("depth of the grooves in the back", 3, 25),
      free: distance("gap beside a panel of the back", 10),
    }),
    USUAL_BACKS,
  ),
  /** as measured: sheets are seldom as thick as they are called */
  sheet: size("thickness of the back's sheet", 2, 30),
  slope: choice("slope of dovetails", ["1:6", "1:8"]),
  /** how far the front bows out in its middle */
  bow: v.optional(distance("bow of the front", 150), 0),
  /** slots of the screws that hold runners to the sides */
  slot: size("slot of a runner's screws", 5, 40),
  /** fixed to the wall so that nobody pulls it over */
  wall: v.boolean("It is fixed to the wall or not."),
  /** what it is built into; null where it stands free */
  alcove: v.optional(v.nullable(alcoveSchema), null),
  bays: list("bays", baySchema, 6, 1),
  drawers: v.strictObject({
    front: size("thickness of drawer fronts", 8, 60),
    side: size("thickness of drawer sides", 5, 40),
    bottom: choice("drawer bottoms", ["sheet", "solid"]),
    bottomThickness: size("thickness of drawer bottoms", 2, 25),
    from: v.optional(choice("boards of drawer fronts", FRONTS_FROM), "apart"),
    /** on the day, mm */
    above: distance("gap above a drawer", 20),
    beside: distance("gap beside a drawer", 10),
    behind: distance("gap behind a drawer", 200),
    tails: v.nullable(count("tails on a drawer's side", 1, 16)),
    /** on wooden runners, their front dovetailed to them; hung by grooves in their sides; or on bought slides, a front of its own screwed before a box */
    on: v.optional(choice("what drawers run on", RUNS_ON), "runners"),
    slides: v.optional(
      v.strictObject({
        /** what one takes between box and case, and how high it is */
        thick: size("thickness of a slide", 4, 40),
        height: size("height of a slide", 10, 120),
        /** null: the longest that is sold and goes in */
        length: v.nullable(size("length of a slide", 100, 1500)),
        /** what a pair carries, kg */
        load: between("load of a pair of slides", 1, 250, " kg"),
      }),
      USUAL_SLIDES,
    ),
    pull: v.optional(
      v.strictObject({
        kind: choice("pulls", ["none", "knob", "bar"]),
        /** between a bar's two screws */
        centres: size("distance of a bar's screws", 20, 600),
      }),
      USUAL_PULL,
    ),
  }),
  doors: v.optional(
    v.strictObject({
      thickness: size("thickness of doors", 10, 50),
      stile: size("width of a door's stiles", 20, 200),
      rail: size("width of a door's rails", 20, 250),
      panel: choice("door panels", ["solid", "sheet"]),
      panelThickness: size("thickness of door panels", 3, 25),
      groove: size("depth of a panel's groove", 3, 25),
      /** a solid panel's, at each side on the day */
      free: distance("gap beside a panel in its groove", 10),
      /** flush in its opening on butt hinges, or before the case on cup hinges */
      mount: v.optional(choice("how doors close", DOOR_MOUNTS), "inset"),
      /** round a door on the day */
      gap: distance("gap round a door", 8),
      /** stiles, rails and a panel; or boards glued up as wide as the door, with battens across their back */
      build: v.optional(choice("how doors are made", DOOR_BUILDS), "framed"),
      batten: v.optional(
        v.strictObject({
          width: size("width of a door's battens", 20, 200),
          thickness: size("thickness of a door's battens", 8, 40),
          slot: size("slot of a door's battens", 5, 40),
        }),
        USUAL_DOORS.batten,
      ),
      latch: v.optional(choice("what keeps doors shut", LATCHES), "none"),
    }),
    USUAL_DOORS,
  ),
});
export type CaseChoices = v.InferOutput<typeof caseSchema>;
export type CaseRow = v.InferOutput<typeof rowSchema>;
export type CaseBay = v.InferOutput<typeof baySchema>;

/** @source common practice */
export const USUAL_CASE: CaseChoices = {
  of: "solid",
  lip: 8,
  ...{ thickness: 21, inner: 20, rails: 60, behind: 0, lift: 60, kick: true, relief: 12 },
  ...{
    bow: 0,
    back: "sheet",
    sheet: 6.2,
    slope: "1:8",
    slot: 12,
    wall: false,
    backs: USUAL_BACKS,
    corners: "rails",
    mitre: "spline",
    bottom: "let-in",
    skirting: NO_SKIRTING,
    dust: false,
    stands: "sides",
    hang: USUAL_HANG,
    setBack: 40,
    alcove: null,
  },
  frame: USUAL_LEG_FRAME,
  post: 45,
  bays: [
    {
      width: null,
      rows: [
        { height: null, holds: "drawer", shelves: 0 },
        { height: null, holds: "drawer", shelves: 0 },
      ],
    },
    { width: null, rows: [{ height: null, holds: "nothing", shelves: 1 }] },
  ],
  drawers: {
    ...{ front: 20, side: 12, bottom: "sheet", bottomThickness: 6.2 },
    ...{
      above: 3,
      beside: 1,
      behind: 15,
      tails: null,
      from: "apart",
      on: "runners",
      slides: USUAL_SLIDES,
      pull: USUAL_PULL,
    },
  },
  doors: USUAL_DOORS,
};
export const caseFields = { case: v.optional(caseSchema, USUAL_CASE) };
