import type { AsBuilt, Form } from "../../../piece/schema";
import type { BoughtChoices } from "../../../piece/bought-choices";
import { frameRound, Bearer, Footprint } from "../../geometry";
import { topOf } from "../../top/core";
import { shelfSeats } from "./brackets";
import type { Bought, Stand } from "./stand";
import { placeWelded, tubeMass, Welded } from "./welded";

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeBought(form: Form, asBuilt: readonly AsBuilt[]): Bought {
  const { top, core } = topOf(form, asBuilt);
  const { bought } = form;
  const welded = bought.kind === "welded" ? placeWelded(form, top) : null;
  // what is welded to order weighs what its tube does
  const choices = welded ? { ...bought, mass: tubeMass(welded, bought.welded.wall) } : bought;
  const under = form.height - top.thickness;
  const stands = welded ? welded.cross.map(onLine) : standsOf(choices, top, form.overhang.end);
  const feet = welded ? welded.feet : stands.flatMap((stand) => feetOf(choices, stand));
  const xs = [...new Set(stands.map(({ x }) => x))].sort((a, b) => a - b);
  const plate = welded ? welded.bar : choices.plate.thickness;
  const wide = welded ? welded.bar : choices.plate.length;
  return {
    kind: "bought",
    keeps: { end: true, side: false },
    ...{ top, core, under, stands, choices, feet, welded },
    height: under - plate,
    shelved: form.shelf.kind !== "none",
    frame: frameRound(feet),
    bearers: stands.flatMap((stand, i) => (welded ? [tubeOf(welded, stand, i)] : platesOf(choices, stand, i))),
    posts: [],
    through: null,
    sticks: [],
    seats: shelfSeats({ choices, stands, height: under - plate }, form.shelf),
    kneeRoom: under - plate,
    between: welded ? welded.length - 2 * welded.bar : xs.length > 1 ? xs[1] - xs[0] - wide : top.length / 2,
  };
}

const onLine = (x: number): Stand => ({ x, z: 0, out: { x: 0, z: 0 } });

/** Frames and lifting columns in a row along the middle line, one pedestal in the middle, hairpins at the corners and between them. */
function standsOf(
  { kind, count, setIn, plate, legs }: BoughtChoices,
  top: { length: number; width: number },
  overhang: number,
): Stand[] {
  const reach = top.length / 2 - overhang - plate.length / 2;
  const side = top.width / 2 - setIn - plate.width / 2;
  if (kind === "hairpins" && legs === "circle") {
    const out = Math.min(top.length, top.width) / 2 - setIn - plate.width / 2;
    return Array.from({ length: count }, (_, i): Stand => {
      const turn = (2 * Math.PI * i) / count;
      const ray = { x: Math.cos(turn), z: Math.sin(turn) };
      return { x: out * ray.x, z: out * ray.z, out: ray, turned: ray };
    });
  }
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
  return xs.map(onLine);
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
    case "welded":
      return [];
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
function platesOf(choices: BoughtChoices, { x, z, turned }: Stand, i: number): Bearer[] {
  const { plate } = choices;
  const { along, across } = holesIn(choices);
  if (turned)
    return along.map((place, row): Bearer => {
      const off = place - plate.length / 2;
      return {
        ...{ part: `Y${i + 1}`, kind: "bought-leg", said: "plate", name: `plate-${i + 1}-${row + 1}`, run: "aslant" },
        ...{ at: 0, length: plate.width, thickness: plate.length / plate.rows, depth: plate.thickness, inside: 1 },
        aslant: { x: x + turned.z * off, z: z - turned.x * off, way: [turned.x, turned.z] },
        spots: across.map((each) => each - plate.width / 2),
      };
    });
  return along.map((place, row): Bearer => ({
    ...{ part: `Y${i + 1}`, kind: "bought-leg", said: "plate", name: `plate-${i + 1}-${row + 1}`, run: "across" },
    ...{ at: x - plate.length / 2 + place, length: plate.width, thickness: plate.length / plate.rows },
    depth: plate.thickness,
    inside: 1,
    spots: across.map((each) => z - plate.width / 2 + each),
  }));
}

/** A tube across below the top, its bolts where its holes are. */
function tubeOf(welded: Welded, { x }: Stand, i: number): Bearer {
  return {
    ...{ part: "Y1", kind: "bought-leg", said: "tube", name: `tube-${i + 1}`, run: "across" },
    ...{ at: x, length: welded.width, thickness: welded.bar, depth: welded.bar, inside: 1 },
    spots: welded.holes,
  };
}
