/** The one way through: inputs in, everything derived out, as a list of named stages. How the list is run stands in stages.ts. */
import { moistureYear, MoistureYear } from "./climate/year";
import { BRIEF_RULES } from "./brief/rules";
import { proposeTable, TableProposal } from "./brief/propose";
import { PlainPart, plainParts, tableGeometry, TableGeometry } from "./form/leg-and-apron";
import { FORM_RULES } from "./form/rules";
import { Adhesive, findAdhesive } from "./glueup/adhesives";
import { GLUE_RULES } from "./glueup/rules";
import { GlueStage, glueStages } from "./glueup/stages";
import { JOINT_RULES } from "./joinery/rules";
import { SettingCard, settingCard } from "./joinery/settings";
import { crossRailJoint, LegRailJoint, legRailJoint } from "./joinery/tenon";
import { panelCandidates, panelNeed } from "./layout/candidates";
import { cutParts, Part } from "./layout/cut-list";
import { knownBoards, layStrips } from "./layout/lay";
import { CuttingStage, cuttingStage } from "./layout/stage";
import { CUTTING_RULES } from "./layout/rules";
import { Breadboards, breadboards } from "./movement/breadboard";
import type { Fastener } from "./movement/buttons";
import { addDays, Course, sampleOn } from "./movement/course";
import { courseOfTop, coursesOf, roomAirOf, shopAirOf, stoppedIn } from "./movement/courses";
import { filmsOf } from "./movement/faces";
import { PartMove, partMovements } from "./movement/parts";
import { fastenersFor } from "./movement/fastenings";
import { Channels, channels, FramedTop, framedTop, Slats, slats } from "./movement/flat";
import { InsetMovement, insetMovements } from "./movement/insets";
import { FLAT_RULES } from "./movement/flat-rules";
import { HOLD_RULES } from "./movement/hold-rules";
import type { Stop } from "./movement/restraint";
import type { CourseName } from "./movement/table-restraint";
import { MOVEMENT_RULES } from "./movement/rules";
import { topMovement, TopMovement, UNKNOWN_RINGS } from "./movement/year";
import { Learned, learned } from "./learning/offers";
import { boardCoefficient } from "./movement/coefficient";
import { firstMoisture, latestMoisture } from "./piece/measured";
import type { Piece } from "./piece/schema";
import type { Shop } from "./piece/shop";
import type { RackBoard } from "./stock/board";
import { LaidStrip, PANEL_RULES } from "./stock/rules";
import { BUILD_RULES, LOG_RULES } from "./steps/rules";
import { DatedStep, scheduled, stepsFor } from "./steps/order";
import { Failure, stageList, Stood } from "./stages";
import { faultVerdicts, judge, Judged } from "./verdict/faults";
import type { Stage, Verdict } from "./verdict/verdict";
import { findSpecies, Species, SPECIES } from "./wood/species";

/** Everything a plan is computed from. `today` is an ISO date; `ownSpecies` come before the library's. */
export interface PlanInputs {
  piece: Piece;
  shop: Shop;
  rack: readonly RackBoard[];
  ownSpecies: readonly Species[];
  today: string;
}

/** Everything derived from a piece. Plain data: it can be cloned, compared and written as JSON. */
export interface Plan {
  species: Species;
  proposal: TableProposal;
  geometry: TableGeometry;
  year: MoistureYear;
  top: TopMovement;
  /** moisture through the years of the top, the rails and the legs, by how thick they are */
  courses: Record<CourseName, Course>;
  delivered: string;
  fasteners: Fastener[];
  breadboards: Breadboards | null;
  channels: Channels | null;
  slats: Slats | null;
  framed: FramedTop | null;
  insets: InsetMovement[];
  /** every place where movement is stopped, worst first; `when` counts courses' samples by `STOP_EVERY` */
  stopped: Stop[];
  joints: LegRailJoint[];
  cards: SettingCard[];
  parts: Part[];
  panel: {
    laid: LaidStrip[];
    lines: number[];
    candidates: { board: string; width: number; slide: number }[];
    unfit: { board: string; reason: string }[];
  };
  adhesive: Adhesive;
  glueUp: GlueStage[];
  cutting: CuttingStage;
  steps: DatedStep[];
  predicted: { on: string; width: number }[];
  /** the years as Movement would have told them from the first moisture that is known; what was measured is held against it */
  record: Pick<TopMovement, "course" | "changes" | "start" | "width">;
  /** how each kind of part changes, dry and wet */
  partMoves: PartMove[];
  /** coefficients the log's widths speak of, offered beside the table's */
  learned: Learned[];
  verdicts: Verdict[];
  /** stages and rules that threw: faults of Taller, which a verdict tells and the rest of the plan stands beside */
  failures: Failure[];
}

/** Number of verdict rules in force, by stage. */
export const RULE_COUNT: Record<Stage, number> = {
  brief: BRIEF_RULES.length,
  form: FORM_RULES.length,
  movement: FLAT_RULES.length + HOLD_RULES.length + MOVEMENT_RULES.length,
  joints: JOINT_RULES.length,
  boards: PANEL_RULES.length,
  "glue-up": GLUE_RULES.length,
  cutting: CUTTING_RULES.length,
  build: BUILD_RULES.length,
  log: LOG_RULES.length,
};

/** Nothing of a plan stands without what failed here: a fault in Taller, told with the stages that threw. */
export class PlanFailed extends Error {
  constructor(readonly failures: readonly Failure[]) {
    super(
      `This piece can't be planned: Taller fails at ${failures.map((each) => each.stage).join(", ")}. Take back the change that brought it.`,
      { cause: failures[0] },
    );
    this.name = "PlanFailed";
  }
}

/**
 * The whole plan of a piece.
 *
 * @throws PlanFailed when a stage that all others build on threw, see `createPlanner`
 * @example const plan = planPiece({ piece: freshPiece("Table", "2026-11-23"), shop: USUAL_SHOP, rack: [], ownSpecies: [], today: "2026-11-23" });
 */
export function planPiece(inputs: PlanInputs): Plan {
  return createPlanner()(inputs);
}

/**
 * A planner that remembers its last answer stage by stage, so that only what depends on a change is computed again. A stage that throws
 * becomes a verdict and a line in `failures`, and leaves its part of the plan empty.
 *
 * @throws PlanFailed when nothing can stand: the wood, the geometry, the year or the courses of moisture failed
 */
export function createPlanner(): (inputs: PlanInputs) => Plan {
  const run = LIST.runner();
  return (inputs) => asPlan(run(inputs));
}

const LIST = stageList<PlanInputs>()
  .stage(
    "species",
    "form",
    ({ piece, ownSpecies }) => [piece.species, ownSpecies],
    (id, own) => findSpecies(id, own) ?? SPECIES[0],
  )
  .stage("proposal", "brief", ({ piece }) => [piece.brief], proposeTable)
  .stage("geometry", "form", ({ piece }) => [piece.form, piece.asBuilt], tableGeometry)
  .stage("year", "movement", ({ piece }) => [piece.brief.climate], moistureYear)
  .stage(
    "start",
    "movement",
    ({ piece }) => [piece.moisture, piece.log],
    (moisture, log) => latestMoisture({ moisture, log }),
  )
  .stage(
    "delivered",
    "movement",
    ({ piece }) => [piece.delivery ?? piece.brief.deadline ?? addDays(piece.day, USUAL_BUILD)],
    (day) => day,
  )
  .stage("films", "movement", ({ piece }) => [piece.finish, piece.faces], filmsOf)
  .stage("shopAir", "movement", ({ shop }) => [shop.climate], shopAirOf)
  .stage("roomAir", "movement", ({ year, piece }) => [year, piece.faces], roomAirOf)
  .stage(
    "found",
    "boards",
    ({ rack, species, geometry, shop, piece }) => [
      rack,
      species.id,
      geometry,
      shop,
      piece.panel.banned,
      piece.panel.crosscutFirst,
      piece.form.top,
    ],
    candidatesFor,
  )
  .stage("known", "boards", ({ rack, piece }) => [rack, piece.cutting.sawn], knownBoards)
  .stage(
    "lay",
    "boards",
    ({ piece, known, geometry, shop, found }) => [
      piece.panel,
      piece.form.top,
      known,
      geometry,
      shop,
      found.candidates,
      piece.cutting.sawn,
    ],
    layStrips,
  )
  // rings of boards that can't be laid are unknown, as before any are chosen
  .stage(
    "strips",
    "boards",
    ({ lay }) => [lay.laid],
    (laid) => laid,
    [],
  )
  .stage(
    "courses",
    "movement",
    ({ geometry, species, start, delivered, shopAir, roomAir, films, year }) => [
      geometry.core.thickness,
      geometry.rail.thickness,
      geometry.leg.section,
      species,
      start,
      delivered,
      shopAir,
      roomAir,
      films,
      year,
    ],
    coursesOf,
  )
  .stage(
    "top",
    "movement",
    ({ geometry, species, start, courses, strips, piece }) => [
      geometry,
      species,
      start,
      courses.top,
      strips,
      piece.fitted,
    ],
    movementFrom,
  )
  .stage(
    "fasteners",
    "movement",
    ({ piece, geometry, top }) => [piece.form, piece.joints, piece.choices, geometry, top],
    (form, joints, choices, at, top) => fastenersFor({ form, joints, choices }, at, top),
  )
  .stage("joints", "joints", ({ geometry, piece, shop }) => [geometry, piece.joints, shop], jointsFor)
  .stage(
    "held",
    "movement",
    ({ piece, geometry, top, species }) => [piece.form, geometry, top, piece.choices.fixedLine, species],
    heldBy,
  )
  .stage(
    "stopped",
    "movement",
    ({ piece, geometry, species, top, joints, fasteners, held, courses }) => [
      piece.form,
      piece.joints,
      piece.choices,
      geometry,
      species,
      top,
      joints,
      fasteners,
      held,
      courses,
    ],
    stoppedIn,
  )
  .stage(
    "insets",
    "movement",
    ({ piece, species, start, courses }) => [piece.insets, species, start.value, courses.rail],
    insetMovements,
  )
  .stage(
    "cards",
    "joints",
    ({ joints }) => [joints],
    (joints) => joints.map((joint) => settingCard(joint, RAIL_NAMES[joint.rail])),
  )
  .stage(
    "parts",
    "form",
    ({ piece, geometry, fasteners, joints, held, shop }) => [
      piece.form,
      geometry,
      fasteners.length,
      piece.joints,
      joints,
      held.breadboards?.length ?? 0,
      piece.asBuilt,
      shop,
    ],
    partsFor,
  )
  .stage("adhesive", "glue-up", ({ piece }) => [piece.glueUp.adhesive], findAdhesive)
  .stage(
    "glueUp",
    "glue-up",
    ({ lay, piece, geometry, species, shop, adhesive }) => [lay.laid, piece, geometry, species, shop, adhesive],
    glueStages,
  )
  .stage(
    "cutting",
    "cutting",
    ({ parts, rack, lay, piece, species, shop, geometry }) => [
      parts,
      rack,
      lay.laid,
      piece.cutting,
      piece.form.leg.make,
      species,
      shop,
      geometry,
    ],
    cuttingStage,
  )
  .stage(
    "steps",
    "build",
    ({ piece, parts, joints, glueUp, adhesive, start, year }) => [
      piece,
      parts,
      joints,
      glueUp,
      adhesive,
      start.value < year.driest.moisture || start.value > year.wettest.moisture,
    ],
    (piece, parts, joints, stages, adhesive, outOfRoom) =>
      scheduled(stepsFor({ piece, parts, joints, stages, adhesive, outOfRoom }), piece.day, piece.done),
  )
  .stage(
    "first",
    "log",
    ({ piece }) => [piece.moisture, piece.log],
    (moisture, log) => firstMoisture({ moisture, log }),
  )
  .stage(
    "recordCourse",
    "log",
    ({ first, start, top, geometry, species, delivered, shopAir, roomAir, films, year }) => [
      first.on === start.on ? top.course : null,
      geometry.core.thickness,
      species,
      first,
      delivered,
      shopAir,
      roomAir,
      films,
      year,
    ],
    (same, thickness, ...others) => same ?? courseOfTop(thickness, ...others),
  )
  .stage(
    "record",
    "log",
    ({ first, start, top, geometry, species, recordCourse, strips, piece }) => [
      first.on === start.on ? top : null,
      geometry,
      species,
      first,
      recordCourse,
      strips,
      piece.fitted,
    ],
    (same, ...others) => same ?? movementFrom(...others),
  )
  .stage("predicted", "log", ({ piece, record }) => [piece.log, record], predictedWidths)
  .stage(
    "partMoves",
    "movement",
    ({ parts, courses, species, start, top }) => [parts, courses, species, start.value, top.coefficient],
    partMovements,
  )
  .stage(
    "learned",
    "log",
    ({ piece, top, record, rack, species }) => [piece.log, piece.fitted, top, record.course, rack, species],
    learnedFrom,
  )
  .stage(
    "names",
    "boards",
    ({ found }) => [found],
    ({ candidates, unfit }) => ({
      candidates: candidates.map(({ board, width, slide }) => ({ board: board.id, width, slide })),
      unfit: unfit.map(({ board, reason }) => ({ board: board.id, reason })),
    }),
  )
  .stage(
    "briefJudged",
    "brief",
    ({ piece }) => [piece.brief, piece.form],
    (brief, form) => judge("brief", BRIEF_RULES, { brief, form }),
  )
  .stage(
    "formJudged",
    "form",
    ({ piece, geometry, species, shop }) => [piece.form, piece.brief, geometry, species, shop.lift],
    (form, brief, at, species, lift) => judge("form", FORM_RULES, { form, brief, at, species, lift }),
  )
  .stage(
    "movementJudged",
    "movement",
    ({ piece, geometry, species, year, top, fasteners, today, delivered, held, insets, stopped }) => [
      piece,
      geometry,
      species,
      year,
      top,
      fasteners,
      today,
      delivered,
      held,
      insets,
      stopped,
    ],
    (piece, at, species, year, top, fasteners, today, delivered, held, insets, stopped) =>
      judge("movement", [...FLAT_RULES, ...HOLD_RULES, ...MOVEMENT_RULES], {
        piece,
        at,
        species,
        year,
        top,
        fasteners,
        today,
        delivered,
        ...held,
        insets,
        stopped,
      }),
  )
  .stage(
    "jointsJudged",
    "joints",
    ({ piece, geometry, shop, joints }) => [piece, geometry, shop, joints],
    (piece, at, shop, joints) => judge("joints", JOINT_RULES, { piece, at, shop, joints }),
  )
  .stage(
    "boardsJudged",
    "boards",
    ({ piece, geometry, shop, rack, lay, cutting }) => [
      piece,
      geometry,
      shop,
      rack,
      lay.laid,
      lay.missing,
      cutting.lacking,
    ],
    (piece, at, shop, rack, laid, missing, lacking) =>
      judge("boards", PANEL_RULES, { piece, at, shop, rack, laid, missing, lacking }),
  )
  .stage(
    "glueUpJudged",
    "glue-up",
    ({ piece, glueUp, adhesive, shop }) => [piece, glueUp, adhesive, shop],
    (piece, stages, adhesive, shop) => judge("glue-up", GLUE_RULES, { piece, stages, adhesive, shop }),
  )
  .stage(
    "cuttingJudged",
    "cutting",
    ({ piece, parts, cutting, shop }) => [piece, parts, cutting, shop],
    (piece, parts, cutting, shop) => judge("cutting", CUTTING_RULES, { piece, parts, ...cutting, shop }),
  )
  .stage(
    "buildJudged",
    "build",
    ({ piece, steps, today }) => [piece, steps, today],
    (piece, steps, today) => judge("build", BUILD_RULES, { piece, steps, today }),
  )
  .stage(
    "logJudged",
    "log",
    ({ piece, top, predicted, learned: lessons, year, delivered, today }) => [
      piece,
      top,
      predicted,
      lessons,
      year,
      delivered,
      today,
    ],
    (piece, top, predicted, lessons, year, delivered, today) =>
      judge("log", LOG_RULES, { piece, top, predicted, learned: lessons, year, delivered, today }),
  );

type Values = ReturnType<ReturnType<typeof LIST.runner>>["values"];
/** Without these there is no plan. */
const NEEDED = ["species", "proposal", "geometry", "year", "delivered", "courses", "top", "adhesive"] as const;
const NOTHING_CUT: CuttingStage = {
  boards: [],
  placed: [],
  missing: [],
  stale: [],
  chosen: false,
  circle: [],
  unknown: [],
  pieces: [],
  strips: [],
  settings: [],
  shopping: [],
  milled: [],
  cards: [],
  yieldShare: 0,
  lines: [],
  lacking: [],
};
const NOTHING_HELD = { breadboards: null, channels: null, slats: null, framed: null };

/** The plan of what stands; what failed is empty, and told. */
function asPlan({ values: at, failures, waiting }: Stood<Required<Values>>): Plan {
  if (!isWhole(at)) throw new PlanFailed(failures);
  const {
    species,
    proposal,
    geometry,
    year,
    delivered,
    courses,
    top,
    adhesive,
    cutting = NOTHING_CUT,
    record = top,
  } = at;
  const judged = [
    at.briefJudged,
    at.formJudged,
    at.movementJudged,
    at.jointsJudged,
    at.boardsJudged,
    at.glueUpJudged,
    at.cuttingJudged,
    at.buildJudged,
    at.logJudged,
  ].filter((each): each is Judged => each !== undefined);
  const all = [...failures, ...judged.flatMap((each) => each.failures)];
  return {
    species,
    proposal,
    geometry,
    year,
    top,
    courses,
    delivered,
    adhesive,
    cutting,
    ...(at.held ?? NOTHING_HELD),
    fasteners: at.fasteners ?? [],
    insets: at.insets ?? [],
    stopped: at.stopped ?? [],
    joints: at.joints ?? [],
    cards: at.cards ?? [],
    parts: at.parts ?? [],
    glueUp: at.glueUp ?? [],
    steps: at.steps ?? [],
    predicted: at.predicted ?? [],
    learned: at.learned ?? [],
    partMoves: at.partMoves ?? [],
    record: { course: record.course, changes: record.changes, start: record.start, width: record.width },
    panel: {
      laid: at.lay?.laid ?? [],
      lines: cutting.lines,
      candidates: at.names?.candidates ?? [],
      unfit: at.names?.unfit ?? [],
    },
    verdicts: [...faultVerdicts(all, waiting), ...judged.flatMap((each) => each.verdicts)],
    failures: all,
  };
}

const isWhole = (at: Values): at is Values & Required<Pick<Values, (typeof NEEDED)[number]>> =>
  NEEDED.every((name) => at[name] !== undefined);

/** Days from the first working day to delivery where no day is promised. @source common practice: six weeks */
const USUAL_BUILD = 42;

/** What holds the top flat, by its construction; the others are null. */
function heldBy(
  form: Piece["form"],
  at: TableGeometry,
  top: TopMovement,
  fixed: Piece["choices"]["fixedLine"],
  species: Species,
): Pick<Plan, "breadboards" | "channels" | "slats" | "framed"> {
  const kind = form.construction;
  return {
    breadboards: kind === "breadboard" ? breadboards(form, top, fixed) : null,
    channels: kind === "channel" ? channels(form, at, top, fixed) : null,
    slats: kind === "slatted" ? slats(form, top) : null,
    framed: kind === "framed" ? framedTop(form, top, species) : null,
  };
}

function candidatesFor(
  rack: readonly RackBoard[],
  species: string,
  at: TableGeometry,
  shop: Shop,
  banned: string[],
  crosscutFirst: boolean,
  top: Piece["form"]["top"],
) {
  // slats are placed with the other parts: there is no panel to compose
  if (at.core.count > 1) return { candidates: [], unfit: [] };
  return panelCandidates(rack, species, panelNeed(at, top), shop, { banned, crosscutFirst });
}

function movementFrom(
  at: TableGeometry,
  species: Species,
  start: TopMovement["start"],
  course: Course,
  laid: readonly LaidStrip[],
  fitted: Piece["fitted"],
): TopMovement {
  return topMovement({
    width: at.core.width,
    thickness: at.core.thickness,
    species,
    start,
    course,
    fitted,
    strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
  });
}

function jointsFor(at: TableGeometry, choice: Piece["joints"], shop: Shop): LegRailJoint[] {
  const cross = crossRailJoint(at, shop);
  return [
    legRailJoint(at, choice.legRail, shop, "long-rail"),
    legRailJoint(at, choice.legRail, shop, "end-rail"),
    ...(cross ? [cross] : []),
  ];
}

const RAIL_NAMES = {
  "long-rail": "Leg to long rail",
  "end-rail": "Leg to end rail",
  "cross-rail": "Cross-rail to long rail",
};

function partsFor(
  form: Piece["form"],
  at: TableGeometry,
  fasteners: number,
  { fastening, buttons }: Piece["joints"],
  joints: readonly LegRailJoint[],
  endBoard: number,
  asBuilt: Piece["asBuilt"],
  shop: Shop,
) {
  const ends: PlainPart[] =
    endBoard > 0
      ? [
          {
            id: "end-board",
            name: "Breadboard end",
            letter: "D",
            role: "end-board",
            count: 2,
            shoulder: endBoard,
            width: form.breadboard.width,
            thickness: at.top.thickness,
            grain: "x",
            tenonEnds: 0,
          },
        ]
      : [];
  return cutParts(
    [...plainParts(form, at), ...ends],
    { count: fastening === "button" ? fasteners : 0, width: buttons.width, tongue: buttons.tongue },
    joints,
    form,
    asBuilt,
    shop,
  );
}

/** What Movement says the top measures on each day its width was taken; from the second on, against the first that was taken. */
function predictedWidths(log: Piece["log"], record: TopMovement): { on: string; width: number }[] {
  const widths = log
    .filter(
      (each): each is Extract<Piece["log"][number], { kind: "width" }> => each.kind === "width" && each.what === "top",
    )
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  const on = (day: string) => record.changes[sampleOn(record.course, day)];
  const from = widths.length > 1 ? widths[0].value - on(widths[0].on) : record.width;
  return widths.map((each) => ({ on: each.on, width: from + on(each.on) }));
}

/** What the table says of a board, by its rings, beside what was measured on it. */
function learnedFrom(
  log: Piece["log"],
  fitted: Piece["fitted"],
  top: TopMovement,
  course: Course,
  rack: readonly RackBoard[],
  species: Species,
): Learned[] {
  const ofBoard = (id: string | null) => {
    const board = rack.find((each) => each.id === id);
    return board
      ? boardCoefficient(species, board.ringLeft, board.ringRight)
      : boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  };
  const whole = top.strips.reduce((sum, strip) => sum + ofBoard(strip.board) * strip.width, 0) / top.width;
  return learned({ log, fitted }, top, course, rack, (id) => (id === null ? whole : ofBoard(id)));
}
