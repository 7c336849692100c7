/** Third of the list: the cut list, and how moisture goes through each part. */
import { cutParts, partsMade } from "../layout/cut-list";
import { sheetPlans } from "../layout/sheets";
import {
  courseOfSection,
  coursesByKind,
  sectionOf,
  stoppedIn,
  surroundingsOf,
  thinnestCourse,
} from "../movement/courses";
import { fittedFor } from "../learning/records";
import { insetMovements } from "../movement/insets";
import { partMovements } from "../movement/parts";
import { topMovement } from "../movement/year";
import { woodOf } from "../wood/woods";
import { cardOf } from "../joinery/kinds";
import { WEIGHED } from "./weighed";

export const PARTS = WEIGHED.stage(
  "parts",
  "form",
  ({ piece, assembled, fasteners, shop }) => ({
    parts: assembled,
    count: fasteners.filter(({ bearer }) => !assembled.some(({ id, bought }) => bought && id === bearer)).length,
    joints: piece.joints,
    asBuilt: piece.asBuilt,
    choices: piece.choices,
    shop,
  }),
  ({ parts, count, joints, asBuilt, choices, shop }) => cutParts(parts, { joints, count }, { asBuilt, choices }, shop),
)
  .stage(
    "made",
    "form",
    ({ parts, piece, shop }) => ({ parts, times: piece.times, kerf: shop.kerf }),
    ({ parts, times, kerf }) => partsMade(parts, times, kerf),
  )
  .stage(
    "sheets",
    "cutting",
    ({ made, shop, piece }) => ({ parts: made, kerf: shop.kerf, bought: piece.form.sheetSold }),
    ({ parts, kerf, bought }) => sheetPlans(parts, { kerf, bought }),
  )
  .otherwise([])
  .each(
    "bySection",
    "movement",
    ({ parts, looks, surroundings }) => [
      parts.map((part) => sectionOf(part, looks)).filter((each) => each !== null),
      { looks, surroundings },
    ],
    (item, { looks, surroundings }) => courseOfSection(item, looks, surroundings),
  )
  .stage(
    "courses",
    "movement",
    ({ parts, topCourse, bySection, looks }) => ({ parts, topCourse, bySection, looks }),
    ({ parts, topCourse, bySection, looks }) => coursesByKind(parts, topCourse, bySection, looks),
  )
  // each other panel through its years, strip by strip, as the top
  .each(
    "otherTops",
    "movement",
    ({ others, surroundings, looks, courses, piece, bed }) => [
      [...others.values()],
      { usual: surroundings, looks, courses, fitted: piece.fitted, bed },
    ],
    ({ place, laid }, { usual, looks, courses, fitted, bed }) => {
      const course = courses[place.kind] ?? courses.top;
      const { species, start } = surroundingsOf(place.kind, looks, usual);
      return {
        place,
        top: topMovement({
          ...{ species, course, width: place.width, thickness: place.thickness },
          start: { ...start, value: course.mean[0] },
          fitted: fittedFor(place.id, fitted),
          inserted: place.kind === "top" ? bed : null,
          strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
        }),
      };
    },
  )
  .stage(
    "stopped",
    "movement",
    ({ piece, geometry, assembled, species, woods, top, links, fasteners, held, courses }) => ({
      form: piece.form,
      choices: piece.joints,
      kept: piece.choices,
      at: geometry,
      parts: assembled,
      ...{ species, woods, top, links, fasteners, held, courses },
    }),
    ({ form, choices, kept, at, parts, species, woods, top, links, fasteners, held, courses }) =>
      stoppedIn(
        {
          ...{ at, parts, species, woods, top, fasteners, stiffeners: held.stiffeners },
          piece: { form, joints: choices, choices: kept },
          links,
        },
        courses,
      ),
  )
  .stage(
    "insets",
    "movement",
    ({ piece, species, start, bySection, topCourse }) => ({
      insets: piece.insets,
      species,
      value: start.value,
      course: thinnestCourse(bySection, topCourse),
    }),
    ({ insets, species, value, course }) => insetMovements(insets, species, value, course),
  )
  .stage(
    "cards",
    "joints",
    ({ joints, piece }) => ({ joints, times: piece.times }),
    ({ joints, times }) => joints.map((joint) => cardOf({ ...joint, count: joint.count * times })),
  )
  .stage(
    "partMoves",
    "movement",
    ({ parts, courses, species, woods, top, otherTops }) => ({
      ...{ parts, courses, species, woods },
      coefficient: top.coefficient,
      shelves: otherTops,
    }),
    ({ parts, courses, species, woods, coefficient, shelves }) =>
      partMovements(parts, courses, {
        wood: (kind) => woodOf(woods, kind, species),
        panel: (kind) =>
          (kind === "top" ? null : [...shelves.values()].find(({ place }) => place.kind === kind)?.top.coefficient) ??
          coefficient,
      }),
  );
