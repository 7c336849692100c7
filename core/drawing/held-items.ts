/** What holds a top, seen from above: pegs, screws and buttons in the room they have. */
import { fixedScrews } from "../movement/fixed";
import { fixedLine, travelOn } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { Item, line } from "./scene";

/** End boards with their pegs and slots, or a frame. */
export function heldItems(plan: Plan, piece: Piece, sample: number): Item[] {
  const { geometry: at, species, top, breadboards, framed, slats } = plan;
  const panel = slats ? at.top.width : at.core.width;
  const { length, width } = at.top;
  if (breadboards) {
    const wide = piece.form.breadboard.width;
    const held = breadboards.pegs.find((each) => each.fixed)!;
    // what it is longer lies beyond each edge by how far that is from the fixed peg
    const first = slats ? -breadboards.length / 2 : -panel / 2 - ((breadboards.length - panel) * held.at) / panel;
    return [-1, 1].flatMap((side): Item[] => {
      const x = side < 0 ? -length / 2 : length / 2 - wide;
      const moved = (peg: (typeof breadboards.pegs)[number]) =>
        travelOn(top, peg.at, held.at, sample) * Math.sign(peg.at - held.at);
      return [
        {
          kind: "wood",
          x,
          y: first,
          w: wide,
          h: breadboards.length,
          colour: species.colour,
          seed: 77 + side,
          grain: "y",
          id: "end-board",
        },
        ...breadboards.pegs.flatMap((peg): Item[] => {
          const y = peg.at - panel / 2;
          const bad = plan.verdicts.some((each) => each.level === "fix" && each.subject.includes(peg.id));
          const out = Math.sign(peg.at - held.at) * peg.setOff;
          return [
            ...(peg.fixed || peg.slot <= piece.form.breadboard.peg
              ? []
              : [
                  {
                    kind: "rect",
                    x: x + wide / 2 - piece.form.breadboard.peg / 2 - 3,
                    y: y + out + moved(peg) - peg.slot / 2 - 3,
                    w: piece.form.breadboard.peg + 6,
                    h: peg.slot + 6,
                    ink: bad ? "fix" : "hole",
                    round: 9,
                    id: peg.id,
                    label: `${peg.id}: slot ${peg.slot.toFixed(1)} mm`,
                  } as Item,
                ]),
            { kind: "circle", x: x + wide / 2, y, r: piece.form.breadboard.peg / 2 + 1, ink: "peg", id: peg.id },
          ];
        }),
      ];
    });
  }
  if (framed || piece.form.ends === "frame") {
    const wide = piece.form.frame.width;
    const mitred = piece.form.frame.corners === "mitred";
    return [
      ...[-1, 1].map((side): Item => ({
        kind: "wood",
        x: -length / 2,
        y: side < 0 ? -width / 2 : width / 2 - wide,
        w: length,
        h: wide,
        colour: species.colour,
        seed: 83 + side,
        grain: "x",
        id: "frame-long",
      })),
      ...[-1, 1].map((side): Item => ({
        kind: "wood",
        x: side < 0 ? -length / 2 : length / 2 - wide,
        y: -width / 2 + wide,
        w: wide,
        h: Math.max(0, width - 2 * wide),
        colour: species.colour,
        seed: 87 + side,
        grain: "y",
        id: "frame-end",
      })),
      ...(mitred
        ? [-1, 1].flatMap((sx) =>
            [-1, 1].map((sy): Item =>
              line(
                [
                  [(sx * length) / 2, (sy * width) / 2],
                  [sx * (length / 2 - wide), sy * (width / 2 - wide)],
                ],
                "outline",
              ),
            ),
          )
        : []),
    ];
  }
  return [];
}

export function fastenerItems(plan: Plan, piece: Piece, sample: number, bad: (id: string) => boolean): Item[] {
  const { top } = plan;
  const line0 = fixedLine(piece.choices.fixedLine, top.width);
  const slot =
    piece.joints.fastening === "button"
      ? piece.joints.buttons.slotLength
      : piece.joints.fastening === "slotted"
        ? piece.joints.slotted.slot + 16
        : 26;
  const size = piece.joints.fastening === "button" ? piece.joints.buttons.width : 22;
  const fixed = fixedScrews(piece, plan.geometry).flatMap(({ id, x, z }): Item[] => [
    { kind: "circle", x, y: -z, r: 8, ink: "hole", id },
    { kind: "circle", x, y: -z, r: 4, ink: "peg", id },
  ]);
  const moving = plan.fasteners.flatMap((each): Item[] => {
    const from = top.width / 2 - each.z;
    const move =
      each.under === "ends"
        ? 0
        : travelOn(top, Math.max(0, Math.min(top.width, from)), line0, sample) * (from < line0 ? -1 : 1);
    const ink = bad(each.id) ? "fix" : "hole";
    const label = `${each.id}: ${each.wet.toFixed(1)} mm wet, ${each.dry.toFixed(1)} mm dry`;
    return [
      each.run === "along"
        ? { kind: "rect", x: each.x - size / 2, y: -each.z - 9, w: size, h: 18, ink, round: 2, id: each.id, label }
        : { kind: "rect", x: each.x - 9, y: -each.z - slot / 2, w: 18, h: slot, ink, round: 4, id: each.id, label },
      { kind: "circle", x: each.x, y: -each.z + move, r: 7, ink: "peg", id: each.id },
    ];
  });
  return [...fixed, ...moving];
}
