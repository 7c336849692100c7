/** What a parted top is made of: its two halves, its leaves with their rails, and how it stands when it is open. */
import { stretchOf } from "../../assembly/clip";
import type { Meeting } from "../../assembly/meeting";
import { AssemblyPart, Pose, Worked } from "../../assembly/part";
import { HOME, Place, seenFrom, within } from "../../assembly/place";
import type { SmallPart } from "../../assembly/small";
import { add, Vec } from "../../assembly/vector";
import { bodiesOf } from "../../joinery/kinds";
import { PocketScrewed, pocketScrewed } from "../../joinery/pocket-screwed";
import { endJoint } from "../../joinery/end-joint";
import { Seam, seam } from "../../joinery/seam";
import { USUAL_TENON } from "../../piece/base-choices";
import type { Form } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import type { PieceGeometry } from "../geometry";
import { flat } from "../top/part";
import { roundMiddle } from "./middle";
import type { Parted, PartingFacts } from "./facts";
import { slidesOf } from "./slides";

export const SEAM = "top+top";
const LEAF_RAIL = "leaf+leaf-rail";
/** How far the leaves are lifted when the piece is pulled apart, mm: over the top. */
const LIFT = 420;

/** The whole top as it would be in one, in its two halves. */
export function halves(top: AssemblyPart, at: PieceGeometry): AssemblyPart[] {
  const { middle, leaves } = at.parting!;
  const half = Math.max(1, (top.shape.length - middle) / 2);
  return [0, 1].map((i) => {
    const off: Vec = [i * (half + middle), 0, 0];
    return {
      ...top,
      id: `T${i + 1}`,
      name: "Half of the top",
      said: "half of the top",
      plural: "halves of the top",
      note: "Sawn from its blank across the grain; the sawn edges meet in the seam.",
      shape: stretchOf(top.shape, off[0], off[0] + half),
      place: { ...top.place, at: add(top.place.at, off) },
      cuts: top.cuts.map((cut) => ({ ...cut, place: { ...cut.place, at: add(cut.place.at, [-off[0], 0, 0]) } })),
      opens: add(top.opens, leaves > 0 ? [(i - 0.5) * 240, 0, 0] : [(i - 0.5) * 120, 0, 0]),
    };
  });
}

/** The seam of the halves: from the left one into the right, from its lower front corner. */
const seamFace = (x: number, { under, core }: PieceGeometry): Place => ({
  at: [x, under, core.width / 2],
  ...{ x: [1, 0, 0], y: [0, 0, -1] },
});

/** Where each leaf lies when the table is open: from its left edge to its right one, mm. */
export const leavesAt = ({ parting }: Pick<PieceGeometry, "parting">): { id: string; from: number; to: number }[] =>
  Array.from({ length: parting?.leaves ?? 0 }, (_, i) => {
    const { leaf, opens } = parting!;
    return { id: `TL${i + 1}`, from: i * leaf - opens / 2, to: (i + 1) * leaf - opens / 2 };
  });

interface Rail {
  depth: number;
  thickness: number;
  /** of the middle line of the rails it goes on from, and their upper edge */
  z: number;
  upper: number;
}
/** The rails that go on below the leaves as those of the halves do; null where none are wanted, or the base has none. */
function leafRailOf(form: Form, at: PieceGeometry): Rail | null {
  if (!form.parting.apron) return null;
  const rail = at.bearers.find(({ middle }) => middle !== undefined);
  return rail ? { depth: rail.depth, thickness: rail.thickness, z: Math.abs(rail.at), upper: at.under } : null;
}
/** A rail below a leaf ends so far before its edges, so that leaves close and rails do not, mm. @source common practice */
export const RAIL_SHORT = 1;

const WHOLE: Parted = { parts: [], joints: [], meetings: [], small: [] };

/** Leaves with their rails, what keeps the seams level, the slides below; nothing where the top is whole. */
export function partingParts({ form, at, choices, shop }: PartingFacts): Parted {
  const { parting, core } = at;
  if (!parting) return WHOLE;
  const who = { id: SEAM, group: SEAM, receives: "top", enters: "top", count: parting.leaves + 1 };
  if (parting.kind === "glued") return endToEnd({ form, at, choices, shop });
  if (parting.kind === "middle") return roundMiddle({ form, at, shop }, parting.middle);
  const across = seam({
    meets: {
      ...who,
      name: parting.kind === "leaves" ? "Seams of halves and leaves" : "Seam of the two halves",
    },
    section: { width: core.width, thickness: core.thickness },
    into: at.top.length / 2,
    connectors: parting.kind === "drawn" ? form.parting.connectors : 0,
  });
  const closed: Meeting = { joint: across, enters: "T1", receives: "T2", face: seamFace(0, at) };
  if (parting.kind === "drawn") return { ...WHOLE, joints: [across], meetings: [closed] };
  const leaves = leavesAt(at).map((leaf) => leafPart(at, leaf, across));
  const rail = leafRailOf(form, at);
  const railed = rail ? leafRails(at, rail, shop) : WHOLE;
  return {
    parts: [...leaves, ...railed.parts],
    joints: [across, ...railed.joints],
    meetings: [closed, ...railed.meetings],
    small: [...leaves.flatMap((leaf) => pinsOf(leaf, at, across)), ...slidesOf(form, at)],
  };
}

/** One loose tenon for so much of the seam, mm. @source common practice: end grain alone holds hardly a quarter */
const EVERY = 110;

/** Two halves glued end grain to end grain: their tenons hold them, the glue hardly does. */
function endToEnd({ at, choices, shop }: PartingFacts): Parted {
  const { core } = at;
  const setting = choices.groups[SEAM] ?? { ...USUAL_TENON, kind: "loose" as const };
  const joint = endJoint({
    meets: {
      ...{ id: SEAM, group: SEAM, receives: "top", enters: "top", count: 1 },
      name: "Halves of the top, end to end",
    },
    section: { width: core.width, thickness: core.thickness },
    into: { depth: at.top.length / 2, thickness: core.width },
    setting: { ...setting, tenons: setting.tenons ?? Math.max(2, Math.round(core.width / EVERY)) },
    ...{ shop, pushed: true },
  });
  return { ...WHOLE, joints: [joint], meetings: [{ joint, enters: "T1", receives: "T2", face: seamFace(0, at) }] };
}

function leafPart(
  at: PieceGeometry,
  { id, from, to }: { id: string; from: number; to: number },
  joint: Seam,
): AssemblyPart {
  const { width, thickness } = at.core;
  const place = flat(at, width / 2, from);
  const bodies = bodiesOf(joint);
  const worked = (x: number, which: typeof bodies.cuts): Worked[] =>
    which.map((body) => ({ ...body, by: SEAM, place: seenFrom(place, within(seamFace(x, at), body.place)) }));
  return {
    ...{ id, kind: "leaf", name: "Leaf", plural: "leaves", letter: "TL", role: "panel", make: "solid" },
    note: "Its grain with the top’s; both edges bored as those of the halves.",
    shape: { length: to - from, width, thickness },
    place,
    adds: [],
    cuts: [...worked(from, bodies.cuts), ...worked(to, bodies.own)],
    opens: [0, LIFT, 0],
    away: true,
  };
}

/** Pins that stay in the right edge of a leaf. */
function pinsOf(leaf: AssemblyPart, at: PieceGeometry, joint: Seam): SmallPart[] {
  const x = leaf.place.at[0] + leaf.shape.length;
  return (bodiesOf(joint).brings ?? []).map(({ name, of, sold, shape, place }, i): SmallPart => ({
    ...{ id: `${leaf.id}-pin-${i + 1}`, name, plural: `${name}s`, of, shape, ...(sold ? { sold } : {}) },
    ...{ place: within(seamFace(x, at), place), opens: leaf.opens, by: SEAM, on: leaf.id, away: true, within: true },
  }));
}

function leafRails(at: PieceGeometry, rail: Rail, shop: Shop): Parted {
  const { leaf, leaves } = at.parting!;
  const length = Math.max(1, leaf - 2 * RAIL_SHORT);
  const joint: PocketScrewed = pocketScrewed({
    meets: {
      ...{ id: LEAF_RAIL, group: LEAF_RAIL, receives: "leaf", enters: "leaf-rail", count: 2 * leaves },
      name: "Rail below a leaf",
    },
    section: { width: length, thickness: rail.thickness },
    into: { depth: at.core.thickness, thickness: at.core.width },
    setting: USUAL_TENON,
    shop,
  });
  const all = leavesAt(at).flatMap(({ id, from }, i) =>
    ([-1, 1] as const).map((side, j) => {
      const n = 2 * i + j + 1;
      const x = from + RAIL_SHORT;
      const near = side * rail.z - rail.thickness / 2;
      const part: AssemblyPart = {
        ...{ id: `LR${n}`, kind: "leaf-rail", name: "Leaf rail", letter: "LR", role: "rail", make: "solid" },
        note: "Screwed to its leaf from pockets inside, with the table open.",
        markedFrom: "the open table",
        shape: { length, width: rail.depth, thickness: rail.thickness },
        place: { ...HOME, at: [x, rail.upper - rail.depth, near] },
        ...{ adds: [], cuts: [], opens: [0, LIFT - 90, 0], away: true },
      };
      // up into the leaf, along it, from the rail's back to its front
      const meeting: Meeting = {
        joint,
        enters: part.id,
        receives: id,
        face: { at: [x, rail.upper, near + rail.thickness], x: [0, 1, 0], y: [1, 0, 0] },
        outward: side > 0 ? -1 : 1,
      };
      return { part, meeting };
    }),
  );
  return {
    parts: all.map(({ part }) => part),
    joints: [joint],
    meetings: all.map(({ meeting }) => meeting),
    small: [],
  };
}

/** The table open: its left half with all that stands below it gone left, its right half right, the leaves between. */
export function partedPoses(at: PieceGeometry, parts: readonly AssemblyPart[]): Pose[] {
  const { parting } = at;
  if (parting?.kind !== "leaves") return [];
  const far = parting.opens / 2;
  const places = Object.fromEntries(
    parts.map((part) => {
      if (part.away) return [part.id, part.place];
      const side = middleOf(part) < 0 ? -1 : 1;
      return [part.id, { ...part.place, at: add(part.place.at, [side * far, 0, 0]) }];
    }),
  );
  return [{ id: "leaves", name: parting.leaves > 1 ? `${parting.leaves} leaves in` : "its leaf in", places }];
}

/** Where a part's middle lies along the top. */
function middleOf({ place, shape }: AssemblyPart): number {
  const [x] = within(place, { ...HOME, at: [shape.length / 2, shape.width / 2, shape.thickness / 2] }).at;
  return x;
}
