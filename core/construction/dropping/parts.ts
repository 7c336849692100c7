/** Drop leaves with their moulded edges, the hinges they turn on, the brackets that hold them up. */
import type { Corner } from "../../assembly/outline";
import type { AssemblyPart, Pose, Worked } from "../../assembly/part";
import type { Place } from "../../assembly/place";
import type { SmallPart } from "../../assembly/small";
import { RIGHT } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import type { Drop, PieceGeometry } from "../geometry";
import { dropId, leafPlace, RULE } from "./drop";
import { swungOut } from "./gates";
import { drawnOut } from "./lopers";

export const DROP_BY = "drop-leaf";
/** A hinge for so much of a leaf's length; a leaf of it, its own size; mm. @source common practice: a hinge for drop leaves */
const HINGE = { every: 420, fromEnd: 110, width: 35, short: 28, long: 52, thick: 2.5 };
/** How far leaves are drawn off when the piece is pulled apart, mm. */
const OUT = 260;

const at0 = (at: [number, number], rise = 0): Corner => ({ at, rise });
/** How far a quarter of a circle bows from its chord. */
const quarter = (radius: number) => radius * (1 - Math.SQRT1_2);

/** What a bar of this section takes from a part over all its length. @param place  its corner, its length along the part, its width outward */
const moulded = (
  outer: Corner[],
  size: { length: number; width: number; thickness: number },
  place: Place,
): Worked => ({
  by: DROP_BY,
  shape: { ...size, end: { outer, holes: [] } },
  place,
});

/** The top's edges: a step, then a quarter round about the knuckle. In the top's own frame, from its front edge back. */
export function topEdges(at: PieceGeometry): Worked[] {
  const { drop, top } = at;
  if (!drop || drop.joint !== "rule") return [];
  const { round: r, fillet } = drop;
  const [wide, high] = [r + 1, r + fillet + 1];
  const outer = [at0([r, 0]), at0([wide, 0]), at0([wide, high]), at0([0, high]), at0([0, r], -quarter(r))];
  const size = { length: top.length, width: wide, thickness: high };
  return drop.sides.map((side) =>
    side > 0
      ? moulded(outer, size, { at: [top.length, r, RULE.inset], x: [-1, 0, 0], y: [0, -1, 0] })
      : moulded(outer, size, { at: [0, top.width - r, RULE.inset], x: [1, 0, 0], y: [0, 1, 0] }),
  );
}

/** A leaf's inner edge: a cove about the same knuckle, with air. */
function cove({ round: r, leaf }: Drop, length: number): Worked {
  const reach = r + RULE.air;
  const [wide, high] = [reach + 1, reach + RULE.inset + 1];
  // from a corner a millimetre inside and below the knuckle's own lines
  const [a, b] = [1, RULE.inset + 1];
  const outer = [
    at0([0, 0]),
    at0([a + reach, 0]),
    at0([a + reach, b], quarter(reach)),
    at0([a, b + reach]),
    at0([0, b + reach]),
  ];
  return moulded(
    outer,
    { length, width: wide, thickness: high },
    {
      at: [length, leaf + RULE.air + 1, -1],
      ...{ x: [-1, 0, 0], y: [0, -1, 0] },
    },
  );
}

/** Leaves as they hang. */
export function dropParts(at: PieceGeometry): AssemblyPart[] {
  const { drop, top } = at;
  if (!drop) return [];
  return drop.sides.map((side, i): AssemblyPart => ({
    ...{ id: dropId(drop, i), kind: "drop-leaf", name: "Drop leaf", plural: "drop leaves", letter: "DL" },
    ...{ role: "panel", make: "solid", adds: [] },
    note:
      drop.joint === "rule"
        ? "Its grain with the top’s; a cove along its inner edge, cut to the top’s round."
        : "Its grain with the top’s; its inner edge square.",
    shape: { length: top.length, width: drop.leaf, thickness: top.thickness },
    place: leafPlace(at, side, false),
    cuts: drop.joint === "rule" ? [cove(drop, top.length)] : [],
    opens: [0, 0, side * OUT],
  }));
}

/** How it stands with both leaves up, or the one in front. */
export function dropPoses(at: PieceGeometry, form: Form): Pose[] {
  const { drop } = at;
  if (!drop) return [];
  const up = (sides: readonly (1 | -1)[]) => ({
    ...Object.fromEntries(
      drop.sides.flatMap((side, i) => (sides.includes(side) ? [[dropId(drop, i), leafPlace(at, side, true)]] : [])),
    ),
    ...drawnOut(at, sides, form.drop.lopers.out),
    ...swungOut(at, form, sides),
  });
  return drop.sides.length > 1
    ? [
        { id: "leaves-up", name: "both leaves up", places: up([1, -1]) },
        { id: "front-up", name: "the front leaf up", places: up([1]) },
      ]
    : [{ id: "leaves-up", name: "its leaf up", places: up([1]) }];
}

/** Hinges of a leaf along the top, from its middle. */
export function hingesAt(form: Form, length: number): number[] {
  const count = form.drop.hinges ?? Math.max(2, Math.round(length / HINGE.every));
  const reach = Math.max(0, length / 2 - HINGE.fromEnd);
  return Array.from({ length: count }, (_, i) => -reach + (2 * reach * i) / (count - 1));
}

/** Brackets of a leaf along the rail they are screwed to, from its middle: between the outer hinges. */
export function bracketsAt(form: Form, at: PieceGeometry): number[] {
  const { count } = form.drop.brackets;
  const rail = at.bearers.find(({ run }) => run === "along");
  const reach = rail ? Math.max(0, rail.length / 2 - BRACKET.fromLeg) : 0;
  return Array.from({ length: count }, (_, i) => (count === 1 ? 0 : -reach + (2 * reach * i) / (count - 1)));
}
/** A bracket stays so far from a leg; how wide its plate is, mm. @source common practice */
const BRACKET = { fromLeg: 60, width: 24 };

/** As they are with the leaves down: hinges flat below the top, brackets folded against the rails. */
export function dropSmall(form: Form, at: PieceGeometry): SmallPart[] {
  const { drop, top } = at;
  if (!drop) return [];
  return drop.sides.flatMap((side): SmallPart[] => {
    const rail = at.bearers.find((each) => each.run === "along" && Math.sign(each.at) === side);
    const { brackets } = form.drop;
    const hinges = hingesAt(form, top.length).map((x, i): SmallPart => ({
      ...{ id: `drop-hinge-${side > 0 ? 1 : 2}-${i + 1}`, name: "Drop-leaf hinge", plural: "Drop-leaf hinges" },
      ...{ of: "steel", by: DROP_BY, opens: [0, 0, 0], on: "T" },
      shape: { length: HINGE.width, width: HINGE.short, thickness: HINGE.thick },
      place: {
        at: [x - HINGE.width / 2, at.under, side > 0 ? drop.axis.out - HINGE.short : -drop.axis.out],
        ...{ x: RIGHT, y: [0, 0, 1] },
      },
    }));
    if (!rail || form.drop.held !== "brackets") return hinges;
    const face = Math.abs(rail.at) + rail.thickness / 2;
    return [
      ...hinges,
      ...bracketsAt(form, at).map((x, i): SmallPart => ({
        ...{ id: `drop-bracket-${side > 0 ? 1 : 2}-${i + 1}`, name: "Folding bracket", plural: "Folding brackets" },
        ...{ of: "steel", by: DROP_BY, opens: [0, 0, side * (OUT / 2)], on: rail.part },
        shape: { length: BRACKET.width, width: Math.min(brackets.height, rail.depth), thickness: brackets.folded },
        place: {
          at: [
            x - BRACKET.width / 2,
            at.under - Math.min(brackets.height, rail.depth),
            side > 0 ? face : -face - brackets.folded,
          ],
          ...{ x: RIGHT, y: [0, 1, 0] },
        },
      })),
    ];
  });
}

/** A hinge's long leaf reaches past the cove; its knuckle lies under the joint. mm */
export const HINGES = HINGE;
