import { straightAt } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import { HOME, Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { TrestleChoices } from "../../../piece/base-choices";
import { archedRail } from "../arch";
import type { BaseFacts } from "../base";
import { UPRIGHT_WIDTH } from "./joints";
import { braceOutline, footOutline } from "./outlines";
import { numbered, PAD, padLength, Trestle } from "./place";

export type TrestleFacts = BaseFacts<Trestle>;
type Plain = Omit<AssemblyPart, "adds" | "cuts">;

/** Grain along z with its face upright, its thickness toward −x; grain upright with its width along z. */
const ACROSS = { x: [0, 0, 1] as Vec, y: [0, 1, 0] as Vec };
const UPRIGHT = { x: [0, 1, 0] as Vec, y: [0, 0, 1] as Vec };
/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { along: 220, down: 120, up: 110 };

/** Feet, posts, braces, stretchers and what else stands, without their joints. */
export function trestleSticks({ form, at }: TrestleFacts): AssemblyPart[] {
  const all: Plain[] = at.ends.flatMap((x, i) => endParts(form.trestle, at, x, i));
  all.push(...stretchers(form.trestle, at), ...ties(form.trestle, at), ...uprights(at));
  return all.map((part) => ({
    ...part,
    adds: [],
    cuts: part.kind === "foot" && form.trestle.foot.pads ? lets(at) : [],
  }));
}

const GLUED = {
  laminated: "Two leaves glued by their faces, then trued.",
  "three-leaves": "Three leaves glued by their faces, then trued.",
  "four-leaves": "Four leaves glued by their faces, then trued.",
};

function endParts(choices: TrestleChoices, at: Trestle, x: number, i: number): Plain[] {
  const { foot, post, brace, rows } = at;
  const away: Vec = [Math.sign(x) * PULL.along, 0, 0];
  const middle = at.ends.length === 3 && i === 1;
  return [
    {
      id: `Q${i + 1}`,
      kind: "foot",
      name: "Foot",
      plural: "Feet",
      letter: "Q",
      role: "post",
      make: choices.foot.make,
      note: choices.foot.make !== "solid" ? GLUED[choices.foot.make] : "",
      shape: {
        length: foot.length,
        width: foot.height,
        thickness: foot.thickness,
        face: footOutline(choices.foot, foot.length, foot.height),
      },
      place: { ...ACROSS, at: [x + foot.thickness / 2, foot.base, -foot.length / 2] },
      opens: [away[0], -PULL.down, 0],
    },
    ...rows.map((z, row): Plain => ({
      id: `P${i * rows.length + row + 1}`,
      kind: middle ? "middle-post" : "post",
      name: middle ? "Middle post" : "Post",
      letter: "P",
      role: "post",
      make: choices.post.make,
      note: choices.post.make !== "solid" ? GLUED[choices.post.make] : "Tenoned at both ends; shoulders from one stop.",
      shape: { length: post.shoulder, width: post.width, thickness: post.thickness },
      place: { ...UPRIGHT, at: [x - post.thickness / 2, post.from, z - post.width / 2] },
      opens: away,
    })),
    {
      id: `H${i + 1}`,
      kind: "brace",
      name: "Brace",
      letter: "H",
      role: "post",
      make: "solid",
      note: "",
      shape: {
        length: brace.length,
        width: brace.height,
        thickness: brace.thickness,
        face: braceOutline(choices.brace, brace.length, brace.height),
      },
      place: { ...ACROSS, at: [x + brace.thickness / 2, brace.from, -brace.length / 2] },
      opens: [away[0], PULL.up, 0],
    },
    ...(choices.foot.pads ? pads(at, x, i) : []),
    ...struts(at, x, i),
  ];
}

/** What lets the pads into a foot, in its own frame. */
function lets({ foot }: Trestle): AssemblyPart["cuts"] {
  const length = Math.min(PAD.length, padLength(foot.length));
  return [0, foot.length - length].map((from) => ({
    by: "foot+pad",
    shape: { length, width: PAD.letIn, thickness: foot.thickness },
    place: { ...HOME, at: [from, 0, 0] },
  }));
}

function pads({ foot, ends }: Trestle, x: number, i: number): Plain[] {
  const length = Math.min(PAD.length, padLength(foot.length));
  return [-1, 1].map((side, k): Plain => ({
    id: `Y${2 * i + k + 1}`,
    kind: "pad",
    name: "Pad",
    letter: "Y",
    role: "block",
    make: "solid",
    note: "Let into the foot; glued when the base stands level.",
    shape: { length, width: foot.thickness, thickness: PAD.proud + PAD.letIn },
    place: {
      x: [0, 0, 1],
      y: [1, 0, 0],
      at: [x - foot.thickness / 2, 0, side > 0 ? foot.length / 2 - length : -foot.length / 2],
    },
    opens: [Math.sign(x) * (ends.length > 1 ? PULL.along : 0), -PULL.down - 80, 0],
  }));
}

/** Two struts a post at 45°, from its sides up to the brace: long point to long point is √2 × their reach. */
function struts(at: Trestle, x: number, i: number): Plain[] {
  const { strut, brace, post, rows } = at;
  if (!strut) return [];
  const a = Math.SQRT1_2;
  const { reach, width, thickness } = strut;
  const length = reach * Math.SQRT2;
  return rows.flatMap((z, row) =>
    ([-1, 1] as const).map((side, k): Plain => {
      const face = z + (side * post.width) / 2;
      const place: Place = {
        at: [x + (side * thickness) / 2, brace.from - reach, face],
        x: [0, a, side * a],
        y: [0, a, -side * a],
      };
      return {
        id: `V${2 * (i * rows.length + row) + k + 1}`,
        kind: "strut",
        name: "Strut",
        letter: "V",
        role: "rail",
        make: "solid",
        note: "Sawn at 45° both ends, long point to long point.",
        shape: {
          length,
          width,
          thickness,
          face: {
            outer: [
              straightAt(0, 0),
              straightAt(length, 0),
              straightAt(Math.max(length / 2, length - width), Math.min(width, length / 2)),
              straightAt(Math.min(length / 2, width), Math.min(width, length / 2)),
            ],
            holes: [],
          },
        },
        place,
        opens: [Math.sign(x) * PULL.along, 0, side * PULL.down],
      };
    }),
  );
}

function stretchers({ stretcher: choice }: TrestleChoices, { bays, rows, stretcher }: Trestle): Plain[] {
  return bays.flatMap(({ from, to }, i) =>
    rows.map((z, row): Plain => {
      const length = to - from;
      const rise = Math.min(choice.arch, stretcher.depth / 2);
      return {
        id: numbered("R", i * rows.length + row, bays.length * rows.length),
        kind: "stretcher",
        name: "Stretcher",
        letter: "R",
        role: "rail",
        make: "solid",
        note: `Its tenons are included; the shoulders are marked from the posts.`,
        shape: archedRail({ length, width: stretcher.depth, thickness: stretcher.thickness }, rise),
        place: { ...HOME, at: [from, stretcher.height, z - stretcher.thickness / 2] },
        opens: [0, 0, 0],
      };
    }),
  );
}

function ties({ ties: choice }: TrestleChoices, { bays, ties: places, under, brace, post }: Trestle): Plain[] {
  const wider = (brace.thickness - post.thickness) / 2;
  return bays.flatMap(({ from, to }, i) =>
    places.map((z, row): Plain => ({
      id: `W${i * places.length + row + 1}`,
      kind: "tie",
      name: "Tie",
      letter: "W",
      role: "rail",
      make: "solid",
      note: "A dovetail at each end is included; slid down from above.",
      shape: { length: to - from - 2 * wider, width: choice.depth, thickness: choice.thickness },
      place: { ...HOME, at: [from + wider, under - choice.depth, z - choice.thickness / 2] },
      opens: [0, 2 * PULL.up, 0],
    })),
  );
}

function uprights({ uprights: places, rows, stretcher, brace }: Trestle): Plain[] {
  const from = stretcher.height + stretcher.depth;
  return places.flatMap((x, i): Plain[] => [
    ...rows.map((z, row): Plain => ({
      id: numbered("X", i * rows.length + row, places.length * rows.length),
      kind: "upright",
      name: "Upright",
      letter: "X",
      role: "rail",
      make: "solid",
      note: "",
      shape: { length: brace.from - from, width: UPRIGHT_WIDTH, thickness: stretcher.thickness },
      place: { x: [0, 1, 0], y: [1, 0, 0], at: [x - UPRIGHT_WIDTH / 2, from, z + stretcher.thickness / 2] },
      opens: [0, PULL.up / 2, 0],
    })),
    {
      id: numbered("M", i, places.length),
      kind: "middle-brace",
      name: "Middle brace",
      letter: "M",
      role: "rail",
      make: "solid",
      note: "",
      shape: { length: brace.length, width: brace.height, thickness: stretcher.thickness },
      place: { ...ACROSS, at: [x + stretcher.thickness / 2, brace.from, -brace.length / 2] },
      opens: [0, PULL.up, 0],
    },
  ]);
}
