/** Doors of boards glued up as wide as they are, battens screwed across their back. mm */
import type { AssemblyPart } from "../../../assembly/part";
import { FRONT, RIGHT, Vec } from "../../../assembly/vector";
import { Contact, screwFor } from "../contact";
import type { Case, Door } from "./case";
import { PULL } from "./cut";
import { hingesOf, ofDoor } from "./door";
import { cupIn, hingeIn, LEVEL, UPRIGHT } from "./door-hinges";
import { latchHoles } from "./door-latch";
import { doorHoles } from "./pull";

/** @source common practice: clear of the case beside an inset door; from a door's ends to its outer battens; a third one from this height on */
const BATTEN = { clear: 15, fromEnd: 1 / 8, third: 1100, wood: 5 };

/** Where battens lie: along them, and each one's lower edge. */
export function battensOf({ across, high, battens }: Door): { x: { from: number; to: number }; ys: number[] } {
  const tall = high.to - high.from;
  const wide = battens?.width ?? 0;
  const low = high.from + BATTEN.fromEnd * tall;
  const up = high.to - BATTEN.fromEnd * tall - wide;
  return {
    x: { from: across.from + BATTEN.clear, to: across.to - BATTEN.clear },
    ys: tall > BATTEN.third ? [low, (low + up) / 2, up] : [low, up],
  };
}

/** Marks of a door's battens: three numbers are kept for each door. */
export const battenMarks = (door: Door): string[] => battensOf(door).ys.map((_, i) => `RB${3 * (door.n - 1) + i + 1}`);

/** A door of boards, and its battens. */
export function battenedParts(door: Door, pull: Case["pull"]): AssemblyPart[] {
  const { n, across, high, thickness, face, hung, overlay, battens } = door;
  if (!battens) return [];
  const opens: Vec = [0, 0, PULL.front];
  const place = { at: [across.from, high.from, face] as Vec, ...UPRIGHT };
  const { x, ys } = battensOf(door);
  const marks = battenMarks(door);
  const edge = { x: hung < 0 ? across.from : across.to, way: hung < 0 ? (1 as const) : (-1 as const), front: face };
  return [
    {
      ...{ id: `B${n}`, kind: ofDoor("door-panel", door), name: "Door", plural: "Doors", letter: "B", opens },
      ...{ role: "panel", make: "solid", adds: [] },
      note: "Glued from the boards chosen for it, its grain upright; battens across its back, never glued.",
      shape: { length: high.to - high.from, width: across.to - across.from, thickness },
      place,
      cuts: [
        ...hingesOf(door).map((middle) => (overlay ? cupIn(place, door, middle) : hingeIn(place, { ...edge, middle }))),
        ...doorHoles(door, pull, place, face),
        ...latchHoles(door, place),
      ],
    },
    ...ys.map((y, i): AssemblyPart => ({
      ...{ id: marks[i], kind: ofDoor("door-batten", door), name: "Door batten", letter: "RB", opens },
      ...{ role: "rail", make: "solid", adds: [], cuts: [] },
      note: "Across the back of its door: the middle screw tight, the others in slots.",
      shape: { length: x.to - x.from, width: battens.width, thickness: battens.thickness },
      place: { at: [x.from, y, face - thickness - battens.thickness], ...LEVEL },
    })),
  ];
}

/** Each batten screwed to its door: an odd number, so that one stands in the middle and is tight. */
export function battenContacts(door: Door, named: string): Contact[] {
  const { battens, thickness, face } = door;
  if (!battens) return [];
  const { x, ys } = battensOf(door);
  const wide = x.to - x.from;
  const marks = battenMarks(door);
  const screws = wide > SCREWS.five ? 5 : 3;
  return ys.map((y, i): Contact => ({
    ...{ group: `${ofDoor("door-panel", door)}+${ofDoor("door-batten", door)}`, name: `${named}: batten to boards` },
    ...{ enters: marks[i], receives: `B${door.n}`, how: "screws", depth: thickness },
    section: { width: wide, thickness: battens.width },
    screws: {
      screws,
      through: battens.thickness,
      long: screwFor(battens.thickness + thickness - BATTEN.wood),
      ...{ slot: battens.slot, tight: "middle" },
    },
    face: { at: [x.from, y, face - thickness], x: FRONT, y: RIGHT },
  }));
}
/** A batten longer than this has five screws, mm. @source common practice */
const SCREWS = { five: 350 };

/** How far whatever lies behind an inset door keeps from the case's front. */
export const doorDeep = ({
  mount,
  thickness,
  build,
  batten,
}: {
  mount: string;
  thickness: number;
  build: string;
  batten: { thickness: number };
}): number => (mount === "overlay" ? 0 : thickness + (build === "battened" ? batten.thickness : 0));
