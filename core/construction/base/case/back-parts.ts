/** Backs of wood as parts. */
import { Outline, Spot, straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import { DOWN, RIGHT, UP, Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import type { Span } from "../leg-frame/place";
import { backBoards, backFrame, BackPanel, backPanels, BackPiece, panelThick } from "./back";
import type { Case } from "./case";
import { cut, PULL } from "./cut";

/** Seen from the front: grain upright or to the right, thickness back. */
const UPRIGHT = { x: UP, y: RIGHT };
const LEVEL = { x: RIGHT, y: DOWN };

export const BACK_WORDS: Record<
  BackPiece["kind"] | "back-panel",
  Pick<AssemblyPart, "name" | "plural" | "letter" | "note">
> = {
  "back-board": {
    name: "Back board",
    plural: "Back boards",
    letter: "M",
    note: "Its grain upright; halved along both edges, so that it laps its neighbours, one screw at each end in its middle.",
  },
  "back-stile": {
    name: "Stile of the back",
    plural: "Stiles of the back",
    letter: "BS",
    note: "Grooved for the panel along its inner edge.",
  },
  "back-rail": {
    name: "Rail of the back",
    plural: "Rails of the back",
    letter: "BR",
    note: "Its tenons are included; grooved for the panels.",
  },
  "back-muntin": {
    name: "Muntin of the back",
    plural: "Muntins of the back",
    letter: "BM",
    note: "Its tenons are included; grooved on both edges.",
  },
  "back-panel": {
    name: "Panel of the back",
    plural: "Panels of the back",
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

const known = (id: string, kind: keyof typeof BACK_WORDS) => ({
  id,
  kind,
  ...BACK_WORDS[kind],
  make: "solid" as const,
  opens,
});

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
