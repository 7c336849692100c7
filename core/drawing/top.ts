import type { Plan } from "../plan";
import type { Piece } from "../piece/schema";
import { slotPlay } from "../movement/buttons";
import { fixedLine, travel } from "../movement/year";
import { Item, line, Scene, seedOf } from "./scene";

/** The top from above with the outlines of the dry and the wet month, and its buttons; movement drawn `exaggeration` times as large. */
export function movementScene(plan: Plan, piece: Piece, month: number, exaggeration: number): Scene {
  const { geometry: at, top, species } = plan;
  const { length, width } = at.top;
  const line0 = fixedLine(piece.choices.fixedLine, width);
  const now = top.months[month];
  const edges = (change: number) => ({ front: -width / 2 - share(line0, width) * change * exaggeration, back: width / 2 + (1 - share(line0, width)) * change * exaggeration });
  const items: Item[] = [];
  const scale = now.change === 0 ? 0 : 1;
  const drawn = edges(now.change);
  const stretch = (y: number) => drawn.front + ((y + width / 2) / width) * (drawn.back - drawn.front);
  for (const strip of top.strips) {
    const [from, to] = [stretch(strip.from - width / 2), stretch(strip.from + strip.width - width / 2)];
    items.push({ kind: "wood", x: -length / 2, y: from, w: length, h: to - from, colour: species.colour, seed: seedOf(strip.board ?? "top"), grain: "x", id: strip.board ? `strip:${strip.board}` : "top" });
    if (strip.board) items.push({ kind: "text", x: -length / 2 + piece.form.overhang.end + at.leg.section + 130, y: (from + to) / 2, text: strip.board, ink: "grain", size: 12, dy: 4 });
  }
  for (const [season, where] of [["dry", edges(top.dry.change)], ["wet", edges(top.wet.change)]] as const) items.push({ kind: "rect", x: -length / 2, y: where.front, w: length, h: where.back - where.front, ink: season === "wet" ? "layout" : "hidden", id: `outline-${season}` });
  const slot = piece.joints.buttons.slotLength;
  for (const button of plan.buttons) {
    const across = button.rail !== "long";
    const bad = plan.verdicts.some((each) => each.level === "fix" && each.subject.includes(button.id));
    const move = travelNow(plan, at.top.width / 2 - button.z, line0, now.moisture) * exaggeration * scale;
    const size = piece.joints.buttons.width;
    if (across) items.push({ kind: "rect", x: button.x - 9, y: -button.z - slot / 2, w: 18, h: slot, ink: bad ? "fix" : "hole", round: 4, id: button.id, label: `${button.id}: ${button.wet.toFixed(1)} mm wet, ${button.dry.toFixed(1)} mm dry` });
    else items.push({ kind: "rect", x: button.x - size / 2, y: -button.z - 9, w: size, h: 18, ink: bad ? "fix" : "hole", round: 2, id: button.id });
    items.push({ kind: "circle", x: button.x, y: -button.z + (button.z > 0 ? -1 : 1) * move, r: 7, ink: "peg", id: button.id });
  }
  items.push(line([[-length / 2 - 60, width / 2 - line0 === 0 ? 0 : line0 - width / 2], [length / 2 + 60, line0 - width / 2]], "faint"));
  items.push({ kind: "dimension", from: [-length / 2, width / 2], to: [length / 2, width / 2], offset: 30, value: length, edit: { path: ["form", "top", "length"], name: "Top length" } });
  items.push({ kind: "dimension", from: [length / 2, width / 2], to: [length / 2, -width / 2], offset: 30, value: width, edit: { path: ["form", "top", "width"], name: "Top width" } });
  const edge = now.change * (line0 === width / 2 ? 0.5 : 1);
  const wetEdges = edges(Math.max(top.wet.change, 0, now.change));
  items.push({ kind: "text", x: -length / 2, y: wetEdges.front, text: `${now.name}, drawn ${exaggeration} times larger than life`, ink: "graphite", size: 13, dy: 20 });
  items.push({ kind: "text", x: length / 2, y: wetEdges.front, text: `${sign(edge)} mm ${line0 === width / 2 ? "each edge" : "at the free edge"}`, ink: "layout", size: 13, anchor: "end", dy: 20 });
  return { id: "movement", title: `The top in ${now.name}: ${sign(now.change)} mm against today. Dry outline ${sign(top.dry.change)} mm in ${top.dry.name}, wet ${sign(top.wet.change)} mm in ${top.wet.name}.`, bounds: { x: -length / 2, y: -width / 2, w: length, h: width }, margin: [58, 74, 46, 16], items };
}

/** The end-rail button that travels most, in its slot as it stands that month; outward is to the right. Null when there is none. */
export function slotCloseUp(plan: Plan, piece: Piece, month: number): Scene | null {
  const across = plan.buttons.filter((each) => each.rail !== "long");
  if (across.length === 0) return null;
  const worst = across.reduce((a, b) => (Math.abs(b.wet) + Math.abs(b.dry) > Math.abs(a.wet) + Math.abs(a.dry) ? b : a));
  const { slotLength, width } = piece.joints.buttons;
  const moved = travelNow(plan, plan.top.width / 2 - worst.z, fixedLine(piece.choices.fixedLine, plan.top.width), plan.top.months[month].moisture);
  const play = slotPlay(piece.joints.buttons);
  const binds = Math.abs(moved) > play;
  const [high, deep] = [12, 26];
  const items: Item[] = [
    { kind: "wood", x: -slotLength / 2 - 8, y: -deep / 2, w: slotLength + 16, h: deep, colour: plan.species.colour, seed: 9, grain: "x", id: "end-rail" },
    { kind: "rect", x: -slotLength / 2, y: -high / 2, w: slotLength, h: high, ink: "void" },
    { kind: "rect", x: moved - width / 2, y: -high / 2 + 0.6, w: width, h: high - 1.2, ink: binds ? "fix" : "paper", id: worst.id },
    { kind: "text", x: moved, y: 0, text: binds ? "binds" : "button", anchor: "middle", ink: binds ? "ink" : "grain", dy: 5 },
  ];
  for (const side of [-1, 1]) {
    const gap = play - side * moved;
    if (gap > 0.05) items.push({ kind: "dimension", from: side < 0 ? [-slotLength / 2, -deep / 2] : [moved + width / 2, -deep / 2], to: side < 0 ? [moved - width / 2, -deep / 2] : [slotLength / 2, -deep / 2], offset: -12, value: gap, fine: true });
  }
  return {
    id: "slot", title: `The outermost end button in ${plan.top.months[month].name}: moved ${sign(moved)} mm in a slot that gives ${play.toFixed(1)} mm each way${binds ? "; it binds" : ""}.`,
    bounds: { x: -slotLength / 2 - 8, y: -deep / 2, w: slotLength + 16, h: deep }, margin: [4, 8, 40, 8], items,
  };
}

/** End grain of the panel as it lies, each board with the rings it has. Seen from the left end, front edge at the left. */
export function endGrainScene(plan: Plan, names: boolean): Scene {
  const { top, geometry: at, species } = plan;
  const items: Item[] = top.strips.flatMap((strip) => [
    { kind: "rings", x: strip.from, y: 0, w: strip.width, h: at.top.thickness, colour: species.colour, left: strip.ringLeft, right: strip.ringRight, barkUp: strip.barkUp, id: strip.board ? `strip:${strip.board}` : "top" } as Item,
    ...(names && strip.board ? [{ kind: "text", x: strip.from + strip.width / 2, y: 0, text: strip.board, anchor: "middle", ink: "graphite", size: 13, dy: 18 } as Item] : []),
  ]);
  return { id: "end-grain", title: `End grain from the front edge: ${top.strips.map((strip) => `${strip.board ?? "flat-sawn"}, bark ${strip.barkUp ? "up" : "down"}`).join("; ")}.`, bounds: { x: 0, y: 0, w: at.top.width, h: at.top.thickness }, margin: [4, 4, names ? 24 : 4, 4], items };
}

function travelNow(plan: Plan, at: number, fixed: number, moisture: number): number {
  const { dry, wet } = travel(plan.top, Math.max(0, Math.min(plan.top.width, at)), fixed);
  const { start, dry: dryMonth, wet: wetMonth } = plan.top;
  const span = moisture >= start.value ? wetMonth.moisture - start.value : dryMonth.moisture - start.value;
  return Math.abs(span) < 1e-9 ? 0 : (moisture >= start.value ? wet : dry) * ((moisture - start.value) / span);
}

const share = (fixed: number, width: number) => fixed / width;
const sign = (n: number) => `${n >= 0 ? "+" : "−"}${Math.abs(n).toFixed(1)}`;
