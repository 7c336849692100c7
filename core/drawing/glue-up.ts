import { CAUL_WIDTH, GlueStage } from "../glueup/stages";
import type { Plan } from "../plan/derived";
import { Item, line, rect, Scene, seedOf } from "./scene";

/** One gluing from above: strips, the lines that are glued, clamps above and below in turn, cauls. */
export function glueScene(plan: Plan, stage: GlueStage): Scene {
  const { species } = plan;
  const strips = stage.pieces;
  const from = strips[0].from;
  const over = 70;
  const half = stage.length / 2;
  const items: Item[] = [];
  let y = from;
  for (const each of strips) {
    items.push({
      kind: "wood",
      x: -half,
      y,
      w: stage.length,
      h: each.full,
      colour: species.colour,
      seed: seedOf(each.id),
      grain: "x",
      id: `strip:${each.id}`,
    });
    items.push({
      kind: "text",
      x: -half + 140,
      y: y + each.full / 2,
      text: each.id,
      ink: "grain",
      size: 13,
      dy: 4,
    });
    y += each.full;
  }
  for (const x of stage.cauls)
    items.push({
      kind: "rect",
      x: x - CAUL_WIDTH / 2,
      y: from - 20,
      w: CAUL_WIDTH,
      h: stage.width + 40,
      ink: "hole",
      id: "caul",
    });
  stage.clamps.places.forEach(({ x, above }, i) => {
    items.push({
      kind: "rect",
      x: x - 11,
      y: from - over,
      w: 22,
      h: stage.width + 2 * over,
      ink: above ? "tool" : "hidden",
      id: "clamp",
      label: `Clamp ${i + 1}, ${above ? "above" : "below"}`,
    });
    items.push(
      rect({ x: x - 26, y: from - over, w: 52, h: over - 12 }, above ? "tool" : "hidden", "clamp"),
      rect({ x: x - 26, y: from + stage.width + 12, w: 52, h: over - 12 }, above ? "tool" : "hidden", "clamp"),
    );
    items.push({
      kind: "text",
      x,
      y: from + stage.width + over,
      text: String(i + 1),
      anchor: "middle",
      ink: "graphite",
      size: 13,
      dy: -5,
    });
  });
  for (const at of stage.lines)
    items.push(
      line(
        [
          [-half, at],
          [half, at],
        ],
        "layout",
      ),
    );
  for (const aid of stage.alignment)
    items.push({ kind: "rect", x: aid.x - 20, y: aid.y - 6, w: 40, h: 12, ink: "peg", id: "alignment", round: 4 });
  items.push({
    kind: "dimension",
    from: [stage.clamps.places[0].x, from - over],
    to: [stage.clamps.places[1].x, from - over],
    offset: -16,
    value: stage.clamps.spacing,
  });
  items.push({ kind: "dimension", from: [half, from + stage.width], to: [half, from], offset: 18, value: stage.width });
  return {
    id: `glue-${stage.id}`,
    title: `${stage.name}: ${strips.map((each) => each.id).join(", ")}; ${stage.clamps.places.length} clamps, ${stage.cauls.length} pairs of cauls.`,
    bounds: { x: -half, y: from - over, w: stage.length, h: stage.width + 2 * over },
    margin: [22, 60, 36, 8],
    items,
  };
}
