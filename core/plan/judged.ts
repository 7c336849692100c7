/** Last of the list: every rule of every stage. */
import { baseOf } from "../construction/base";
import { INLAY_RULES } from "../construction/top/inlay-rules";
import { closesInTime, closingsOf } from "../glueup/closings";
import { GLUE_RULES } from "../glueup/rules";
import { foxedTenons } from "../joinery/foxed-rules";
import { mortiseShows } from "../joinery/mortise-shows";
import { mortisesMeasured } from "../joinery/measured-mortises";
import { measuredFits } from "../joinery/measured-rules";
import { FASTENING_RULES } from "../joinery/fastening-rules";
import { CUTTING_RULES } from "../layout/rules";
import { FLAT_RULES } from "../movement/flat-rules";
import { HOLD_RULES } from "../movement/hold-rules";
import { NOTCH_RULES } from "../movement/notch-rules";
import { MOVEMENT_RULES } from "../movement/rules";
import { BUILD_RULES, LOG_RULES } from "../steps/rules";
import { ONE_PANEL_RULES, PANEL_RULES } from "../stock/rules";
import { SHELF_RULES } from "../construction/fitting/shelf-rules";
import { judgedOf, seenAsTop } from "../panels/lens";
import { woodOf } from "../wood/woods";
import { judge, Judged } from "../verdict/faults";
import { FORM_JUDGED } from "./judged-form";

export const JUDGED = FORM_JUDGED.stage(
  "movementJudged",
  "movement",
  ({
    piece,
    geometry,
    species,
    woods,
    year,
    top,
    fasteners,
    today,
    delivered,
    held,
    insets,
    stopped,
    acclimatising,
  }) => ({
    piece,
    at: geometry,
    ...{ species, woods, year, top, fasteners, today, delivered, held, insets, stopped, acclimatising },
  }),
  ({ piece, at, species, woods, year, top, fasteners, today, delivered, held, insets, stopped, acclimatising }) =>
    judge("movement", [...FLAT_RULES, ...HOLD_RULES, ...NOTCH_RULES, ...MOVEMENT_RULES], {
      ...{ piece, at, species, woods, year, top, fasteners, today, delivered, insets, stopped, acclimatising },
      ...held,
    }),
)
  .stage(
    "movesJudged",
    "movement",
    ({ piece, geometry, partMoves, stopped }) => ({ form: piece.form, at: geometry, moves: partMoves, stopped }),
    ({ form, at, moves, stopped }) =>
      judge("movement", baseOf(form.kind).moveRules ?? [], { form, at, moves, stopped }),
  )
  .stage(
    "jointsJudged",
    "joints",
    ({ baseFacts }) => ({ facts: baseFacts }),
    ({ facts }) => judge("joints", baseOf(facts.form.kind).jointRules, facts),
  )
  .stage(
    "measuredJudged",
    "joints",
    ({ piece, joints, assembled }) => ({
      asBuilt: piece.asBuilt,
      form: piece.form,
      choices: piece.joints,
      joints,
      parts: assembled,
    }),
    ({ asBuilt, form, choices, joints, parts }) =>
      judge("joints", [measuredFits], {
        ...{ asBuilt, choices, joints, parts },
        shorter: (kind, by) => baseOf(form.kind).shorter?.(form, kind, by) ?? [],
      }),
  )
  .stage(
    "mortisesJudged",
    "joints",
    ({ piece, geometry, joints, shop }) => ({
      ...{ asBuilt: piece.asBuilt, joints, shop, at: geometry },
      form: piece.form,
      choices: piece.joints,
    }),
    ({ asBuilt, joints, shop, at, form, choices }) =>
      judge("joints", [mortisesMeasured], {
        ...{ asBuilt, joints },
        // named by two kinds: a joint, not a part
        planned: asBuilt.some(({ part }) => part.includes("+"))
          ? baseOf(form.kind).joints(at, form, choices, shop)
          : joints,
      }),
  )
  .stage(
    "showsJudged",
    "joints",
    ({ piece, joints }) => ({ asBuilt: piece.asBuilt, joints }),
    (facts) => judge("joints", [mortiseShows], facts),
  )
  .stage(
    "foxedJudged",
    "joints",
    ({ piece, joints, meetings, assembled }) => ({ choices: piece.joints, joints, meetings, parts: assembled }),
    (facts) => judge("joints", [foxedTenons], facts),
  )
  .stage(
    "fasteningJudged",
    "joints",
    ({ piece, geometry, assembled }) => ({ piece, at: geometry, parts: assembled }),
    (facts) => judge("joints", FASTENING_RULES, facts),
  )
  .stage(
    "boardsJudged",
    "boards",
    ({ piece, blank, shop, rack, lay, cutting }) => ({
      piece,
      at: blank,
      shop,
      rack,
      laid: lay.laid,
      missing: lay.missing,
      lacking: cutting.lacking,
    }),
    ({ piece, at, shop, rack, laid, missing, lacking }) =>
      judge("boards", PANEL_RULES, { name: "top", piece, at, shop, rack, laid, missing, lacking }),
  )
  .stage(
    "inlaysJudged",
    "boards",
    ({ piece, geometry }) => ({ form: piece.form, at: geometry }),
    (facts) => judge("boards", INLAY_RULES, facts),
  )
  .each(
    "otherBoardsJudged",
    "boards",
    ({ others, piece, shop, rack }) => [[...others.values()], { piece, shop, rack }],
    ({ place, at, laid, missing }, { piece, shop, rack }) => {
      const seen = seenAsTop(piece, at, place);
      const said = judge("boards", ONE_PANEL_RULES, {
        ...seen,
        name: place.name,
        ...{ shop, rack, laid, missing },
        lacking: [],
      });
      return { ...said, verdicts: said.verdicts.map((each) => judgedOf(each, place, piece)) };
    },
  )
  .stage(
    "shelfJudged",
    "form",
    ({ piece, geometry, otherTops, species, woods, partMoves }) => ({
      form: piece.form,
      at: geometry,
      top: [...otherTops.values()].find(({ place }) => place.kind === "shelf")?.top ?? null,
      species: woodOf(woods, piece.form.shelf.kind === "slats" ? "shelf-slat" : "shelf", species),
      moves: partMoves,
    }),
    ({ form, at, top, species, moves }) => judge("form", SHELF_RULES, { form, at, top, species, moves }),
  )
  .stage(
    "glueUpJudged",
    "glue-up",
    ({ piece, glueUp, otherGlue, adhesive, shop }) => ({ piece, stages: glueUp, others: otherGlue, adhesive, shop }),
    ({ piece, stages, others, adhesive, shop }) =>
      judge("glue-up", GLUE_RULES, { piece, stages: [...stages, ...[...others.values()].flat()], adhesive, shop }),
  )
  .stage(
    "closingsJudged",
    "glue-up",
    ({ piece, steps, meetings, assembled, adhesive }) => ({
      ...{ steps, meetings, adhesive },
      hands: piece.glueUp.hands,
      // by name: a part that is only moved is glued as before
      parts: assembled.map(({ id, kind }) => `${id} ${kind}`).join(),
    }),
    ({ steps, meetings, parts, adhesive, hands }) => {
      const named = parts.split(",").map((each) => ({ id: each.split(" ")[0], kind: each.split(" ")[1] }));
      return judge("glue-up", [closesInTime], { closings: closingsOf(steps, meetings, named), adhesive, hands });
    },
  )
  .stage(
    "cuttingJudged",
    "cutting",
    ({ piece, made, cutting, shop, rack, species, woods, sheets }) => ({
      ...{ piece, parts: made, cutting, shop },
      boards: rack,
      ...{ species, woods, sheets },
    }),
    ({ piece, parts, cutting, shop, boards, species, woods, sheets }) =>
      judge("cutting", CUTTING_RULES, {
        ...{ piece, parts: parts.filter(({ role }) => role !== "sheet"), ...cutting, shop, sheets },
        rack: boards.filter((board) => board.species === woodOf(woods, "leg", species).id && board.reservedBy === null),
      }),
  )
  .stage(
    "buildJudged",
    "build",
    ({ piece, steps, today }) => ({ piece, steps, today }),
    ({ piece, steps, today }) => judge("build", BUILD_RULES, { piece, steps, today }),
  )
  .stage(
    "logJudged",
    "log",
    ({ piece, top, records, learned, year, delivered, today }) => ({
      ...{ piece, top, records, learned, year, delivered, today },
    }),
    ({ piece, top, records, learned, year, delivered, today }) =>
      judge("log", LOG_RULES, { piece, top, records, learned, year, delivered, today }),
  );

type Values = ReturnType<ReturnType<typeof JUDGED.runner>>["values"];

/** What the rules said, in the order of the story stick; those that could not be judged are missing. */
export const allJudged = (at: Values): Judged[] =>
  [
    at.briefJudged,
    at.thingsJudged,
    at.baseJudged,
    at.formJudged,
    at.ownJudged,
    at.fitJudged,
    at.rowsJudged,
    at.ringJudged,
    at.curvesJudged,
    at.partingJudged,
    at.dropJudged,
    at.turnJudged,
    at.facingJudged,
    at.hatchJudged,
    at.feetJudged,
    at.slabsJudged,
    at.woodJudged,
    at.outdoorsJudged,
    at.slatsJudged,
    at.stripesJudged,
    at.shelfJudged,
    at.movementJudged,
    at.movesJudged,
    at.jointsJudged,
    at.measuredJudged,
    at.mortisesJudged,
    at.showsJudged,
    at.foxedJudged,
    at.fasteningJudged,
    at.boardsJudged,
    at.inlaysJudged,
    ...(at.otherBoardsJudged?.values() ?? []),
    at.glueUpJudged,
    at.closingsJudged,
    at.cuttingJudged,
    at.buildJudged,
    at.logJudged,
  ].filter((each): each is Judged => each !== undefined);
