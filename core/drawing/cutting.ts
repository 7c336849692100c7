import type { BoardCut, RoughPiece } from "../layout/sawing";
import { sectionMark } from "../layout/marks";
import { defectItems } from "./boards";
import { Item, line, rect, Scene, seedOf } from "./scene";

/** A board with the pieces sawn from it: crosscuts numbered in their order, sections named, lanes and pieces marked, offcuts named. */
export function cuttingScene(
  cut: BoardCut,
  colour: [string, string],
  { pieces, kerf, longest }: { pieces: ReadonlyMap<string, RoughPiece>; kerf: number; longest: number },
): Scene {
  const { board, strip, panel = "top" } = cut;
  const items: Item[] = [
    {
      kind: "wood",
      x: 0,
      y: 0,
      w: board.length,
      h: board.width,
      colour,
      seed: seedOf(board.id),
      grain: "x",
      pale: true,
      id: `board:${board.id}`,
    },
  ];
  for (const d of board.defects) items.push(...defectItems(d));
  if (strip) {
    items.push(
      rect({ x: strip.x, y: strip.y, w: strip.length, h: Math.min(board.width - strip.y, strip.width) }, "wash", panel),
    );
    items.push({
      kind: "text",
      x: strip.x + strip.length / 2,
      y: strip.y + Math.min(board.width - strip.y, strip.width) / 2,
      text: `${panel}, ${Math.round(strip.length)} by ${Math.round(strip.width)} mm`,
      anchor: "middle",
      size: 13,
      dy: 4,
    });
  }
  for (const section of cut.sections) {
    let y = section.y;
    for (const lane of section.lanes) {
      let x = section.x;
      for (const id of lane.pieces) {
        const piece = pieces.get(id);
        const length = piece?.length ?? section.length / lane.pieces.length;
        items.push({
          ...rect({ x, y, w: length, h: piece?.ownEdges ? board.width - y : lane.width }, "wash", piece?.part),
          label: `${id}: ${sized(piece, length, lane.width)}`,
        } as Item);
        items.push({
          kind: "text",
          x: x + length / 2,
          y: y + lane.width / 2,
          text: length > longest * 0.3 ? `${id}, ${sized(piece, length, lane.width)}` : id,
          anchor: "middle",
          size: 13,
          dy: 4,
        });
        x += length + kerf;
      }
      y += lane.width + kerf;
    }
    if (section.lanes.length > 1 || section.lanes[0].pieces.length > 1)
      items.push({
        kind: "text",
        x: section.x,
        y: board.width,
        text: sectionMark(cut, section),
        ink: "graphite",
        size: 13,
        dy: -4,
      });
  }
  const cuts = [...cut.sections, ...(strip ? [strip] : [])]
    .flatMap((each) => [...(each.x > kerf ? [each.x - kerf / 2] : []), each.x + each.length + kerf / 2])
    .filter((x) => x < board.length - 1)
    .sort((a, b) => a - b);
  cuts
    .filter((x, i) => i === 0 || x - cuts[i - 1] > 2 * kerf)
    .forEach((x, i) => {
      items.push(
        line(
          [
            [x, 0],
            [x, board.width],
          ],
          "fix",
        ),
      );
      items.push({ kind: "text", x, y: 0, text: String(i + 1), anchor: "middle", ink: "graphite", size: 13, dy: 15 });
    });
  for (const offcut of cut.offcuts) {
    const x = offcutPlace(cut, offcut.length);
    if (x !== null)
      items.push({
        kind: "text",
        x: x + offcut.length / 2,
        y: board.width / 2,
        text: offcut.id,
        anchor: "middle",
        ink: "grain",
        size: 13,
        dy: 4,
      });
  }
  const said = cut.sections.map(
    (section) =>
      `${sectionMark(cut, section)} ${Math.round(section.length)} mm: ${section.lanes.map((lane) => lane.pieces.join(" ")).join(", ")}`,
  );
  return {
    id: `cut-${board.id}`,
    title: `${board.id}: ${[...(strip ? ["a strip of the top"] : []), ...said].join("; ")}.${cut.offcuts.length ? ` Left: ${cut.offcuts.map((each) => `${each.id}, ${Math.round(each.length)} by ${Math.round(each.width)} mm`).join("; ")}.` : ""}`,
    bounds: { x: 0, y: 0, w: longest, h: board.width },
    margin: [18, 1, 18, 1],
    items,
  };
}

/** Where a whole length that is left over begins, or null when it lies beside a cut. */
function offcutPlace(cut: BoardCut, length: number): number | null {
  const taken = [...cut.sections, ...(cut.strip ? [cut.strip] : [])].sort((a, b) => a.x - b.x);
  let from = 0;
  for (const each of [...taken, { x: cut.board.length, length: 0 }]) {
    if (each.x - from >= length - 1 && each.x - from <= length + 60) return from;
    from = each.x + each.length;
  }
  return null;
}

const sized = (piece: RoughPiece | undefined, length: number, width: number) =>
  piece?.ownEdges ? `${Math.round(length)} mm, as wide as it grew` : `${Math.round(length)} by ${Math.round(width)} mm`;
