/**
 * What a plan gives a maker, written down before the heart of the core changes: sizes, joints, travel, slots, boards, glue-ups, steps
 * and verdicts. The pieces are files of version 3, so that they are read through every later version too.
 */
import { readdirSync, readFileSync } from "node:fs";
import { readPiece } from "../../core/formats/piece-file";
import { applyPatches } from "../../core/piece/patch";
import { Plan, planPiece } from "../../core/plan";
import { DEMO_RACK, DEMO_SHOP, TODAY } from "../generators/pieces";

const FOLDER = new URL(".", import.meta.url);
/** Names of the pieces that are held: the demo's five and twenty drawn with a seed. */
export const NAMES = readdirSync(new URL("pieces/", FOLDER))
  .map((file) => file.replace(/\.json$/, ""))
  .sort();

/** The plan of a held piece on the demo's rack and shop. @throws Error when its file is no longer read */
export function heldPlan(name: string): Plan {
  const read = readPiece(readFileSync(new URL(`pieces/${name}.json`, FOLDER), "utf8"));
  if (!read.ok) throw new Error(`${name}: ${read.message}`);
  const { edge } = read.piece.form.top;
  // a bevel below was a line on the drawing and nothing else
  const piece = applyPatches(
    read.piece,
    edge.kind === "bevel-below" ? [{ path: ["form", "top", "edge", "kind"], value: "eased" }] : [],
  );
  return planPiece({ piece, shop: DEMO_SHOP, rack: DEMO_RACK, ownSpecies: [], today: TODAY });
}

const withoutKind = ({ length, groove, bolts, ends, x }: NonNullable<Plan["stiffeners"]>) => ({
  ...{ length, groove, bolts, ends, x },
});

/** Rules that were not there when they were written down. */
const SINCE = ["form.fit", "glueup.closing"];

/** What was written down of it. */
export const goldenFile = (name: string) => new URL(`golden/${name}.json`, FOLDER);

/** Everything of a plan that a maker measures, cuts or reads, by names that outlive any one construction. */
export function goldenOf(plan: Plan): unknown {
  const { parts, joints, cards, fasteners, breadboards, stiffeners, slats, framed, insets, top, courses } = plan;
  return rounded({
    parts: parts.map(({ id, name, count, marks, finished, milled, rough, leaves, note }) => ({
      ...{ id, name, count, marks, finished, milled, rough, leaves, note },
    })),
    joints: joints.map((joint) => sorted({ ...joint })),
    cards: cards.map((card) => ({ ...card })),
    holding: {
      fasteners: fasteners.map(({ id, x, z, dry, wet }) => ({ id, x, z, dry, wet })),
      breadboards,
      // as they were called when they were the only ones
      channels: stiffeners && withoutKind(stiffeners),
      slats,
      framed,
      insets,
    },
    top: {
      coefficient: top.coefficient,
      start: top.start,
      dry: top.dry,
      wet: top.wet,
      strips: top.strips.length,
      least: Math.min(...top.changes),
      most: Math.max(...top.changes),
      bow: [Math.min(...top.bow), Math.max(...top.bow)],
    },
    courses: [courses.top, courses["long-rail"], courses.leg].map(({ driest, wettest, half }) => ({
      driest,
      wettest,
      half,
    })),
    stopped: plan.stopped.map(({ axis, link, members, excess, when, across, strain, slip, fails, load }) => ({
      ...{ axis, joint: link.name, kind: link.kind, hold: link.hold, mend: link.mend?.map((each) => each.label) },
      ...{ members: members.map((each) => each.name), excess, when, across, strain, slip, fails, load },
    })),
    partMoves: plan.partMoves.map(({ course: _, ...rest }) => rest),
    panel: plan.panel.laid.map(({ board, from, width, full, strip }) => ({
      board: board.id,
      from,
      width,
      full,
      strip,
    })),
    glueUp: plan.glueUp.map(({ pieces: _, ...rest }) => rest),
    cutting: {
      placed: plan.cutting.placed.map(({ piece, board }) => `${piece.label} from ${board}`).sort(),
      missing: plan.cutting.missing.map((piece) => piece.label),
      settings: plan.cutting.settings,
      yieldShare: plan.cutting.yieldShare,
    },
    steps: plan.steps.map(({ id, title, detail, starts, ready, hours, wait }) => ({
      ...{ id, title, detail, starts, ready, hours, wait },
    })),
    verdicts: plan.verdicts
      .filter(({ id }) => !SINCE.includes(id))
      .map(({ id, stage, level, text, why, limit, actual }) => ({ id, stage, level, text, why, limit, actual }))
      .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)),
  });
}

/** What a joint was before joints had names of their own. */
const sorted = ({ group: _, name: __, receives: ___, enters: ____, ...rest }: Record<string, unknown>) => rest;

/** Numbers to seven figures: what lies beyond is the machine's. */
function rounded(value: unknown): unknown {
  if (typeof value === "number") return Number.isFinite(value) ? Number(value.toPrecision(7)) : String(value);
  if (Array.isArray(value)) return value.map(rounded);
  if (value !== null && typeof value === "object")
    return Object.fromEntries(
      Object.entries(value).flatMap(([key, each]) => (each === undefined ? [] : [[key, rounded(each)]])),
    );
  return value;
}
