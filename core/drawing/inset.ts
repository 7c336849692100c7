import type { InsetMovement } from "../movement/insets";
import type { Inset } from "../piece/schema";
import type { Species } from "../wood/species";
import { Item, rect, Scene } from "./scene";

/** A drawer, door or panel in its opening from the front, the wet day's edge dashed; the gap is drawn ten times as large. */
export function insetScene(inset: Inset, moved: InsetMovement, species: Species): Scene {
  const { width, height } = inset;
  const large = 10;
  const gap = Math.min(Math.min(width, height) / 5, moved.gap.today * large);
  const wet = Math.max(0, Math.min(Math.min(width, height) / 5, moved.gap.wet * large));
  const grain = inset.kind === "drawer" ? "x" : "y";
  const side = inset.kind === "drawer" ? 0 : gap;
  const items: Item[] = [
    rect({ x: -14, y: -14, w: width + 28, h: height + 28 }, "room"),
    {
      kind: "wood",
      x: side,
      y: 0,
      w: Math.max(1, width - 2 * side),
      h: Math.max(1, height - (inset.kind === "drawer" ? gap : 0)),
      colour: species.colour,
      seed: 15,
      grain,
      id: `inset:${inset.id}`,
    },
    inset.kind === "drawer"
      ? rect({ x: 0, y: 0, w: width, h: Math.max(1, height - wet) }, "layout", "outline-wet")
      : rect({ x: wet, y: 0, w: Math.max(1, width - 2 * wet), h: height }, "layout", "outline-wet"),
  ];
  const at = (n: number) => n.toFixed(1).replace("-", "−");
  items.push({
    kind: "text",
    x: width / 2,
    y: -14,
    text: `${at(moved.gap.wet)} mm wet, ${at(moved.gap.dry)} mm dry`,
    anchor: "middle",
    ink: "graphite",
    size: 13,
    dy: 18,
  });
  return {
    id: `inset-${inset.id}`,
    title: `${inset.name}: a gap of ${at(inset.gap)} mm today is ${at(moved.gap.wet)} mm in the wet season and ${at(moved.gap.dry)} mm in the dry; gaps drawn ten times as large.`,
    bounds: { x: -14, y: -14, w: width + 28, h: height + 28 },
    margin: [4, 8, 26, 8],
    items,
  };
}
