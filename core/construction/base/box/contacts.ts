/** Where the walls of a box meet, what holds its bottom, and its frame. */
import { BACK, FRONT, LEFT, RIGHT, UP } from "../../../assembly/vector";
import { Contact, mitredCorner, screwFor } from "../contact";
import { legFrameContacts } from "../leg-frame/parts";
import type { Box } from "./place";

/** A screw for so much of the bottom's edge, and so far into the wall above it, mm. @source common practice */
const SCREWS = { every: 180, into: 24 };

/** Of a bracket’s plate: its screws into the wall, how thick it is, what stays of the wall. mm @source common practice */
const BRACKET = { screws: 4, steel: 2, over: 3 };

export function boxContacts(at: Box): Contact[] {
  const { legs, bottom, choices } = at;
  return [
    ...corners(at),
    ...(bottom.slats.length > 0 ? atSlats(at) : atBottom(at)),
    ...atBrackets(at),
    ...(legs
      ? legFrameContacts(legs, {
          ...{ id: "Q", kind: "box-bottom", said: "Bottom", thickness: bottom.thickness },
          slot: bottom.solid ? choices.bottom.slot : null,
        })
      : []),
  ].filter(({ section }) => section.width > 0 && section.thickness > 0);
}

const SIDES = [-1, 1] as const;

/** What holds the corners that are mitred. */
const MITRES = { splined: "spline", "loose-tenons": "loose", keyed: "keys", dowelled: "dowels" } as const;

function corners({ outside, inside, high, wall, choices }: Box): Contact[] {
  const width = high.to - high.from;
  return SIDES.flatMap((sz, i) =>
    SIDES.map((sx, j): Contact => {
      const kind = sz < 0 ? "box-back" : "box-front";
      const known = {
        ...{ group: `box-end+${kind}`, name: `${sz < 0 ? "Back" : "Front"} wall to end` },
        ...{ enters: `W${i + 1}`, receives: `P${j + 1}`, section: { width, thickness: wall }, depth: wall },
      };
      if (choices.corner === "dovetailed")
        return {
          ...{ ...known, how: "through", tails: null },
          face:
            sx > 0
              ? { at: [inside.x.to, high.from, sz < 0 ? outside.z.from : inside.z.to], x: RIGHT, y: UP }
              : { at: [inside.x.from, high.from, sz < 0 ? inside.z.from : outside.z.to], x: LEFT, y: UP },
        };
      if (choices.corner === "rebated")
        return {
          ...{ ...known, how: "rebated" },
          // pins come from the walls' outer faces
          ...(sx > 0
            ? { face: { at: [inside.x.to, high.from, sz < 0 ? outside.z.from : inside.z.to], x: RIGHT, y: UP } }
            : { face: { at: [inside.x.from, high.from, sz < 0 ? inside.z.from : outside.z.to], x: LEFT, y: UP } }),
          outward: sx * sz > 0 ? 1 : -1,
        };
      return {
        ...{ ...known, how: "mitred", mitre: { held: MITRES[choices.corner], set: [] } },
        face: mitredCorner({ ...outside, y: high }, sx, sz),
      };
    }),
  );
}

/** Each bracket is screwed to the end wall beside it. */
function atBrackets({ brackets, inside, wall }: Box): Contact[] {
  return brackets.map(({ id, y, z }, i): Contact => {
    const section = { width: z.to - z.from, thickness: y.to - y.from };
    return {
      ...{ group: "box-end+lift-bracket", name: "Bracket to end wall", enters: id, receives: `P${i + 1}` },
      ...{ how: "screws", section, depth: wall },
      screws: { screws: BRACKET.screws, through: BRACKET.steel, long: screwFor(BRACKET.steel + wall - BRACKET.over) },
      face:
        i === 0
          ? { at: [inside.x.from, y.to, z.to], x: LEFT, y: BACK }
          : { at: [inside.x.to, y.to, z.from], x: RIGHT, y: FRONT },
    };
  });
}

/** One screw up through each end of a slat: it moves to both sides of that. */
function atSlats({ inside: { z }, high, bottom }: Box): Contact[] {
  const { slats, thickness, rest } = bottom;
  const y = high.from + thickness;
  const depth = high.to - y;
  const screws = { screws: 1, through: thickness, long: screwFor(thickness + Math.min(SCREWS.into, depth - 2)) };
  return slats.flatMap(({ from, to }, i): Contact[] => {
    const known = { enters: `BQ${i + 1}`, how: "screws" as const, depth, screws };
    const section = { width: to - from, thickness: rest };
    return [
      {
        ...{ ...known, section, group: "box-back+box-slat", name: "Slat to back wall", receives: "W1" },
        face: { at: [from, y, z.from], x: UP, y: RIGHT },
      },
      {
        ...{ ...known, section, group: "box-front+box-slat", name: "Slat to front wall", receives: "W2" },
        face: { at: [from, y, z.to + rest], x: UP, y: RIGHT },
      },
    ];
  });
}

/** The outer slats lie on the ends' rebates, and are held at the front and the back. */
export const slatsAgainst = ({ bottom: { slats } }: Box): { a: string; b: string }[] =>
  slats.length > 0
    ? [
        { a: "BQ1", b: "P1" },
        { a: `BQ${slats.length}`, b: "P2" },
      ]
    : [];

/** Screws up through the bottom into the walls' rebates: tight where it is of sheet; a solid one is tight in front only. */
function atBottom({ inside, high, bottom, choices }: Box): Contact[] {
  const { thickness, rest, solid } = bottom;
  const y = high.from + thickness;
  const depth = high.to - y;
  const held = (width: number, slotWay: "along" | "across" | null): Pick<Contact, "section" | "screws"> => ({
    section: { width, thickness: rest },
    screws: {
      screws: Math.max(2, Math.round(width / SCREWS.every)),
      ...{ through: thickness, long: screwFor(thickness + Math.min(SCREWS.into, depth - 2)) },
      ...(solid && slotWay ? { slot: choices.bottom.slot, slotWay } : {}),
    },
  });
  const { x, z } = inside;
  const under = (kind: string, said: string) => ({
    ...{ group: `${kind}+box-bottom`, name: `Bottom to ${said}`, enters: "Q", how: "screws" as const, depth },
  });
  return [
    ...[x.from - rest, x.to].map((at, i): Contact => ({
      ...{ ...under("box-end", "end wall"), ...held(z.to - z.from, "along"), receives: `P${i + 1}` },
      face: { at: [at, y, z.from], x: UP, y: FRONT },
    })),
    {
      ...{ ...under("box-back", "back wall"), ...held(x.to - x.from, "across"), receives: "W1" },
      face: { at: [x.from, y, z.from], x: UP, y: RIGHT },
    },
    {
      ...{ ...under("box-front", "front wall"), ...held(x.to - x.from, null), receives: "W2" },
      face: { at: [x.from, y, z.to + rest], x: UP, y: RIGHT },
    },
  ];
}
