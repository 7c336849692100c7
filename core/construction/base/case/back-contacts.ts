/** Where a back of wood is joined, and screwed to what stands before it. */
import { DOWN, FRONT, LEFT, RIGHT, UP } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import { mm } from "../../../verdict/verdict";
import { Contact, screwFor } from "../contact";
import type { Span } from "../leg-frame/place";
import { backBoards, backFrame, BackPiece } from "./back";
import { BACK_WORDS } from "./back-parts";
import type { Case } from "./case";
import { rebateOf } from "./cut";
import { shelfKind } from "./kinds";
import { shelvesOf } from "./inside";

const size = ({ from, to }: Span) => to - from;

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
  const { inside, lift, inner, under, rail, deep, insideBack, dividers, high, bays, backLow } = at;
  const shelves = shelvesOf(at);
  const depth = deep.to - insideBack;
  return [
    ...[
      {
        id: "Q",
        kind: "case-bottom",
        name: "bottom",
        x: inside,
        y: { from: at.round ? backLow : lift, to: high.from },
        depth,
      },
      ...(at.corners === "rails"
        ? [
            {
              ...(at.subTop
                ? { id: "A", kind: "sub-top", name: "sub-top", depth }
                : { id: "A2", kind: "case-rail", name: "rail above", depth: rail }),
              ...{ x: inside, y: { from: under - inner, to: under } },
            },
          ]
        : sideRebates(at)),
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

/** With no rail above, the floors of the sides' rebates take its screws. */
const sideRebates = (at: Case): Edge[] => {
  const { inside, backLow, under, deep, insideBack } = at;
  const wide = rebateOf(at);
  return [inside.from - wide, inside.to].map((from, i) => ({
    ...{
      id: `P${i + 1}`,
      kind: "case-side",
      name: "side",
      x: { from, to: from + wide },
      y: { from: backLow, to: under },
    },
    depth: deep.to - insideBack,
  }));
};

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
    const ends = edge.kind === "case-bottom" || edge.kind === "case-rail" || edge.kind === "sub-top";
    const [long, upright] = size(x) >= size(high) ? [x, false] : [high, true];
    const count = board && !upright ? 1 : Math.max(1, Math.round(size(long) / SCREWS.every));
    const half = SCREWS.least / 2;
    return Array.from({ length: count }, (_, i): Contact => {
      const along = long.from + ((i + 0.5) * size(long)) / count;
      const [cx, cy] = upright ? [(x.from + x.to) / 2, along] : [along, (high.from + high.to) / 2];
      return {
        ...{
          group: `${edge.kind}+${kind}`,
          name: `${BACK_WORDS[kind].name} to ${edge.name}`,
          enters: id,
          receives: edge.id,
        },
        ...{ how: "screws", depth: edge.depth, section: { width: SCREWS.least, thickness: SCREWS.least } },
        screws: {
          ...{ screws: 1, through: back, long: screwFor(back + Math.min(SCREWS.into, edge.depth - 3)) },
          ...(board && !ends ? { slot, slotWay: "along" as const } : {}),
          spots: {
            where:
              board && !upright
                ? `in the middle of each board, over the middle of the ${edge.name}’s edge`
                : `over the middle of the ${edge.name}’s edge, one about every ${mm(SCREWS.every)}`,
            slots: "across the board’s grain",
          },
        },
        face: { at: [cx - half, cy - half, insideBack], x: FRONT, y: RIGHT },
      };
    });
  });
}
