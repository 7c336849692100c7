/** Second of the list: joints sized, parts that meet, where they touch. */
import { clashesIn, clashesOf } from "../assembly/clashes";
import { smallParts } from "../assembly/small";
import { touching } from "../assembly/touching";
import { assemble } from "../construction/assemble";
import { baseOf } from "../construction/base";
import { footHoles, footSmall } from "../construction/fitting/feet";
import { ownStanding } from "../construction/own";
import { breadboards, slatEnds } from "../movement/breadboard";
import { fixedScrews } from "../movement/fixed";
import { fastenersFor } from "../movement/fastenings";
import { framedTop, slats, stiffeners } from "../movement/flat";
import { linksOf } from "../movement/meetings";
import { topMovement } from "../movement/year";
import { addedOf, posesOf, workedFor } from "../construction/added";
import { pegParts } from "../construction/top/pegs";
import { inlaysOf } from "../construction/top/inlays";
import { besideFacing } from "../construction/facing/bed";
import { topLinks } from "../construction/top/links";
import { fastened } from "../joinery/fastening";
import { curvesOf, edgesOf } from "../piece/kinds";
import { baseJointsOf } from "./base-joints";
import { SHAPE } from "./shape";

export const JOINED = SHAPE.stage(
  "top",
  "movement",
  ({ geometry, surroundings, topCourse, strips, stripes, bed, piece }) => ({
    core: geometry.core,
    bed,
    surroundings,
    course: topCourse,
    laid: strips,
    stripes,
    fitted: piece.fitted,
  }),
  ({ core: { width, thickness }, surroundings: { species, start }, course, laid, stripes, bed, fitted }) =>
    topMovement({
      stripes,
      inserted: bed,
      ...{ width, thickness, species, start, course, fitted },
      strips: laid.map((each) => ({ strip: each.strip, board: each.board, width: each.full })),
    }),
)
  .stage(
    "fasteners",
    "movement",
    ({ piece, geometry, top }) => ({
      form: piece.form,
      joints: piece.joints,
      choices: piece.choices,
      at: geometry,
      top,
    }),
    ({ form, joints, choices, at, top }) => fastenersFor({ form, joints, choices }, at, top),
  )
  .stage(
    "screws",
    "movement",
    ({ piece, geometry, fasteners }) => ({
      form: piece.form,
      joints: piece.joints,
      choices: piece.choices,
      at: geometry,
      fasteners,
    }),
    ({ form, joints, choices, at, fasteners }) => ({ fasteners, fixed: fixedScrews({ form, joints, choices }, at) }),
  )
  .stage(
    "baseJoints",
    "joints",
    ({ geometry: at, piece: { form, joints: choices, asBuilt }, shop }) => ({ at, form, choices, shop, asBuilt }),
    baseJointsOf,
  )
  .stage(
    "held",
    "movement",
    ({ piece, geometry, top, species }) => ({
      form: piece.form,
      at: geometry,
      top,
      fixed: piece.choices.fixedLine,
      species,
    }),
    ({ form, at, top, fixed, species }) => {
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
    ({ piece, geometry, baseJoints, held, shop }) => ({
      own: piece.own,
      form: piece.form,
      at: geometry,
      joints: baseJoints,
      held,
      choices: piece.joints,
      shop,
    }),
    ({ own, form, at, joints, held, choices, shop }) => ownStanding({ own, form, at, joints, held, choices, shop }),
  )
  .otherwise({ parts: [], pairs: [], joints: [], meetings: [] })
  .stage(
    "inlays",
    "joints",
    ({ piece, geometry, shop }) => ({ form: piece.form, at: geometry, shop }),
    ({ form, at, shop }) => inlaysOf(form, at, shop),
  )
  .otherwise({ parts: [], joints: [], meetings: [] })
  .stage(
    "parting",
    "joints",
    ({ piece, geometry, shop }) => ({ form: piece.form, at: geometry, shop, choices: piece.joints }),
    addedOf,
  )
  .otherwise({ parts: [], joints: [], meetings: [], small: [] })
  .stage(
    "joints",
    "joints",
    ({ baseJoints, own, inlays, parting }) => ({ base: baseJoints, own, inlays, parting }),
    ({ base, own, inlays, parting }) => [...base, ...own.joints, ...inlays.joints, ...parting.joints],
  )
  .stage(
    "meetings",
    "joints",
    ({ piece, geometry, baseJoints, own, inlays, parting }) => ({
      form: piece.form,
      at: geometry,
      joints: baseJoints,
      ...{ own, inlays, parting },
    }),
    ({ form, at, joints, own, inlays, parting }) => [
      ...baseOf(form.kind).meetings({ form, at, joints }),
      ...own.meetings,
      ...inlays.meetings,
      ...parting.meetings,
    ],
  )
  .otherwise([])
  .items(
    "jointed",
    "form",
    ({ piece, geometry, baseJoints, own, inlays, parting, meetings, held }) => ({
      form: piece.form,
      at: geometry,
      joints: baseJoints,
      ...{ own, inlays, parting },
      meetings,
      ends: held.breadboards,
      stiff: held.stiffeners,
      kinds: piece.kinds,
    }),
    ({ form, at, joints, own, inlays, parting, meetings, ends, stiff, kinds }) => [
      ...assemble({
        ...{ form, at, joints, meetings, edges: edgesOf(kinds), curves: curvesOf(kinds) },
        own: [...own.parts, ...inlays.parts, ...parting.parts],
        ...{ breadboards: ends, stiffeners: stiff },
      }).parts,
    ],
  )
  // what holds the top is cut into what bears it, and the holes of feet into what stands on them
  .items(
    "assembled",
    "form",
    ({ jointed, geometry, piece, screws }) => ({
      ...{ jointed, geometry, screws },
      form: piece.form,
      joints: piece.joints,
    }),
    ({ jointed, geometry, form, joints, screws }) =>
      footHoles(fastened(workedFor(jointed, geometry, form), geometry, joints, screws), geometry, form),
  )
  .stage(
    "assembly",
    "form",
    ({ assembled, geometry, piece }) => ({ parts: assembled, at: geometry, form: piece.form }),
    ({ parts, at, form }) => {
      const { kind } = form;
      const poses = [...(baseOf(kind).poses?.(at, parts) ?? []), ...posesOf(at, parts, form)];
      return poses.length > 0 ? { parts, poses } : { parts };
    },
  )
  .stage(
    "small",
    "joints",
    ({ piece, geometry, held, parting, meetings, jointed }) => ({
      form: piece.form,
      parting,
      at: geometry,
      ends: held.breadboards,
      meetings,
      parts: jointed,
    }),
    ({ form, parting, at, ends, meetings, parts }) => [
      ...smallParts(meetings, parts),
      ...parting.small,
      ...pegParts({ form, at, breadboards: ends }),
      ...(baseOf(form.kind).small?.(at) ?? []),
      ...footSmall(at, form),
    ],
  )
  .otherwise([])
  .stage(
    "opened",
    "form",
    ({ assembly }) => ({ assembly }),
    ({ assembly: { parts, poses = [] } }) =>
      poses.map((pose) => ({ name: pose.name, clashes: clashesIn(parts, pose) })),
  )
  .otherwise([])
  .stage(
    "clashes",
    "form",
    ({ assembled }) => ({ assembled }),
    ({ assembled }) => clashesOf(assembled),
  )
  .otherwise([])
  .stage(
    "links",
    "movement",
    ({ piece, geometry, meetings, held }) => ({
      form: piece.form,
      choices: piece.joints,
      at: geometry,
      meetings,
      held,
    }),
    ({ form, choices, at, meetings, held }) => [...linksOf(meetings, choices), ...topLinks({ form, at, ...held })],
  )
  .otherwise([])
  .stage(
    "touches",
    "form",
    ({ assembled, meetings, links, geometry, piece }) => ({
      parts: assembled,
      ...{ meetings, links },
      at: geometry,
      form: piece.form,
    }),
    ({ parts, meetings, links, at, form }) =>
      touching(parts, {
        meetings,
        links: [...links, ...(baseOf(form.kind).against?.(at, form) ?? []), ...besideFacing(at)],
      }),
  )
  .otherwise([]);
