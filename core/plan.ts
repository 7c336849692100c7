/** The one way through: inputs in, everything derived out. Stages are memoised by what they read. */
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
import { panelCandidates, panelNeed, Unfit, Candidate } from "./layout/candidates";
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
import { MOVEMENT_RULES, MovementFacts } from "./movement/rules";
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
import type { Stage, Verdict } from "./verdict/verdict";
import { findSpecies, Species, SPECIES } from "./wood/species";

/** Everything a plan is computed from. `today` is an ISO date; `ownSpecies` come before the library's. */
export interface PlanInputs { piece: Piece; shop: Shop; rack: readonly RackBoard[]; ownSpecies: readonly Species[]; today: string }

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
  panel: { laid: LaidStrip[]; lines: number[]; candidates: { board: string; width: number; slide: number }[]; unfit: { board: string; reason: string }[] };
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
}

/** Number of verdict rules in force, by stage. */
export const RULE_COUNT: Record<Stage, number> = {
  brief: BRIEF_RULES.length, form: FORM_RULES.length, movement: FLAT_RULES.length + HOLD_RULES.length + MOVEMENT_RULES.length, joints: JOINT_RULES.length, boards: PANEL_RULES.length,
  "glue-up": GLUE_RULES.length, cutting: CUTTING_RULES.length, build: BUILD_RULES.length, log: LOG_RULES.length,
};

/**
 * The whole plan of a piece.
 *
 * @example const plan = planPiece({ piece: freshPiece("Table", "2026-11-23"), shop: USUAL_SHOP, rack: [], ownSpecies: [], today: "2026-11-23" });
 */
export function planPiece(inputs: PlanInputs): Plan {
  return createPlanner()(inputs);
}

/** A planner that remembers its last answer stage by stage, so that only what depends on a change is computed again. */
export function createPlanner(): (inputs: PlanInputs) => Plan {
  const remember = {
    species: last(findKnownSpecies), proposal: last(proposeTable), geometry: last(tableGeometry), year: last(moistureYear), start: last(startOf), first: last(firstOf), recordCourse: last(courseOfTop), record: last(movementFrom), partMoves: last(partMovements), shopAir: last(shopAirOf), roomAir: last(roomAirOf), films: last(filmsOf), courses: last(coursesOf), held: last(heldBy), insets: last(insetMovements), stopped: last(stoppedIn),
    candidates: last(candidatesFor), known: last(knownBoards), namesOf: last((found: readonly Candidate[], unfit: readonly Unfit[]) => ({ candidates: found.map(({ board, width, slide }) => ({ board: board.id, width, slide })), unfit: unfit.map(({ board, reason }) => ({ board: board.id, reason })) })), laid: last(layStrips), top: last(topOf), fasteners: last(fastenersOf), joints: last(jointsFor), cards: last(cardsFor),
    parts: last(partsFor), adhesive: last(findAdhesive), glue: last(glueStages), cutting: last(cuttingStage), steps: last(stepsOf), predicted: last(predictedWidths), learned: last(learnedFrom),
    brief: last(briefVerdicts), form: last(formVerdicts), movement: last(movementVerdicts), joinery: last(jointVerdicts), panel: last(panelVerdicts),
    glueVerdicts: last(glueVerdicts), cuttingVerdicts: last(cuttingVerdicts), build: last(buildVerdicts), log: last(logVerdicts),
  };
  return ({ piece, shop, rack, ownSpecies, today }) => {
    const species = remember.species(piece.species, ownSpecies);
    const proposal = remember.proposal(piece.brief);
    const geometry = remember.geometry(piece.form, piece.asBuilt);
    const year = remember.year(piece.brief.climate);
    const start = remember.start(piece.moisture, piece.log);
    const { candidates, unfit } = remember.candidates(rack, species.id, geometry, shop, piece.panel.banned, piece.panel.crosscutFirst, piece.form.top);
    const known = remember.known(rack, piece.cutting.sawn);
    const { laid, missing } = remember.laid(piece.panel, piece.form.top, known, geometry, shop, candidates, piece.cutting.sawn);
    const delivered = piece.delivery ?? piece.brief.deadline ?? addDays(piece.day, USUAL_BUILD);
    const films = remember.films(piece.finish, piece.faces);
    const courses = remember.courses(geometry.core.thickness, geometry.rail.thickness, geometry.leg.section, species, start, delivered, remember.shopAir(shop.climate), remember.roomAir(year, piece.faces), films, year);
    const top = remember.top(geometry, species, start, courses, laid, piece.fitted);
    const fasteners = remember.fasteners(piece.form, piece.joints, piece.choices, geometry, top);
    const joints = remember.joints(geometry, piece.joints, shop);
    const held = remember.held(piece.form, geometry, top, piece.choices.fixedLine, species);
    const stopped = remember.stopped(piece.form, piece.joints, piece.choices, geometry, species, top, joints, fasteners, held, courses);
    const insets = remember.insets(piece.insets, species, start.value, courses.rail);
    const cards = remember.cards(joints);
    const parts = remember.parts(piece.form, geometry, fasteners.length, piece.joints, joints, held.breadboards?.length ?? 0, piece.asBuilt, shop);
    const adhesive = remember.adhesive(piece.glueUp.adhesive);
    const glueUp = remember.glue(laid, piece, geometry, species, shop, adhesive);
    const cutting = remember.cutting(parts, rack, laid, piece.cutting, piece.form.leg.make, species, shop, geometry);
    const outOfRoom = start.value < year.driest.moisture || start.value > year.wettest.moisture;
    const steps = remember.steps(piece, parts, joints, glueUp, adhesive, outOfRoom);
    const first = remember.first(piece.moisture, piece.log);
    const record = first.on === start.on ? top : remember.record(geometry, species, first, remember.recordCourse(geometry.core.thickness, species, first, delivered, remember.shopAir(shop.climate), remember.roomAir(year, piece.faces), films, year), laid, piece.fitted);
    const predicted = remember.predicted(piece.log, record);
    const partMoves = remember.partMoves(parts, courses, species, start.value, top.coefficient);
    const lessons = remember.learned(piece.log, piece.fitted, top, record.course, rack, species);
    return {
      species, proposal, geometry, year, top, courses, delivered, fasteners, ...held, insets, stopped, joints, cards, parts, adhesive, glueUp, steps, predicted, learned: lessons, partMoves,
      record: { course: record.course, changes: record.changes, start: record.start, width: record.width },
      panel: { laid, lines: cutting.lines, ...remember.namesOf(candidates, unfit) }, cutting,
      verdicts: [
        ...remember.brief(piece.brief, piece.form), ...remember.form(piece.form, piece.brief, geometry, species, shop.lift),
        ...remember.movement(piece, geometry, species, year, top, fasteners, today, delivered, held, insets, stopped), ...remember.joinery(piece, geometry, shop, joints),
        ...remember.panel(piece, geometry, shop, rack, laid, missing, cutting.lacking), ...remember.glueVerdicts(piece, glueUp, adhesive, shop),
        ...remember.cuttingVerdicts(piece, parts, cutting, shop), ...remember.build(piece, steps, today), ...remember.log(piece, top, predicted, lessons, year, delivered, today),
      ],
    };
  };
}

/** Remembers the last call: the same arguments, by identity, give the same answer. */
function last<A extends readonly unknown[], R>(compute: (...args: A) => R): (...args: A) => R {
  let args: A | null = null;
  let result: R;
  return (...now) => {
    if (args === null || now.length !== args.length || now.some((each, i) => each !== args![i])) {
      result = compute(...now);
      args = now;
    }
    return result;
  };
}

const run = <F>(rules: readonly ((facts: F) => Verdict | Verdict[] | null)[], facts: F): Verdict[] => rules.flatMap((rule) => rule(facts) ?? []);

const findKnownSpecies = (id: string, own: readonly Species[]) => findSpecies(id, own) ?? SPECIES[0];
const firstOf = (moisture: Piece["moisture"], log: Piece["log"]) => firstMoisture({ moisture, log });
const startOf = (moisture: Piece["moisture"], log: Piece["log"]) => latestMoisture({ moisture, log });

/** Days from the first working day to delivery where no day is promised. @source common practice: six weeks */
const USUAL_BUILD = 42;
const fastenersOf = (form: Piece["form"], joints: Piece["joints"], choices: Piece["choices"], at: TableGeometry, top: TopMovement) => fastenersFor({ form, joints, choices }, at, top);

/** What holds the top flat, by its construction; the others are null. */
function heldBy(form: Piece["form"], at: TableGeometry, top: TopMovement, fixed: Piece["choices"]["fixedLine"], species: Species): Pick<Plan, "breadboards" | "channels" | "slats" | "framed"> {
  const kind = form.construction;
  return {
    breadboards: kind === "breadboard" ? breadboards(form, top, fixed) : null, channels: kind === "channel" ? channels(form, at, top, fixed) : null,
    slats: kind === "slatted" ? slats(form, top) : null, framed: kind === "framed" ? framedTop(form, top, species) : null,
  };
}

function candidatesFor(rack: readonly RackBoard[], species: string, at: TableGeometry, shop: Shop, banned: string[], crosscutFirst: boolean, top: Piece["form"]["top"]) {
  // slats are placed with the other parts: there is no panel to compose
  if (at.core.count > 1) return { candidates: [], unfit: [] };
  return panelCandidates(rack, species, panelNeed(at, top), shop, { banned, crosscutFirst });
}

const topOf = (at: TableGeometry, species: Species, start: TopMovement["start"], courses: Record<CourseName, Course>, laid: readonly LaidStrip[], fitted: Piece["fitted"]) => movementFrom(at, species, start, courses.top, laid, fitted);

function movementFrom(at: TableGeometry, species: Species, start: TopMovement["start"], course: Course, laid: readonly LaidStrip[], fitted: Piece["fitted"]): TopMovement {
  return topMovement({ width: at.core.width, thickness: at.core.thickness, species, start, course, fitted, strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })) });
}

function jointsFor(at: TableGeometry, choice: Piece["joints"], shop: Shop): LegRailJoint[] {
  const cross = crossRailJoint(at, shop);
  return [legRailJoint(at, choice.legRail, shop, "long-rail"), legRailJoint(at, choice.legRail, shop, "end-rail"), ...(cross ? [cross] : [])];
}

const RAIL_NAMES = { "long-rail": "Leg to long rail", "end-rail": "Leg to end rail", "cross-rail": "Cross-rail to long rail" };
const cardsFor = (joints: readonly LegRailJoint[]) => joints.map((joint) => settingCard(joint, RAIL_NAMES[joint.rail]));

function partsFor(form: Piece["form"], at: TableGeometry, fasteners: number, { fastening, buttons }: Piece["joints"], joints: readonly LegRailJoint[], endBoard: number, asBuilt: Piece["asBuilt"], shop: Shop) {
  const ends: PlainPart[] = endBoard > 0 ? [{ id: "end-board", name: "Breadboard end", letter: "D", role: "end-board", count: 2, shoulder: endBoard, width: form.breadboard.width, thickness: at.top.thickness, grain: "x", tenonEnds: 0 }] : [];
  return cutParts([...plainParts(form, at), ...ends], { count: fastening === "button" ? fasteners : 0, width: buttons.width, tongue: buttons.tongue }, joints, form, asBuilt, shop);
}

function stepsOf(piece: Piece, parts: readonly Part[], joints: readonly LegRailJoint[], stages: readonly GlueStage[], adhesive: Adhesive, outOfRoom: boolean) {
  return scheduled(stepsFor({ piece, parts, joints, stages, adhesive, outOfRoom }), piece.day, piece.done);
}

/** What Movement says the top measures on each day its width was taken; from the second on, against the first that was taken. */
function predictedWidths(log: Piece["log"], record: TopMovement): { on: string; width: number }[] {
  const widths = log.filter((each): each is Extract<Piece["log"][number], { kind: "width" }> => each.kind === "width" && each.what === "top").sort((a, b) => (a.on < b.on ? -1 : 1));
  const on = (day: string) => record.changes[sampleOn(record.course, day)];
  const from = widths.length > 1 ? widths[0].value - on(widths[0].on) : record.width;
  return widths.map((each) => ({ on: each.on, width: from + on(each.on) }));
}

const briefVerdicts = (brief: Piece["brief"], form: Piece["form"]) => run(BRIEF_RULES, { brief, form });
const formVerdicts = (form: Piece["form"], brief: Piece["brief"], at: TableGeometry, species: Species, lift: number) => run(FORM_RULES, { form, brief, at, species, lift });
const movementVerdicts = (piece: Piece, at: TableGeometry, species: Species, year: MoistureYear, top: TopMovement, fasteners: readonly Fastener[], today: string, delivered: string, held: ReturnType<typeof heldBy>, insets: readonly InsetMovement[], stopped: readonly Stop[]) => {
  const facts: MovementFacts = { piece, at, species, year, top, fasteners, today, delivered, ...held, insets, stopped };
  return [...run(FLAT_RULES, facts), ...run(HOLD_RULES, facts), ...run(MOVEMENT_RULES, facts)];
};
const jointVerdicts = (piece: Piece, at: TableGeometry, shop: Shop, joints: readonly LegRailJoint[]) => run(JOINT_RULES, { piece, at, shop, joints });
const panelVerdicts = (piece: Piece, at: TableGeometry, shop: Shop, rack: readonly RackBoard[], laid: readonly LaidStrip[], missing: readonly string[], lacking: { name: string; count: number }[]) =>
  run(PANEL_RULES, { piece, at, shop, rack, laid, missing, lacking });
const glueVerdicts = (piece: Piece, stages: readonly GlueStage[], adhesive: Adhesive, shop: Shop) => run(GLUE_RULES, { piece, stages, adhesive, shop });
const cuttingVerdicts = (piece: Piece, parts: readonly Part[], cutting: CuttingStage, shop: Shop) => run(CUTTING_RULES, { piece, parts, ...cutting, shop });
const buildVerdicts = (piece: Piece, steps: readonly DatedStep[], today: string) => run(BUILD_RULES, { piece, steps, today });
const logVerdicts = (piece: Piece, top: TopMovement, predicted: { on: string; width: number }[], lessons: readonly Learned[], year: MoistureYear, delivered: string, today: string) => run(LOG_RULES, { piece, top, predicted, learned: lessons, year, delivered, today });

/** What the table says of a board, by its rings, beside what was measured on it. */
function learnedFrom(log: Piece["log"], fitted: Piece["fitted"], top: TopMovement, course: Course, rack: readonly RackBoard[], species: Species): Learned[] {
  const ofBoard = (id: string | null) => { const board = rack.find((each) => each.id === id); return board ? boardCoefficient(species, board.ringLeft, board.ringRight) : boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right); };
  const whole = top.strips.reduce((sum, strip) => sum + ofBoard(strip.board) * strip.width, 0) / top.width;
  return learned({ log, fitted }, top, course, rack, (id) => (id === null ? whole : ofBoard(id)));
}
