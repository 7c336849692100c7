import { seeded } from "../units/seeded";
import type { RackBoard } from "../stock/board";

/** A sound flat ash board for tests; say only what matters. */
export function demoBoard(given: Partial<RackBoard> = {}): RackBoard {
  return {
    id: "T1",
    species: "european-ash",
    length: 2400,
    width: 160,
    widthEnd: null,
    thickness: 38,
    ringLeft: -20,
    ringRight: 25,
    bow: 0,
    crook: 0,
    cup: 0,
    twist: 0,
    moisture: 8.5,
    measuredOn: "2026-11-20",
    tree: "",
    shelf: "",
    price: 0,
    defects: [],
    cutFrom: "",
    tears: false,
    rounded: 0,
    reservedBy: null,
    ...given,
  };
}

/** A random rack of sound ash boards, the same for the same seed. */
export function randomRack(seed: number, count: number): RackBoard[] {
  const next = seeded(seed);
  return Array.from({ length: count }, (_, i) =>
    demoBoard({
      id: `R${i + 1}`,
      length: Math.round(1500 + 1800 * next()),
      width: Math.round(75 + 190 * next()),
      thickness: [32, 38, 41, 52][Math.floor(4 * next())],
      ringLeft: Math.round(-60 + 50 * next()),
      ringRight: Math.round(10 + 50 * next()),
      bow: 6 * next(),
      cup: 2 * next(),
      twist: 3 * next(),
      crook: 4 * next(),
      tree: `t${Math.floor(4 * next())}`,
      moisture: 8 + next(),
    }),
  );
}
