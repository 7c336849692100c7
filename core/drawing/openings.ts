/** A case from the front by its openings: what each holds, the lines between them to be moved, sizes to be typed. */
import type { Case } from "../construction/base/case/case";
import { isDrawn } from "../piece/case-choices";
import { dimension, formEdit, Item, rect, Scene } from "./scene";

/** Names of what can be picked and moved: an opening, a line under an opening, a line right of a bay. */
export const openingId = (bay: number, row: number) => `opening ${bay} ${row}`;
export const underId = (bay: number, row: number) => `under ${bay} ${row}`;
export const besideId = (bay: number) => `beside ${bay}`;

/** What a drawn name stands for; null for anything else. */
export function readId(id: string): { kind: "opening" | "under" | "beside"; bay: number; row: number } | null {
  const [kind, bay, row = "0"] = id.split(" ");
  return kind === "opening" || kind === "under" || kind === "beside"
    ? { kind, bay: Number(bay), row: Number(row) }
    : null;
}

/** A division drawn no thinner than a finger finds, mm. */
const GRIP = 14;
/** From one line of words to the next, pixels. */
const LINE = 15;
const HOLDS = {
  nothing: "open",
  drawer: "drawer",
  "drawers-through": "drawers from both sides",
  "door-left": "door, hung left",
  "door-right": "door, hung right",
  doors: "two doors",
} as const;

/** What stands in an opening, as its drawing says it. */
function saidOf(at: Case, bay: number, row: number): { lines: string[]; made: boolean } {
  const { holds, shelves } = at.bays[bay].openings[row];
  const here = <T extends { bay: number; row: number }>(all: readonly T[]) =>
    all.filter((each) => each.bay === bay && each.row === row);
  if (isDrawn(holds)) {
    const [drawer, behind] = here(at.drawers);
    const both = behind ? [`behind it ${behind.n}`] : [];
    return drawer
      ? { lines: [`drawer ${drawer.n}`, ...both], made: true }
      : { lines: ["no room", "for a drawer"], made: false };
  }
  const loose = shelves > 0 ? [shelves === 1 ? "a loose shelf" : `${shelves} loose shelves`] : [];
  const made = holds === "nothing" || here(at.doors).length > 0;
  return { lines: made ? [...HOLDS[holds].split(", "), ...loose] : ["no room", "for a door"], made };
}

/** @param chosen  the opening that is looked at */
export function openingsScene(at: Case, chosen: { bay: number; row: number } | null): Scene {
  const { bays, outside, under, inner, foot, high } = at;
  const edit = (name: string, ...path: (string | number)[]) => formEdit(name, "case", ...path.map(String));
  const grip = Math.max(inner, GRIP);
  const items: Item[] = [
    rect(
      { x: outside.from, y: foot, w: Math.max(1, outside.to - outside.from), h: Math.max(1, under - foot) },
      "outline",
      "case-side",
    ),
    ...bays.flatMap(({ from, to, openings }, i): Item[] =>
      openings.flatMap((opening, j): Item[] => {
        const picked = chosen?.bay === i && chosen.row === j;
        const high = opening.to - opening.from;
        const said = saidOf(at, i, j);
        return [
          {
            ...{ kind: "rect", x: from, y: opening.from, w: to - from, h: high, id: openingId(i, j) },
            ink: picked ? "wash" : "void",
            label: `Opening ${j + 1} of bay ${i + 1}: ${Math.round(to - from)} by ${Math.round(high)} mm, ${HOLDS[opening.holds]}`,
          },
          // one under the other, round the middle
          ...said.lines.map((text, n): Item => ({
            ...{ kind: "text", x: (from + to) / 2, y: (opening.from + opening.to) / 2, text, anchor: "middle" },
            ...{ ink: said.made ? "ink" : "graphite", dy: 4 + LINE * (n - (said.lines.length - 1) / 2) },
          })),
        ];
      }),
    ),
    ...bays.flatMap(({ from, to, divisions }, i): Item[] =>
      divisions.map((each, j) => ({
        ...{ kind: "rect", x: from, y: (each.from + each.to - grip) / 2, w: to - from, h: grip, ink: "paper" },
        id: underId(i, j),
        label: `Line under opening ${j + 1} of bay ${i + 1}: move it`,
      })),
    ),
    ...at.dividers.map((x, i): Item => ({
      ...{ kind: "rect", x: x - grip / 2, y: high.from, w: grip, h: high.to - high.from, ink: "paper" },
      id: besideId(i),
      label: `Line right of bay ${i + 1}: move it`,
    })),
    ...bays.map(({ from, to }, i) =>
      dimension([from, foot], [to, foot], {
        offset: -16,
        value: to - from,
        edit: edit(`Width of bay ${i + 1}`, "bays", i, "width"),
      }),
    ),
    ...bays.flatMap(({ from, to, openings }, i) =>
      openings.map((opening, j) => {
        const x = i === bays.length - 1 ? to - 0.1 * (to - from) : from + 0.1 * (to - from);
        return dimension([x, opening.to], [x, opening.from], {
          offset: 0,
          value: opening.to - opening.from,
          edit: edit(`Height of opening ${j + 1} in bay ${i + 1}`, "bays", i, "rows", j, "height"),
        });
      }),
    ),
  ];
  return {
    id: "openings",
    title: `The case from the front: ${bays.map(({ openings }) => openings.map(({ holds }) => HOLDS[holds]).join(", ")).join("; ")}.`,
    bounds: { x: outside.from, y: foot, w: Math.max(1, outside.to - outside.from), h: Math.max(1, under - foot) },
    margin: [10, 20, 34, 20],
    items,
  };
}
