/** The pieces of one commission together: drawn on one floor to one scale, every machine setting once, the boards that serve several of them. */
import { useOf } from "./brief/uses";
import { thumbScene } from "./drawing/elevations";
import { line, Scene, shifted } from "./drawing/scene";
import type { MachineSetting } from "./layout/machine-settings";
import type { Piece } from "./piece/schema";
import type { Plan } from "./plan";

/** One of them with its plan; null where nothing of it could be planned. */
export interface Member {
  id: string;
  piece: Piece;
  plan: Plan | null;
}

/** A machine setting, and which parts of which pieces are run at it. */
export interface SharedSetting {
  machine: MachineSetting["machine"];
  setting: number;
  pieces: { id: string; name: string; marks: string[] }[];
}

export interface Commission {
  scene: Scene;
  pieces: {
    id: string;
    name: string;
    use: string;
    times: number;
    size: [number, number, number];
    species: string;
    /** of one of them, kg; null where it was not planned */
    weight: number | null;
    hours: number | null;
    deadline: string | null;
  }[];
  settings: SharedSetting[];
  /** thicknesses of different pieces that are nearly one planer setting: the thicker and the thinner, mm */
  near: { thick: number; thin: number; pieces: string[] }[];
  /** boards that more than one of them is cut from */
  boards: { id: string; pieces: string[] }[];
}

/** Thicknesses that differ by no more could as well be made alike, mm. Ours */
const NEARLY = 1.5;
/** Between two pieces on the drawing, mm. Ours */
const BETWEEN = 350;

/** Pieces beside one another in their order, on one floor; settings, boards and sizes of all of them. */
export function commissionOf(members: readonly Member[]): Commission {
  const settings = settingsOf(members);
  return {
    scene: sideBySide(members),
    pieces: members.map(({ id, piece, plan }) => ({
      ...{ id, name: piece.name, use: useOf(piece.form).noun, times: piece.times },
      size: [piece.form.top.length, piece.form.top.width, piece.form.height],
      species: plan?.species.name ?? piece.species,
      weight: plan ? plan.weight : null,
      hours: plan ? plan.steps.reduce((sum, step) => sum + (step.done ? 0 : step.hours), 0) : null,
      deadline: piece.brief.deadline,
    })),
    settings,
    near: nearlyAlike(settings),
    boards: boardsShared(members),
  };
}

function sideBySide(members: readonly Member[]): Scene {
  let from = 0;
  let high = 0;
  const items = members.flatMap(({ id, piece, plan }) => {
    if (!plan) return [];
    const scene = thumbScene({ ...plan, form: piece.form });
    const reach = Math.max(scene.bounds.w, plan.geometry.frame.length) / 2;
    const middle = from + reach;
    from += 2 * reach + BETWEEN;
    high = Math.max(high, scene.bounds.h);
    return [
      // what is clicked opens its piece, whichever part it is
      ...scene.items.map((item) => shifted("id" in item ? { ...item, id } : item, middle)),
      {
        ...{
          kind: "text" as const,
          x: middle,
          y: 0,
          text: piece.times > 1 ? `${piece.times} × ${piece.name}` : piece.name,
        },
        ...{ anchor: "middle" as const, ink: "ink" as const, size: 13, dy: 24 },
      },
    ];
  });
  const long = Math.max(1, from - BETWEEN);
  return {
    id: "commission",
    title: `${members.length} pieces of one commission side by side, to one scale.`,
    bounds: { x: 0, y: 0, w: long, h: Math.max(1, high) },
    margin: [12, 20, 36, 20],
    items: [
      line(
        [
          [-60, 0],
          [long + 60, 0],
        ],
        "faint",
      ),
      ...items,
    ],
  };
}

/** Settings in the order they are made, thickest and longest first; each tells which parts of which pieces it serves. */
function settingsOf(members: readonly Member[]): SharedSetting[] {
  const found = new Map<string, SharedSetting>();
  for (const { id, piece, plan } of members)
    for (const { machine, setting, parts } of plan?.cutting.settings ?? []) {
      const key = `${machine} ${setting.toFixed(1)}`;
      const shared = found.get(key) ?? { machine, setting, pieces: [] };
      shared.pieces.push({ id, name: piece.name, marks: parts.flatMap((part) => part.marks) });
      found.set(key, shared);
    }
  const order: MachineSetting["machine"][] = ["planer", "table saw", "crosscut stop"];
  return [...found.values()].sort(
    (a, b) => order.indexOf(a.machine) - order.indexOf(b.machine) || b.setting - a.setting,
  );
}

/** Planer settings next to one another that serve different pieces and hardly differ. */
function nearlyAlike(settings: readonly SharedSetting[]): Commission["near"] {
  const planed = settings.filter(({ machine }) => machine === "planer");
  return planed.slice(1).flatMap((thin, i) => {
    const thick = planed[i];
    const apart = thin.pieces.every(({ id }) => !thick.pieces.some((other) => other.id === id));
    return apart && thick.setting - thin.setting <= NEARLY
      ? [
          {
            thick: thick.setting,
            thin: thin.setting,
            pieces: [...thick.pieces, ...thin.pieces].map(({ name }) => name),
          },
        ]
      : [];
  });
}

function boardsShared(members: readonly Member[]): Commission["boards"] {
  const by = new Map<string, string[]>();
  for (const { piece, plan } of members)
    for (const id of new Set(plan?.cutting.boards.map(({ board }) => board.id) ?? []))
      by.set(id, [...(by.get(id) ?? []), piece.name]);
  return [...by].filter(([, pieces]) => pieces.length > 1).map(([id, pieces]) => ({ id, pieces }));
}
