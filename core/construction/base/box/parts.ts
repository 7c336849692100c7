import type { AssemblyPart } from "../../../assembly/part";
import { Place, seenFrom } from "../../../assembly/place";
import { FRONT, RIGHT, UP, Vec } from "../../../assembly/vector";
import type { BaseFacts } from "../base";
import { legFrameParts } from "../leg-frame/parts";
import { BOX, Box, isMitred } from "./place";

/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { along: 240, across: 240, down: 90 };

const panel = { make: "solid", role: "panel", adds: [] } as const;

/** A box: ends P, back and front W, bottom Q, what is bought for its lid, its leg frame. */
export function boxParts({ at }: BaseFacts<Box>): AssemblyPart[] {
  const { legs } = at;
  return [
    ...walls(at),
    ...(at.bottom.slats.length > 0 ? slats(at) : [bottom(at)]),
    ...bought(at),
    ...(legs ? legFrameParts(legs) : []),
  ];
}

function walls(at: Box): AssemblyPart[] {
  const { outside, inside, high, wall, choices } = at;
  const width = high.to - high.from;
  const square = !isMitred(choices);
  const long = square ? inside.x : outside.x;
  const note = `Glued from the boards chosen for it, its grain running on round the corner${choices.corner === "dovetailed" ? "; its tails are included" : square ? "; what lies in the rebates is included" : "; mitred at both ends"}.`;
  const cut = (place: Place) => ({
    cuts: [{ by: "box-bottom", ...rebate(at, place) }],
  });
  const ends = [-1, 1].map((way, i): AssemblyPart => {
    const place: Place = {
      at: [way < 0 ? outside.x.from + wall : outside.x.to, high.from, outside.z.from],
      ...{ x: FRONT, y: UP },
    };
    return {
      ...{ id: `P${i + 1}`, kind: "box-end", name: "End wall", letter: "P", ...panel, place, ...cut(place) },
      note: !square
        ? note
        : choices.corner === "dovetailed"
          ? "Glued from the boards chosen for it; its pins are marked from the tails that go there."
          : "Glued from the boards chosen for it; rebated along both ends for the walls that stand there.",
      shape: { length: outside.z.to - outside.z.from, width, thickness: wall },
      opens: [way * PULL.along, 0, 0],
    };
  });
  const across = [-1, 1].map((way, i): AssemblyPart => {
    const place: Place = {
      at: [long.from, high.from, way < 0 ? outside.z.from : outside.z.to - wall],
      ...{ x: RIGHT, y: UP },
    };
    const { cuts } = cut(place);
    return {
      ...{ id: `W${i + 1}`, kind: way < 0 ? "box-back" : "box-front", name: way < 0 ? "Back wall" : "Front wall" },
      ...{ letter: "W", ...panel, note, place },
      shape: { length: long.to - long.from, width, thickness: wall },
      cuts: way < 0 ? [...cuts, ...hingeRecesses(at, place)] : cuts,
      opens: [0, 0, way * PULL.across],
    };
  });
  return [...ends, ...across];
}

/** What the bottom's rebate takes from the walls: as long and wide as the bottom with what is free round it. */
function rebate({ inside, high, bottom }: Box, place: Place) {
  const { rest, thickness } = bottom;
  const [x, z] = [inside.x, inside.z].map(({ from, to }) => ({ from: from - rest, to: to + rest }));
  return {
    shape: { length: x.to - x.from, width: z.to - z.from, thickness },
    place: seenFrom(place, { at: [x.from, high.from, z.to], x: RIGHT, y: [0, 0, -1] }),
  };
}

/** Hinges are let into the back wall by what they are thicker than the gap under the lid. */
function hingeRecesses({ hinges, choices, high, outside }: Box, place: Place) {
  const { long, wide, closed } = BOX.hinge;
  const deep = closed - choices.lid.gap;
  if (deep <= 0) return [];
  return hinges.map((x) => ({
    by: "box-hinge",
    shape: { length: long, width: wide, thickness: deep },
    place: seenFrom(place, {
      at: [x - long / 2, high.to - deep, outside.z.from + wide],
      ...{ x: RIGHT, y: [0, 0, -1] as Vec },
    }),
    shows: true,
  }));
}

const slats = ({ bottom: { slats: all, z, thickness }, high }: Box): AssemblyPart[] =>
  all.map(({ from, to }, i): AssemblyPart => ({
    ...{ id: `BQ${i + 1}`, kind: "box-slat", name: "Bottom slat", letter: "BQ", make: "solid", role: "rail" },
    note: "From front to back in the rebates; one screw in the middle of each end, edges eased.",
    shape: { length: z.to - z.from, width: to - from, thickness },
    place: { at: [from, high.from, z.from], x: FRONT, y: RIGHT },
    ...{ adds: [], cuts: [], opens: [0, -PULL.down, 0] },
  }));

function bottom({ bottom: { x, z, thickness, solid }, high }: Box): AssemblyPart {
  return {
    ...{ id: "Q", kind: "box-bottom", name: "Bottom", letter: "Q", make: "solid", adds: [], cuts: [] },
    ...(solid
      ? {
          role: "panel",
          note: "Glued from the boards chosen for it; screwed in front, in slots at its ends and behind, where it moves.",
        }
      : {
          role: "sheet",
          sheet: { material: "plywood", thickness },
          note: "In the rebate all round, flush below; glued and screwed: it keeps the box square.",
        }),
    shape: { length: x.to - x.from, width: z.to - z.from, thickness },
    place: { at: [x.from, high.from, z.to], x: RIGHT, y: [0, 0, -1] },
    opens: [0, -PULL.down, 0],
  };
}

/** Brackets as the room they fill, and ballast as its plate. */
function bought({ brackets, ballast, under, choices }: Box): AssemblyPart[] {
  const { mass, weeks, measured } = choices.lid.bracket;
  const metal = { role: "bought", make: "solid", note: "", adds: [], cuts: [] } as const;
  return [
    ...brackets.map(({ id, x, y, z }): AssemblyPart => ({
      ...{ id, kind: "lift-bracket", name: "Lift bracket", letter: "Y", ...metal },
      bought: { mass, weeks, measured },
      shape: { length: z.to - z.from, width: y.to - y.from, thickness: x.to - x.from },
      place: { at: [x.to, y.from, z.from], x: FRONT, y: UP },
      opens: [0, PULL.down, 0],
    })),
    ...(ballast
      ? [
          {
            ...{ id: "YB", kind: "ballast", name: "Steel ballast", plural: "Steel ballast", letter: "YB", ...metal },
            bought: { mass: ballast.mass, weeks: 0, measured: true },
            shape: {
              length: ballast.x.to - ballast.x.from,
              width: ballast.z.to - ballast.z.from,
              thickness: ballast.thickness,
            },
            place: { at: [ballast.x.from, under - ballast.thickness, ballast.z.to], x: RIGHT, y: [0, 0, -1] as Vec },
            opens: [0, -PULL.down / 2, 0] as Vec,
          } satisfies AssemblyPart,
        ]
      : []),
  ];
}
