import type { AsBuilt, Form } from "../../../piece/schema";
import type { BoughtChoices } from "../../../piece/bought-choices";
import { frameRound, Bearer, Footprint, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";

/** One bought leg or frame: the middle of its plate under the top, and which way its foot spreads. mm */
export interface Stand {
  x: number;
  z: number;
  /** −1, 0 or 1 along the top and across it */
  out: { x: number; z: number };
}

/** Where everything of a piece on bought legs stands, mm. */
export interface Bought extends PieceGeometry {
  kind: "bought";
  stands: Stand[];
  /** under the plate */
  height: number;
  choices: BoughtChoices;
}

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeBought(form: Form, asBuilt: readonly AsBuilt[]): Bought {
  const { top, core } = topOf(form, asBuilt);
  const { bought: choices } = form;
  const under = form.height - top.thickness;
  const stands = standsOf(choices, top, form.overhang.end);
  const feet = stands.flatMap((stand) => feetOf(choices, stand));
  const xs = [...new Set(stands.map(({ x }) => x))].sort((a, b) => a - b);
  return {
    kind: "bought",
    keeps: { end: true, side: false },
    ...{ top, core, under, stands, choices, feet },
    height: under - choices.plate.thickness,
    frame: frameRound(feet),
    bearers: stands.flatMap((stand, i) => platesOf(choices, stand, i)),
    posts: [],
    through: null,
    sticks: [],
    seats: [],
    kneeRoom: under - choices.plate.thickness,
    between: xs.length > 1 ? xs[1] - xs[0] - choices.plate.length : top.length / 2,
  };
}

/** Frames and lifting columns in a row along the middle line, one pedestal in the middle, hairpins at the corners and between them. */
function standsOf(
  { kind, count, setIn, plate }: BoughtChoices,
  top: { length: number; width: number },
  overhang: number,
): Stand[] {
  const reach = top.length / 2 - overhang - plate.length / 2;
  const side = top.width / 2 - setIn - plate.width / 2;
  if (kind === "hairpins") {
    const pairs = Math.max(1, Math.floor(count / 2));
    const at = (i: number) => (pairs === 1 ? -reach : -reach + (2 * reach * i) / (pairs - 1));
    const corners = Array.from({ length: pairs }, (_, i) => at(i)).flatMap((x) =>
      [-1, 1].map((z): Stand => ({ x, z: z * side, out: { x: Math.sign(x), z } })),
    );
    // the odd one stands alone at the other end, or in the middle
    return count % 2 === 1
      ? [...corners, { x: pairs === 1 ? reach : 0, z: 0, out: { x: pairs === 1 ? 1 : 0, z: 0 } }]
      : corners;
  }
  const xs = count === 1 ? [0] : Array.from({ length: count }, (_, i) => -reach + (2 * reach * i) / (count - 1));
  return xs.map((x) => ({ x, z: 0, out: { x: 0, z: 0 } }));
}

/** Where a stand touches the floor. */
export function feetOf({ kind, width, bar, spread }: BoughtChoices, { x, z, out }: Stand): Footprint[] {
  switch (kind) {
    case "frames":
      return [{ x, z, length: bar, width }];
    case "hairpins":
      return [{ x: x + out.x * spread, z: z + out.z * spread, length: bar, width: bar }];
    case "pedestal":
      return [{ x, z, length: width, width }];
    case "lift":
      return [{ x, z, length: bar, width }];
  }
}

/** Where bolts sit in a plate, from its corner: along the piece and across it, mm. */
export function holesIn({ plate }: BoughtChoices): { along: number[]; across: number[] } {
  const spread = (size: number, count: number) => {
    const edge = Math.min(15, size / 4);
    return count === 1
      ? [size / 2]
      : Array.from({ length: count }, (_, i) => edge + ((size - 2 * edge) * i) / (count - 1));
  };
  return { along: spread(plate.length, plate.rows), across: spread(plate.width, plate.holes) };
}

/** Each row of a plate's holes bears the top, its bolts where the holes are. */
function platesOf(choices: BoughtChoices, { x, z }: Stand, i: number): Bearer[] {
  const { plate } = choices;
  const { along, across } = holesIn(choices);
  return along.map((place, row): Bearer => ({
    ...{ part: `Y${i + 1}`, kind: "bought-leg", said: "plate", name: `plate-${i + 1}-${row + 1}`, run: "across" },
    ...{ at: x - plate.length / 2 + place, length: plate.width, thickness: plate.length / plate.rows },
    depth: plate.thickness,
    inside: 1,
    spots: across.map((each) => z - plate.width / 2 + each),
  }));
}
