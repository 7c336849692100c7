import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import { sampleDate } from "../movement/course";
import { Governing, governing } from "../movement/governing";
import { panelInGroove, slatGap, word } from "./gap";
import type { Item, Scene } from "./scene";

/** What would stop the top first, to scale, as it stands on one sample of the course; outward is to the right. Null when nothing is near. */
export function closeUp(plan: Plan, piece: Piece, sample: number): Scene | null {
  const found = governing(plan, piece);
  const moved = found.travel[sample];
  const day = sampleDate(plan.top.course.from, sample).name;
  if (plan.breadboards && found.id.startsWith("peg")) return pegInSlot(plan, piece, found, { moved, day });
  if (plan.slats) return slatGap(plan, piece, moved, day);
  if (plan.framed) return panelInGroove(plan, piece, moved, day);
  if (found.inAndOut || !Number.isFinite(found.play.wet) || !Number.isFinite(found.play.dry)) return null;
  return bodyInSlot(plan, piece, found, { moved, day });
}

/** The peg stands still in the end board; the tongue and its slot travel past it. */
function pegInSlot(
  plan: Plan,
  piece: Piece,
  { id, play }: Governing,
  { moved, day }: { moved: number; day: string },
): Scene {
  const { peg, slot, setOff } = {
    ...plan.breadboards!.pegs.find((each) => each.id === id)!,
    peg: piece.form.breadboard.peg,
  };
  const binds = moved > play.wet + 1e-9 || -moved > play.dry + 1e-9;
  const deep = peg + 16;
  const middle = setOff + moved;
  const reach = slot / 2 + Math.max(Math.abs(play.wet), Math.abs(play.dry)) + 6;
  const items: Item[] = [
    {
      kind: "wood",
      x: -reach,
      y: -deep / 2,
      w: 2 * reach,
      h: deep,
      colour: plan.species.colour,
      seed: 9,
      grain: "x",
      id: "top",
    },
    { kind: "rect", x: middle - slot / 2, y: -peg / 2 - 0.4, w: slot, h: peg + 0.8, ink: "void", round: peg / 2 },
    ...(binds
      ? [
          {
            kind: "rect",
            x: -peg / 2 - 1.2,
            y: -peg / 2 - 1.2,
            w: peg + 2.4,
            h: peg + 2.4,
            ink: "fix",
            round: peg,
          } as Item,
        ]
      : []),
    { kind: "circle", x: 0, y: 0, r: peg / 2, ink: "peg", id },
    ...gaps({ from: middle - slot / 2, to: middle + slot / 2 }, { from: -peg / 2, to: peg / 2 }, -deep / 2),
  ];
  return {
    id: "close-up",
    title: `The outermost peg in ${day}: the tongue has gone ${word(moved)} mm, its slot gives ${play.wet.toFixed(1)} mm out and ${play.dry.toFixed(1)} mm in${binds ? "; it binds" : ""}.`,
    bounds: { x: -reach, y: -deep / 2, w: 2 * reach, h: deep },
    margin: [4, 8, 40, 8],
    items,
  };
}

/** A button, bolt, screw or plate in the room it has. */
function bodyInSlot(
  plan: Plan,
  piece: Piece,
  { id, play, what }: Governing,
  { moved, day }: { moved: number; day: string },
): Scene {
  const kind = plan.stiffeners ? "bolt" : piece.joints.fastening;
  const width =
    kind === "button"
      ? piece.joints.buttons.width
      : kind === "bolt"
        ? plan.stiffeners?.kind === "battens"
          ? piece.form.batten.screw
          : piece.form.channel.bolt
        : kind === "slotted"
          ? piece.joints.slotted.screw
          : kind === "oversized"
            ? piece.joints.oversized.screw
            : 10;
  const binds = moved > play.wet + 1e-9 || -moved > play.dry + 1e-9;
  const [high, deep] = kind === "button" ? [12, 26] : [width + 1, width + 16];
  const [low, high2] = [-play.dry - width / 2, play.wet + width / 2];
  const items: Item[] = [
    {
      kind: "wood",
      x: low - 8,
      y: -deep / 2,
      w: high2 - low + 16,
      h: deep,
      colour: plan.species.colour,
      seed: 9,
      grain: "x",
      id: "end-rail",
    },
    {
      kind: "rect",
      x: low,
      y: -high / 2,
      w: high2 - low,
      h: high,
      ink: "void",
      round: kind === "button" ? 0 : high / 2,
    },
    {
      kind: "rect",
      x: moved - width / 2,
      y: -high / 2 + 0.6,
      w: width,
      h: high - 1.2,
      ink: binds ? "fix" : kind === "button" ? "paper" : "tool",
      round: kind === "button" ? 0 : high,
      id,
    },
    ...(kind === "button" || binds
      ? [
          {
            kind: "text",
            x: moved,
            y: 0,
            text: binds ? "binds" : "button",
            anchor: "middle",
            ink: binds ? "ink" : "grain",
            dy: 5,
          } as Item,
        ]
      : []),
    ...gaps({ from: low, to: high2 }, { from: moved - width / 2, to: moved + width / 2 }, -deep / 2),
  ];
  return {
    id: "close-up",
    title: `${what[0].toUpperCase()}${what.slice(1)} in ${day}: gone ${word(moved)} mm where ${play.wet.toFixed(1)} mm out and ${play.dry.toFixed(1)} mm in are free${binds ? "; it binds" : ""}.`,
    bounds: { x: low - 8, y: -deep / 2, w: high2 - low + 16, h: deep },
    margin: [4, 8, 40, 8],
    items,
  };
}

/** What is free before and behind a body in its slot, where it shows; from the left to the right, mm. */
function gaps(slot: Span, body: Span, y: number): Item[] {
  const free: Span[] = [
    { from: slot.from, to: body.from },
    { from: body.to, to: slot.to },
  ];
  return free.flatMap(({ from, to }): Item[] =>
    to - from > 0.05
      ? [{ kind: "dimension", from: [from, y], to: [to, y], offset: -12, value: to - from, fine: true }]
      : [],
  );
}

interface Span {
  from: number;
  to: number;
}
