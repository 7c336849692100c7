/** Second of the list: joints sized, parts that meet, what they weigh, where they touch. */
import { clashesIn, clashesOf } from "../assembly/clashes";
import { smallParts } from "../assembly/small";
import { touching } from "../assembly/touching";
import { massOf, ROUGH, unplaced, weighed } from "../assembly/weight";
import { assemble } from "../construction/assemble";
import { baseOf } from "../construction/base";
import { ownStanding } from "../construction/own";
import { breadboards, slatEnds } from "../movement/breadboard";
import { fixedScrews } from "../movement/fixed";
import { fastenersFor } from "../movement/fastenings";
import { framedTop, slats, stiffeners } from "../movement/flat";
import { linksOf } from "../movement/meetings";
import { topMovement } from "../movement/year";
import { pegParts } from "../construction/top/pegs";
import { topLinks } from "../construction/top/links";
import { woodOf } from "../wood/woods";
import { fastened } from "../joinery/fastening";
import { edgesOf } from "../piece/kinds";
import { SHAPE } from "./shape";

export const JOINED = SHAPE.stage(
  "top",
  "movement",
  ({ geometry, surroundings, topCourse, strips, piece }) => [
    geometry.core,
    surroundings,
    topCourse,
    strips,
    piece.fitted,
  ],
  ({ width, thickness }, { species, start }, course, laid, fitted) =>
    topMovement({
      ...{ width, thickness, species, start, course, fitted },
      strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
    }),
)
  .stage(
    "fasteners",
    "movement",
    ({ piece, geometry, top }) => [piece.form, piece.joints, piece.choices, geometry, top],
    (form, joints, choices, at, top) => fastenersFor({ form, joints, choices }, at, top),
  )
  .stage(
    "screws",
    "movement",
    ({ piece, geometry, fasteners }) => [piece.form, piece.joints, piece.choices, geometry, fasteners],
    (form, joints, choices, at, fasteners) => ({ fasteners, fixed: fixedScrews({ form, joints, choices }, at) }),
  )
  .stage(
    "baseJoints",
    "joints",
    ({ geometry, piece, shop }) => [geometry, piece.form, piece.joints, shop],
    (at, form, choices, shop) => baseOf(form.kind).joints(at, form, choices, shop),
  )
  .stage(
    "held",
    "movement",
    ({ piece, geometry, top, species }) => [piece.form, geometry, top, piece.choices.fixedLine, species],
    (form, at, top, fixed, species) => {
      const laid = form.field === "slats";
      return {
        breadboards:
          form.ends !== "breadboards" ? null : laid ? slatEnds(form, at, top) : breadboards(form, top, fixed),
        stiffeners: stiffeners(form, at, top, fixed),
        slats: laid ? slats(form, top) : null,
        framed: form.ends === "frame" && !laid ? framedTop(form, top, species) : null,
      };
    },
  )
  .stage(
    "own",
    "form",
    ({ piece, geometry, baseJoints, held, shop }) => [
      piece.own,
      piece.form,
      geometry,
      baseJoints,
      held,
      piece.joints,
      shop,
    ],
    (own, form, at, joints, held, choices, shop) => ownStanding({ own, form, at, joints, held, choices, shop }),
    { parts: [], pairs: [], joints: [], meetings: [] },
  )
  .stage(
    "joints",
    "joints",
    ({ baseJoints, own }) => [baseJoints, own],
    (base, { joints }) => [...base, ...joints],
  )
  .stage(
    "meetings",
    "joints",
    ({ piece, geometry, baseJoints, own }) => [piece.form, geometry, baseJoints, own],
    (form, at, joints, own) => [...baseOf(form.kind).meetings({ form, at, joints }), ...own.meetings],
    [],
  )
  .items(
    "jointed",
    "form",
    ({ piece, geometry, baseJoints, own, meetings, held }) => [
      piece.form,
      geometry,
      baseJoints,
      own,
      meetings,
      held.breadboards,
      held.stiffeners,
      piece.kinds,
    ],
    (form, at, joints, own, meetings, ends, stiff, kinds) => [
      ...assemble({
        ...{ form, at, joints, meetings, own: own.parts, edges: edgesOf(kinds) },
        ...{ breadboards: ends, stiffeners: stiff },
      }).parts,
    ],
  )
  // what holds the top is cut into what bears it
  .items(
    "assembled",
    "form",
    ({ jointed, geometry, piece, screws }) => [jointed, geometry, piece.joints, screws],
    fastened,
  )
  .stage(
    "assembly",
    "form",
    ({ assembled, geometry, piece }) => [assembled, geometry, piece.form.kind],
    (parts, at, kind) => {
      const poses = baseOf(kind).poses?.(at, parts) ?? [];
      return poses.length > 0 ? { parts, poses } : { parts };
    },
  )
  .stage(
    "small",
    "joints",
    ({ piece, geometry, held, meetings, jointed }) => [piece.form, geometry, held.breadboards, meetings, jointed],
    (form, at, ends, meetings, parts) => [
      ...smallParts(meetings, parts),
      ...pegParts({ form, at, breadboards: ends }),
      ...(baseOf(form.kind).small?.(at) ?? []),
    ],
    [],
  )
  .stage(
    "opened",
    "form",
    ({ assembly }) => [assembly],
    ({ parts, poses = [] }) => poses.map((pose) => ({ name: pose.name, clashes: clashesIn(parts, pose) })),
    [],
  )
  .stage("clashes", "form", ({ assembled }) => [assembled], clashesOf, [])
  .stage(
    "links",
    "movement",
    ({ piece, geometry, meetings, held }) => [piece.form, piece.joints, geometry, meetings, held],
    (form, choices, at, meetings, held) => [...linksOf(meetings, choices), ...topLinks({ form, at, ...held })],
    [],
  )
  .stage(
    "touches",
    "form",
    ({ assembled, meetings, links }) => [assembled, meetings, links],
    (parts, meetings, links) => touching(parts, { meetings, links }),
    [],
  )
  .items(
    "unplaced",
    "form",
    ({ assembled }) => [assembled],
    (parts) => parts.map(unplaced),
  )
  .each(
    "bodies",
    "form",
    ({ unplaced: parts }) => [parts],
    (part) => weighed(part, ROUGH),
  )
  .stage(
    "weight",
    "form",
    ({ bodies, species, woods }) => [bodies, species, woods],
    (bodies, usual, woods) =>
      [...bodies].reduce(
        (sum, [part, { volume }]) => sum + massOf(part, volume, woodOf(woods, part.kind, usual).density),
        0,
      ),
    0,
  );
