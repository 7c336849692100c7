/** What is marked on a panel beside its boards: where a blank is parted, what is let into it. */
import { polygonOf } from "../assembly/outline";
import type { Inserted, PanelRow } from "../construction/geometry";
import { inlayWays } from "../construction/top/inlays";
import { inlayOutline } from "../joinery/inlaid";
import { rowCuts, rowMiddles } from "../panels/row";
import type { Piece } from "../piece/schema";
import { Item, rect } from "./scene";

/** What is let into the top, where it lies on the panel. */
export function inlayItems({ inlays }: Piece["form"]["top"], middle: { x: number; y: number }): Item[] {
  return inlays.flatMap(({ shape, length, width: given, turn, places }) => {
    const width = shape === "plug" ? length : given;
    const outline = polygonOf(inlayOutline(shape, length, width).outer, 0.5);
    const { along, across } = inlayWays(turn);
    return places.map(({ x, y }): Item => ({
      kind: "path",
      points: outline.map(([a, b]) => {
        const [u, v] = [a - length / 2, b - width / 2];
        return [middle.x + x + u * along[0] + v * across[0], middle.y + y - u * along[2] - v * across[2]];
      }),
      closed: true,
      ink: "cut",
      id: "inlay",
    }));
  });
}

/** Where the panel is sawn apart along its grain for a strip: what is lost there, front edge below. mm */
export const stripItems = ({ front, lost }: Inserted, { length }: { length: number }): Item[] => [
  rect({ x: 0, y: front, w: length, h: lost }, "cut", "ripcut"),
];

/** Where a blank is parted, and what each part of it becomes. */
export function rowItems(row: PanelRow, { length, width }: { length: number; width: number }): Item[] {
  const names = rowMiddles(row).map((x, i): Item => ({
    kind: "text",
    x: length / 2 + x,
    y: width,
    text: row.pieces[i].name,
    ink: "layout",
    size: 13,
    dy: 16,
    anchor: "middle",
  }));
  const cuts = rowCuts(row).map((x) =>
    rect({ x: length / 2 + x - row.lost / 2, y: 0, w: row.lost, h: width }, "cut", "crosscut"),
  );
  return [...cuts, ...names];
}
