/** Backs of wood as parts, and where they are screwed to what stands before them. */
import { Outline, Spot, straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import { DOWN, FRONT, LEFT, RIGHT, UP, Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import { Contact, screwFor } from "../contact";
import type { Span } from "../leg-frame/place";
import { backBoards, backFrame, BackPanel, backPanels, BackPiece, panelThick } from "./back";
import type { Case } from "./case";
import { cut, PULL } from "./cut";
import { shelfKind } from "./kinds";
import { shelvesOf } from "./place";

/** Seen from the front: grain upright or to the right, thickness back. */
const UPRIGHT = { x: UP, y: RIGHT };
const LEVEL = { x: RIGHT, y: DOWN };

const WORDS: Record<BackPiece["kind"] | "back-panel", Pick<AssemblyPart, "name" | "letter" | "note">> = {
  "back-board": {
    name: "Back board",
    letter: "M",
    note: "Its grain upright; halved along both edges, so that it laps its neighbours, one screw at each end in its middle.",
  },
  "back-stile": { name: "Stile of the back", letter: "BS", note: "Grooved for the panel along its inner edge." },
  "back-rail": { name: "Rail of the back", letter: "BR", note: "Its tenons are included; grooved for the panels." },
  "back-muntin": { name: "Muntin of the back", letter: "BM", note: "Its tenons are included; grooved on both edges." },
  "back-panel": {
    name: "Panel of the back",
    letter: "BP",
    note: "Its grain upright; finished before it goes in, free in its grooves but for a dab of glue in the middle of each rail.",
  },
};
const opens: Vec = [0, 0, -PULL.back];
const size = ({ from, to }: Span) => to - from;

/** Every part of a back that is of wood; none where it is of sheet, or there is none. */
export function backParts(at: Case, form: Form): AssemblyPart[] {
  const boards = backBoards(at, form);
  const panels = backPanels(at, form);
  return [
    ...boards.map((board, i) => boardPart(at, form, board, { first: i === 0, last: i === boards.length - 1 })),
    ...backFrame(at, form).map((piece) => framePart(at, form, piece, panels)),
    ...panels.map((panel) => panelPart(at, form, panel)),
  ];
}

const known = (id: string, kind: keyof typeof WORDS) => ({ id, kind, ...WORDS[kind], make: "solid" as const, opens });

/** Halves of two boards that lap lie so far from one another, mm: they slide. @source common practice */
const LOOSE = 0.2;

/** Its section: its neighbour on the left lies before it, the one on the right behind. */
function lapped(
  wide: number,
  thick: number,
  { lap, first, last }: { lap: number; first: boolean; last: boolean },
): Outline {
  const [front, behind] = [(thick - LOOSE) / 2, (thick + LOOSE) / 2];
  return {
    outer: straight([
      ...(first ? [[0, 0] as Spot] : []),
      ...(first ? [] : [[lap, 0] as Spot]),
      [wide, 0],
      ...(last
        ? [[wide, thick] as Spot]
        : ([
            [wide, front],
            [wide - lap, front],
            [wide - lap, thick],
          ] as Spot[])),
      [0, thick],
      ...(first
        ? []
        : ([
            [0, behind],
            [lap, behind],
          ] as Spot[])),
    ]),
    holes: [],
  };
}

function boardPart(
  { insideBack, back }: Case,
  { case: { backs } }: Form,
  { id, kind, x, y }: BackPiece,
  ends: { first: boolean; last: boolean },
): AssemblyPart {
  const [length, width] = [size(y), size(x)];
  return {
    ...known(id, kind),
    role: "rail",
    shape: { length, width, thickness: back, end: lapped(width, back, { lap: backs.lap, ...ends }) },
    place: { at: [x.from, y.from, insideBack], ...UPRIGHT },
    ...{ adds: [], cuts: [] },
  };
}

function framePart(at: Case, form: Form, { id, kind, x, y }: BackPiece, panels: readonly BackPanel[]): AssemblyPart {
  const { insideBack, back } = at;
  const { groove } = form.case.backs;
  const thick = panelThick(at, form);
  const level = kind === "back-rail";
  const place: Place = level
    ? { at: [x.from, y.to, insideBack], ...LEVEL }
    : { at: [x.from, y.from, insideBack], ...UPRIGHT };
  // the whole of what a panel and its grooves take, which reaches into each piece beside it
  const grooves = panels
    .map(({ between }) => ({
      x: { from: between.x.from - groove, to: between.x.to + groove },
      y: { from: between.y.from - groove, to: between.y.to + groove },
    }))
    .filter((each) => each.x.from < x.to && each.x.to > x.from && each.y.from < y.to && each.y.to > y.from);
  return {
    ...known(id, kind),
    role: "rail",
    shape: level
      ? { length: size(x), width: size(y), thickness: back }
      : { length: size(y), width: size(x), thickness: back },
    place,
    adds: [],
    cuts: grooves.map((each) =>
      cut(
        "back-panel",
        place,
        { length: size(each.y), width: size(each.x), thickness: thick },
        { at: [each.x.from, each.y.from, insideBack - (back - thick) / 2], ...UPRIGHT },
      ),
    ),
  };
}

function panelPart(at: Case, form: Form, { n, x, y }: BackPanel): AssemblyPart {
  const thickness = panelThick(at, form);
  return {
    ...known(`BP${n}`, "back-panel"),
    role: "panel",
    shape: { length: size(y), width: size(x), thickness },
    place: { at: [x.from, y.from, at.insideBack - (at.back - thickness) / 2], ...UPRIGHT },
    ...{ adds: [], cuts: [] },
  };
}

/** A screw for so much of a frame, and so far into what is before it; less of two faces in common takes none; mm. @source common practice */
const SCREWS = { every: 240, into: 22, least: 8 };

/** An edge that a back lies behind. */
interface Edge {
  id: string;
  kind: string;
  name: string;
  x: Span;
  y: Span;
  depth: number;
}

/** Frame joints, and a screw wherever the back lies behind an edge: boards are free to move but at their ends. */
export function backContacts(at: Case, form: Form): Contact[] {
  const boards = backBoards(at, form);
  const frame = backFrame(at, form);
  return [...joints(at, form, frame), ...[...boards, ...frame].flatMap((piece) => screws(at, piece, form.case.slot))];
}

function joints(at: Case, { case: { backs } }: Form, frame: readonly BackPiece[]): Contact[] {
  const { insideBack, back } = at;
  const deepest = insideBack - back;
  return frame.flatMap(({ id, kind, x, y }): Contact[] => {
    if (kind === "back-rail") {
      const same = {
        ...{ group: "back-stile+back-rail", name: "Back: rail to stile", enters: id, how: "stub" as const },
        ...{ section: { width: size(y), thickness: back }, depth: backs.stile },
      };
      return [
        { ...same, receives: "BS1", face: { at: [x.from, y.from, insideBack], x: LEFT, y: UP } },
        { ...same, receives: "BS2", face: { at: [x.to, y.from, deepest], x: RIGHT, y: UP } },
      ];
    }
    if (kind !== "back-muntin") return [];
    const same = {
      ...{ group: "back-rail+back-muntin", name: "Back: muntin to rail", enters: id, how: "stub" as const },
      ...{ section: { width: size(x), thickness: back }, depth: backs.rail },
    };
    return [
      { ...same, receives: "BR1", face: { at: [x.from, y.from, deepest], x: DOWN, y: RIGHT } },
      { ...same, receives: "BR2", face: { at: [x.from, y.to, insideBack], x: UP, y: RIGHT } },
    ];
  });
}

/** What a back lies behind: the bottom, the rail above, shelves and dividers. */
function edgesOf(at: Case): Edge[] {
  const { inside, lift, inner, under, rail, deep, insideBack, dividers, high, bays } = at;
  const shelves = shelvesOf(at);
  const depth = deep.to - insideBack;
  return [
    ...[
      { id: "Q", kind: "case-bottom", name: "bottom", x: inside, y: { from: lift, to: lift + inner }, depth },
      {
        id: "A2",
        kind: "case-rail",
        name: "rail above",
        x: inside,
        y: { from: under - inner, to: under },
        depth: rail,
      },
    ],
    ...shelves.map(({ bay, at: y }, i): Edge => ({
      ...{ id: shelves.length > 1 ? `H${i + 1}` : "H", kind: shelfKind(bay), name: "shelf" },
      ...{ x: { from: bays[bay].from, to: bays[bay].to }, y, depth },
    })),
    ...dividers.map((x, i): Edge => ({
      ...{ id: dividers.length > 1 ? `DV${i + 1}` : "DV", kind: "divider", name: "divider" },
      ...{ x: { from: x - inner / 2, to: x + inner / 2 }, y: high, depth },
    })),
  ];
}

/** Boards that lie behind an edge by too little for a screw: their neighbours keep them there. */
export const backAgainst = (at: Case, form: Form): { a: string; b: string }[] =>
  backBoards(at, form).flatMap(({ id, x, y }) =>
    edgesOf(at)
      .filter((edge) => size(common(x, edge.x)) > 0 && size(common(y, edge.y)) > 0)
      .map((edge) => ({ a: id, b: edge.id })),
  );

const common = (a: Span, b: Span): Span => ({ from: Math.max(a.from, b.from), to: Math.min(a.to, b.to) });

function screws(at: Case, { id, kind, face, y }: BackPiece, slot: number): Contact[] {
  const { back, insideBack } = at;
  return edgesOf(at).flatMap((edge): Contact[] => {
    const [x, high] = [common(face, edge.x), common(y, edge.y)];
    if (size(x) < SCREWS.least || size(high) < SCREWS.least) return [];
    // a board is held where it ends, and only kept close elsewhere
    const board = kind === "back-board";
    const ends = edge.kind === "case-bottom" || edge.kind === "case-rail";
    const [long, upright] = size(x) >= size(high) ? [x, false] : [high, true];
    const count = board && !upright ? 1 : Math.max(1, Math.round(size(long) / SCREWS.every));
    const half = SCREWS.least / 2;
    return Array.from({ length: count }, (_, i): Contact => {
      const along = long.from + ((i + 0.5) * size(long)) / count;
      const [cx, cy] = upright ? [(x.from + x.to) / 2, along] : [along, (high.from + high.to) / 2];
      return {
        ...{
          group: `${edge.kind}+${kind}`,
          name: `${WORDS[kind].name} to ${edge.name}`,
          enters: id,
          receives: edge.id,
        },
        ...{ how: "screws", depth: edge.depth, section: { width: SCREWS.least, thickness: SCREWS.least } },
        screws: {
          ...{ screws: 1, through: back, long: screwFor(back + Math.min(SCREWS.into, edge.depth - 3)) },
          ...(board && !ends ? { slot, slotWay: "along" as const } : {}),
        },
        face: { at: [cx - half, cy - half, insideBack], x: FRONT, y: RIGHT },
      };
    });
  });
}
