/** Third of the list: the cut list, and how moisture goes through each part. */
import { cutParts } from "../layout/cut-list";
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
import { JOINED } from "./joined";

export const PARTS = JOINED.stage(
  "parts",
  "form",
  ({ piece, assembled, fasteners, shop }) => [
    assembled,
    fasteners.filter(({ bearer }) => !assembled.some(({ id, bought }) => bought && id === bearer)).length,
    piece.joints,
    piece.asBuilt,
    piece.choices,
    shop,
  ],
  (parts, count, joints, asBuilt, choices, shop) => cutParts(parts, { joints, count }, { asBuilt, choices }, shop),
)
  .stage("sheets", "cutting", ({ parts, shop }) => [parts, shop.kerf], sheetPlans, [])
  .each(
    "bySection",
    "movement",
    ({ parts, looks, surroundings }) => [
      parts.map((part) => sectionOf(part, looks)).filter((each) => each !== null),
      looks,
      surroundings,
    ],
    courseOfSection,
  )
  .stage(
    "courses",
    "movement",
    ({ parts, topCourse, bySection, looks }) => [parts, topCourse, bySection, looks],
    coursesByKind,
  )
  // each other panel through its years, strip by strip, as the top
  .each(
    "otherTops",
    "movement",
    ({ others, surroundings, looks, courses, piece }) => [
      [...others.values()],
      surroundings,
      looks,
      courses,
      piece.fitted,
    ],
    ({ place, laid }, usual, looks, courses, fitted) => {
      const course = courses[place.kind] ?? courses.top;
      const { species, start } = surroundingsOf(place.kind, looks, usual);
      return {
        place,
        top: topMovement({
          ...{ species, course, width: place.width, thickness: place.thickness },
          start: { ...start, value: course.mean[0] },
          fitted: fittedFor(place.id, fitted),
          strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
        }),
      };
    },
  )
  .stage(
    "stopped",
    "movement",
    ({ piece, geometry, assembled, species, woods, top, links, fasteners, held, courses }) => [
      piece.form,
      piece.joints,
      piece.choices,
      geometry,
      assembled,
      species,
      woods,
      top,
      links,
      fasteners,
      held,
      courses,
    ],
    (form, choices, kept, at, parts, species, woods, top, links, fasteners, held, courses) =>
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
    ({ piece, species, start, bySection, topCourse }) => [
      piece.insets,
      species,
      start.value,
      thinnestCourse(bySection, topCourse),
    ],
    insetMovements,
  )
  .stage(
    "cards",
    "joints",
    ({ joints }) => [joints],
    (joints) => joints.map(cardOf),
  )
  .stage(
    "partMoves",
    "movement",
    ({ parts, courses, species, woods, top, otherTops }) => [
      parts,
      courses,
      species,
      woods,
      top.coefficient,
      otherTops,
    ],
    (parts, courses, species, woods, coefficient, shelves) =>
      partMovements(parts, courses, {
        wood: (kind) => woodOf(woods, kind, species),
        panel: (kind) => [...shelves.values()].find(({ place }) => place.kind === kind)?.top.coefficient ?? coefficient,
      }),
  );
