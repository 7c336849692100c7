/** Fourth of the list: glue-ups, cutting, the order of work, and what the log says. */
import { baseOf } from "../construction/base";
import { findAdhesive } from "../glueup/adhesives";
import { blankStages } from "../glueup/blanks";
import { sectionStages } from "../glueup/sections";
import { glueStages } from "../glueup/stages";
import { cuttingStage } from "../layout/stage";
import { predictedWidths, recordsOf } from "../learning/records";
import { acclimatisingOf } from "../movement/acclimatise";
import { courseOfTop } from "../movement/courses";
import { topMovement } from "../movement/year";
import { firstMoisture } from "../piece/measured";
import { withOwn } from "../steps/own";
import { stepsFor } from "../steps/order";
import { stepsMade } from "../steps/times";
import { filledIn } from "../stock/filled";
import { stripThickness } from "../layout/strip-thickness";
import { scheduled } from "../steps/schedule";
import type { RackBoard } from "../stock/board";
import { seenAsTop } from "../panels/lens";
import { kindsOf } from "../panels/row";
import { woodOf } from "../wood/woods";
import { learnedFrom } from "./learned-from";
import { PARTS } from "./parts";

export const WORK = PARTS.stage(
  "adhesive",
  "glue-up",
  ({ piece }) => ({ adhesive: piece.glueUp.adhesive }),
  ({ adhesive }) => findAdhesive(adhesive),
)
  .stage(
    "glueUp",
    "glue-up",
    ({ lay, piece, blank, stripes, species, shop, adhesive }) => ({
      laid: lay.laid,
      at: blank,
      ...{ piece, stripes, species, shop, adhesive },
    }),
    ({ laid, at, piece, stripes, species, shop, adhesive }) =>
      at.core.striped
        ? sectionStages(stripes, piece.form.stripes.sections, at, { piece, species, shop, adhesive })
        : glueStages(laid, at, { piece, species, shop, adhesive }),
  )
  .each(
    "otherGlue",
    "glue-up",
    ({ others, piece, species, woods, shop, adhesive }) => [
      [...others.values()],
      { piece, usual: species, woods, shop, adhesive },
    ],
    ({ place, laid, at }, { piece, usual, woods, shop, adhesive }) =>
      glueStages(laid, at, {
        ...{ piece: seenAsTop(piece, at, place).piece, species: woodOf(woods, place.kind, usual), shop, adhesive },
      }).map((stage) => ({
        ...stage,
        id: `${place.id}-${stage.id}`,
        name: `${place.name[0].toUpperCase()}${place.name.slice(1)}: ${stage.name[0].toLowerCase()}${stage.name.slice(1)}`,
      })),
  )
  .stage(
    "blanks",
    "glue-up",
    ({ made, piece, species, woods, shop, adhesive }) => ({ parts: made, piece, species, woods, shop, adhesive }),
    ({ parts, piece, species, woods, shop, adhesive }) => blankStages(parts, { piece, species, shop, adhesive }, woods),
  )
  .stage(
    "cutting",
    "cutting",
    ({ made, rack, lay, others, piece, species, woods, shop, geometry }) => ({
      parts: made,
      rack,
      laid: lay.laid,
      others,
      cutting: piece.cutting,
      ...{ species, woods, shop },
      at: geometry,
    }),
    ({ parts, rack, laid, others, cutting, species, woods, shop, at }) =>
      cuttingStage({
        ...{ rack, cutting, species, woods, shop, at },
        // what is cut from a sheet comes from no board
        parts: parts.filter(({ role }) => role !== "sheet"),
        panels: [
          {
            name: "Top",
            kinds: kindsOf("top", at.row),
            laid,
            thickness: stripThickness(laid, at.core.thickness, shop),
          },
          ...[...others.values()].map((each) => ({
            name: each.place.name[0].toUpperCase() + each.place.name.slice(1),
            kinds: kindsOf(each.place.kind, each.place.row),
            laid: each.laid,
            thickness: stripThickness(each.laid, each.place.thickness, shop),
          })),
        ],
      }),
  )
  // boards that are chosen, by their own readings; a piece whose boards are not is judged by what it says of its wood
  .stage(
    "acclimatising",
    "movement",
    ({ lay, cutting, start, surroundings, roomAir, piece }) => ({
      laid: lay.laid,
      cuts: cutting.boards,
      value: start.value,
      around: surroundings,
      room: roomAir,
      day: piece.day,
    }),
    ({ laid, cuts, value, around, room, day }) => acclimatisingOf(boardsUsed(laid, cuts, value), around, room, day),
  )
  .otherwise(null)
  .stage(
    "steps",
    "build",
    ({ piece, geometry, parts, baseJoints, own, glueUp, otherGlue, adhesive, shop, lay, acclimatising }) => ({
      piece,
      at: geometry,
      parts,
      joints: baseJoints,
      own,
      glueUp,
      others: otherGlue,
      adhesive,
      shop,
      laid: lay.laid,
      acclimatising,
    }),
    ({ piece, at, parts, joints, own, glueUp, others, adhesive, shop, laid, acclimatising }) => {
      const { form, joints: choices, day, done } = piece;
      const work = baseOf(form.kind).work;
      const glued = [...others].map(([{ place }, stages]) => ({ place, stages }));
      const steps = stepsFor({
        ...{ piece, at, parts, adhesive, shop, acclimatising, stages: glueUp, panels: glued },
        strips: stripThickness(laid, at.core.thickness, shop),
        filled: filledIn(laid),
        work: (told) => withOwn(work({ form, at, joints, choices, ...told }), own, told.milled),
      });
      const clamps = shop.clamps.reduce((sum, { count }) => sum + count, 0);
      return scheduled(stepsMade(steps, piece.times, clamps), day, done, clamps);
    },
  )
  .stage(
    "first",
    "log",
    ({ piece }) => ({ moisture: piece.moisture, log: piece.log }),
    ({ moisture, log }) => firstMoisture({ moisture, log }),
  )
  .stage(
    "recordCourse",
    "log",
    ({ first, start, top, geometry, surroundings }) => ({
      same: first.on === start.on ? top.course : null,
      thickness: geometry.core.thickness,
      start: first,
      surroundings,
    }),
    ({ same, thickness, start, surroundings }) => same ?? courseOfTop(thickness, { ...surroundings, start }),
  )
  .stage(
    "record",
    "log",
    ({ first, start, top, geometry, species, recordCourse, strips, stripes, bed, piece }) => ({
      bed,
      same: first.on === start.on ? top : null,
      core: geometry.core,
      species,
      first,
      course: recordCourse,
      laid: strips,
      stripes,
      fitted: piece.fitted,
    }),
    ({ same, core: { width, thickness }, species, first, course, laid, stripes, bed, fitted }) =>
      same ??
      topMovement({
        stripes,
        inserted: bed,
        ...{ width, thickness, species, start: first, course, fitted },
        strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
      }),
  )
  .stage(
    "predicted",
    "log",
    ({ piece, record }) => ({ log: piece.log, record }),
    ({ log, record }) => predictedWidths(log, "top", record),
  )
  .stage(
    "records",
    "log",
    ({ record, predicted, otherTops, piece }) => ({ record, predicted, others: otherTops, log: piece.log }),
    ({ record, predicted, others, log }) => recordsOf(record, predicted, [...others.values()], log),
  )
  .stage(
    "learned",
    "log",
    ({ piece, top, otherTops, record, rack, species, woods }) => ({
      log: piece.log,
      fitted: piece.fitted,
      top,
      others: otherTops,
      course: record.course,
      ...{ rack, species, woods },
    }),
    ({ log, fitted, top, others, course, rack, species, woods }) =>
      learnedFrom({ log, fitted, top, others: [...others.values()], course, rack, species, woods }),
  )
  .stage(
    "names",
    "boards",
    ({ found }) => ({ found }),
    ({ found: { candidates, unfit } }) => ({
      candidates: candidates.map(({ board, width, slide }) => ({ board: board.id, width, slide })),
      unfit: unfit.map(({ board, reason }) => ({ board: board.id, reason })),
    }),
  );

/** Thickness of a board that is not chosen yet, mm. @source common practice */
const UNCHOSEN = 32;

/** Boards a piece is cut from that are still whole, each once, and the wood whose moisture the piece speaks of. */
function boardsUsed(
  laid: readonly { board: RackBoard }[],
  cuts: readonly { board: Pick<RackBoard, "id" | "moisture" | "thickness">; sawn: boolean }[],
  moisture: number,
): Pick<RackBoard, "id" | "moisture" | "thickness">[] {
  const sawn = new Set(cuts.filter((cut) => cut.sawn).map((cut) => cut.board.id));
  const used = new Map([...laid, ...cuts].map(({ board }) => [board.id, board]));
  const whole = [...used.values()].filter(({ id }) => !sawn.has(id));
  const thickness = Math.max(0, ...whole.map((board) => board.thickness)) || UNCHOSEN;
  return used.size > 0 && whole.length === 0 ? [] : [...whole, { id: "", moisture, thickness }];
}
