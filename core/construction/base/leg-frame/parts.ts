import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import { BACK, DOWN, FRONT, LEFT, RIGHT, UP } from "../../../assembly/vector";
import { Contact, screwFor } from "../contact";
import { FRAME, LegFrame, Span } from "./place";

/** How far its parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { aside: 120, down: 160 };
/** A screw for so much of a strip's length, and so far into the rail below it, mm. @source common practice */
const SCREWS = { every: 250, into: 26 };

const stick = { make: "solid", role: "rail", adds: [], cuts: [] } as const;

/** Legs FL, long rails FA, rails at the ends FB, strips FF: numbered from behind and the left. */
export function legFrameParts(at: LegFrame): AssemblyPart[] {
  const { leg, height, across, deep, rail, long, ends, strips, gap } = at;
  const low = height - rail.depth;
  const legs = [deep.from, deep.to - leg].flatMap((z, i) =>
    [across.from, across.to - leg].map((x, j): AssemblyPart => ({
      ...{ id: `FL${2 * i + j + 1}`, kind: "stand-leg", name: "Leg of the frame", plural: "Legs of the frame" },
      ...{ letter: "FL", ...stick, role: "leg", note: "Left long at the foot until the frame stands." },
      shape: { length: height, width: leg, thickness: leg },
      place: { at: [x, 0, z + leg], x: UP, y: RIGHT },
      opens: [(j === 0 ? -1 : 1) * PULL.aside, -PULL.down, (i === 0 ? -1 : 1) * PULL.aside],
    })),
  );
  return [
    ...legs,
    ...long.z.map(({ from }, i): AssemblyPart => ({
      ...{ id: `FA${i + 1}`, kind: "stand-rail", name: "Long rail of the frame", plural: "Long rails of the frame" },
      ...{ letter: "FA", ...stick, note: "Its tenons are included; both between shoulders of one length." },
      shape: { length: long.between.to - long.between.from, width: rail.depth, thickness: rail.thickness },
      place: { at: [long.between.from, low, from], x: RIGHT, y: UP },
      opens: [0, -PULL.down, (i === 0 ? -1 : 1) * PULL.aside],
    })),
    ...ends.x.map(({ to }, i): AssemblyPart => ({
      ...{ id: `FB${i + 1}`, kind: "stand-end", name: "End rail of the frame", plural: "End rails of the frame" },
      ...{ letter: "FB", ...stick, note: "Its tenons are included; both between shoulders of one length." },
      shape: { length: ends.between.to - ends.between.from, width: rail.depth, thickness: rail.thickness },
      place: { at: [to, low, ends.between.from], x: FRONT, y: UP },
      opens: [(i === 0 ? -1 : 1) * PULL.aside, -PULL.down, 0],
    })),
    ...strips.map(({ z, back }, i): AssemblyPart => ({
      ...{ id: `FF${i + 1}`, kind: stripKind(back), name: back ? "Strip on the back rail" : "Strip on the front rail" },
      ...{
        letter: "FF",
        ...stick,
        note: "Between the legs; as high as the shadow gap, screwed down before it is screwed up.",
      },
      shape: { length: long.between.to - long.between.from, width: z.to - z.from, thickness: gap },
      place: { at: [long.between.from, height, z.to], x: RIGHT, y: BACK },
      opens: [0, -PULL.down / 2, 0],
    })),
  ];
}

const stripKind = (back: boolean) => (back ? "stand-strip-back" : "stand-strip");

/** What it carries: the bottom above the strips, how it is named, whether it moves across the piece and so is let go behind. */
export interface Carried {
  id: string;
  kind: string;
  said: string;
  thickness: number;
  /** slots of the screws behind, mm; null where it does not move */
  slot: number | null;
}

export function legFrameContacts(at: LegFrame, carried: Carried): Contact[] {
  const { leg, height, rail, long, ends, strips, gap } = at;
  const low = height - rail.depth;
  const section = { width: rail.depth, thickness: rail.thickness };
  const tenon = (passes: boolean, outward: 1 | -1) => ({
    ...{ how: "rail" as const, section, depth: leg, rail: { reveal: FRAME.reveal, passes, outward } },
  });
  const width = long.between.to - long.between.from;
  const along = Math.max(2, Math.round(width / SCREWS.every) + 1);
  const down = (over: Span): Place => ({ at: [long.between.from, height, over.from], x: DOWN, y: RIGHT });
  const up = (inside: Span): Place => ({ at: [long.between.from, height + gap, inside.to], x: UP, y: RIGHT });
  return [
    ...long.z.flatMap(({ from, to }, i) =>
      [
        { at: [long.between.from, low, to] as const, x: LEFT, y: UP },
        { at: [long.between.to, low, from] as const, x: RIGHT, y: UP },
      ].map((face, j): Contact => ({
        ...tenon(true, i === j ? 1 : -1),
        ...{ group: "stand-leg+stand-rail", name: "Long rail to leg of the frame", face },
        ...{ enters: `FA${i + 1}`, receives: `FL${2 * i + j + 1}` },
      })),
    ),
    ...ends.x.flatMap(({ from, to }, i) =>
      [
        { at: [from, low, ends.between.from] as const, x: BACK, y: UP },
        { at: [to, low, ends.between.to] as const, x: FRONT, y: UP },
      ].map((face, j): Contact => ({
        ...tenon(false, i === j ? -1 : 1),
        ...{ group: "stand-leg+stand-end", name: "End rail to leg of the frame", face },
        ...{ enters: `FB${i + 1}`, receives: `FL${2 * j + i + 1}` },
      })),
    ),
    ...strips.flatMap(({ over, inside, back }, i): Contact[] => {
      const strip = stripKind(back);
      const where = back ? "back" : "front";
      const screwed = { enters: `FF${i + 1}`, how: "screws" } as const;
      return [
        {
          ...{
            ...screwed,
            group: `stand-rail+${strip}`,
            name: `Strip to the ${where} rail of the frame`,
            receives: `FA${i + 1}`,
          },
          ...{ section: { width, thickness: over.to - over.from }, depth: rail.depth, face: down(over) },
          screws: { screws: along, through: gap, long: screwFor(gap + SCREWS.into) },
        },
        {
          ...{
            ...screwed,
            group: `${carried.kind}+${strip}`,
            name: `${carried.said} to the ${where} strip`,
            receives: carried.id,
          },
          ...{ section: { width, thickness: inside.to - inside.from }, depth: carried.thickness, face: up(inside) },
          screws: {
            ...{ screws: along, through: gap, long: screwFor(gap + carried.thickness - 2) },
            ...(back && carried.slot !== null ? { slot: carried.slot, slotWay: "across" as const } : {}),
          },
        },
      ];
    }),
  ];
}
