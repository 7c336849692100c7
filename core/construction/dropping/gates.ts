/** Gates: a leg on an arm, or in a frame of its own, that swings out from a rail and stands under a leaf. mm */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart, Worked } from "../../assembly/part";
import { Place, seenFrom, within } from "../../assembly/place";
import type { SmallPart } from "../../assembly/small";
import { add, BACK, dot, cross, FRONT, LEFT, RIGHT, times, UP, Vec } from "../../assembly/vector";
import { blindTenon } from "../../joinery/blind-tenon";
import type { KindOfJoint } from "../../joinery/kinds";
import { USUAL_TENON } from "../../piece/base-choices";
import type { Form, JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { feetOf } from "../fitting/feet";
import type { Bearer, Drop, Footprint, Gate, PieceGeometry } from "../geometry";

/** @source common practice */
export const GATE = {
  /** between a folded gate and its rail, for the hinges; below the top's underside */
  air: 1,
  below: 6,
  /** a leg ends so far below the leaf: what a pad of leather fills */
  pad: 1,
  /** the line it turns about, from the end of its rail beyond its own thickness */
  fromEnd: 6,
  /** folded gates stay so far apart and from the legs */
  apart: 10,
};
/** A butt hinge: along the arm, up and down, how thick both its leaves are, closed. @source common practice */
const HINGE = { width: 25, height: 40, thick: 1, fromEnd: 4 };
const BY = "gate";

/** The rail a leaf's gates are hinged to. */
const railAt = ({ bearers }: Pick<PieceGeometry, "bearers">, side: 1 | -1): Bearer | undefined =>
  bearers.find((each) => each.run === "along" && !each.slope && Math.sign(each.at) === side);

/** Gates folded against the rails: one that opens in a leaf's middle, or one near each end that folds to the middle; behind turned end for end. */
export function placeGates(at: PieceGeometry, form: Form, sides: Drop["sides"]): Gate[] {
  if (form.drop.held !== "gates") return [];
  const { count, thickness } = form.drop.gates;
  const floor = -(feetOf(form)?.height ?? 0);
  return sides.flatMap((side): Gate[] => {
    const rail = railAt(at, side);
    if (!rail) return [];
    const end = rail.length / 2 - thickness - GATE.fromEnd;
    const turns: { along: number; way: 1 | -1 }[] =
      count === 1
        ? [{ along: thickness / 2, way: 1 }]
        : [
            { along: -end, way: 1 },
            { along: end, way: -1 },
          ];
    const face = Math.abs(rail.at) + rail.thickness / 2 + GATE.air;
    return turns.map(({ along, way }, i): Gate => ({
      n: sides.indexOf(side) * count + i + 1,
      ...{ side, rail: rail.part, floor },
      axis: [side * along + (rail.middle ?? 0), side * face],
      arm: side * way > 0 ? RIGHT : LEFT,
      out: side > 0 ? FRONT : BACK,
    }));
  });
}

/** How high everything of a gate lies. */
export function heights({ under }: Pick<PieceGeometry, "under">, { drop }: Pick<Form, "drop">) {
  const { arm, low, rail } = drop.gates;
  const to = under - GATE.below;
  return {
    leg: under - GATE.pad,
    arm: { from: to - arm, to },
    low: low > 0 ? { from: low, to: low + rail } : null,
  };
}

/** A point of a gate: along its arm, up, and outward from the line it turns about. */
const spot = ({ axis, arm, out }: Gate, [along, up, off]: Vec): Vec =>
  add([axis[0], up, axis[1]], add(times(arm, along), times(out, off)));

/** A bar of it: upright with its width along the arm, or along the arm with its width up. */
function bar(gate: Gate, way: "up" | "along", [along, up]: readonly [number, number], thick: number): Place {
  const [x, y] = way === "up" ? [UP, gate.arm] : [gate.arm, UP];
  const outward = dot(cross(x, y), gate.out) > 0;
  return { at: spot(gate, [along, up, outward ? 0 : thick]), x, y };
}

const letters = { leg: "GT", arm: "GA", stile: "GS", rail: "GR" };
const idOf = (what: keyof typeof letters, { n }: Gate) => `${letters[what]}${n}`;

/** Legs, arms, and stiles and lower rails where a gate has them, folded. */
export function gateParts(at: PieceGeometry, form: Form): AssemblyPart[] {
  const { reach, leg, thickness, stile } = form.drop.gates;
  const high = heights(at, form);
  const framed = high.low !== null;
  const from = framed ? stile : 0;
  return (at.drop?.gates ?? []).flatMap((gate): AssemblyPart[] => {
    const common = { make: "solid", adds: [] as Worked[], cuts: [] as Worked[], opens: times(gate.out, 160) } as const;
    const between = (what: "arm" | "rail", { from: low, to }: { from: number; to: number }): AssemblyPart => ({
      ...{ ...common, id: idOf(what, gate), letter: letters[what], role: "rail" },
      ...(what === "arm"
        ? { kind: "gate-arm", name: "Arm of a gate", plural: "Arms of gates" }
        : { kind: "gate-rail", name: "Lower rail of a gate", plural: "Lower rails of gates" }),
      note: `Tenoned into the gate’s leg${framed ? " and its stile" : "; its other end carries the hinges"}.`,
      shape: { length: reach - leg - from, width: to - low, thickness },
      place: bar(gate, "along", [from, low], thickness),
    });
    const upright = (what: "leg" | "stile"): AssemblyPart => {
      const [low, to] = what === "leg" ? [gate.floor, high.leg] : [high.low!.from, high.arm.to];
      return {
        ...{ ...common, id: idOf(what, gate), letter: letters[what], role: "leg" },
        ...(what === "leg"
          ? { kind: "gate-leg", name: "Gate leg", plural: "Gate legs" }
          : { kind: "gate-stile", name: "Stile of a gate", plural: "Stiles of gates" }),
        note: what === "leg" ? "Stands under the leaf when the gate is out." : "Carries the hinges.",
        shape: { length: to - low, width: what === "leg" ? leg : stile, thickness },
        place: bar(gate, "up", [what === "leg" ? reach - leg : 0, low], thickness),
      };
    };
    return [
      upright("leg"),
      between("arm", high.arm),
      ...(high.low ? [upright("stile"), between("rail", high.low)] : []),
    ];
  });
}

/** Tenons of arms and lower rails. */
export function gateJoints(
  at: PieceGeometry,
  form: Form,
  choices: JointChoices,
  shop: Shop,
): { joints: KindOfJoint[]; meetings: Meeting[] } {
  const gates = at.drop?.gates ?? [];
  if (gates.length === 0) return { joints: [], meetings: [] };
  const { reach, leg, thickness, stile } = form.drop.gates;
  const high = heights(at, form);
  const ends = [
    { enters: "arm", kind: "gate-arm", said: "Gate’s arm", lies: high.arm },
    ...(high.low ? [{ enters: "rail", kind: "gate-rail", said: "Gate’s lower rail", lies: high.low } as const] : []),
  ] as const;
  const into = [
    { receives: "leg", kind: "gate-leg", said: "leg", wide: leg },
    ...(high.low ? [{ receives: "stile", kind: "gate-stile", said: "stile", wide: stile } as const] : []),
  ] as const;
  const out: ReturnType<typeof gateJoints> = { joints: [], meetings: [] };
  for (const end of ends)
    for (const side of into) {
      const group = `${side.kind}+${end.kind}`;
      const joint = blindTenon({
        meets: {
          ...{ id: group, group, receives: side.kind, enters: end.kind, count: gates.length },
          name: `${end.said} to ${side.said}`,
        },
        section: { width: end.lies.to - end.lies.from, thickness },
        into: { depth: side.wide, thickness },
        setting: choices.groups[group] ?? USUAL_TENON,
        shop,
        wall: { good: 4, least: 3 },
      });
      out.joints.push(joint);
      out.meetings.push(
        ...gates.map((gate): Meeting => {
          const inward = side.receives === "stile";
          const x = inward ? times(gate.arm, -1) : gate.arm;
          const outward = dot(cross(x, UP), gate.out) > 0;
          const along = inward ? stile : reach - leg;
          return {
            ...{ joint, enters: idOf(end.enters, gate), receives: idOf(side.receives, gate) },
            face: { at: spot(gate, [along, end.lies.from, outward ? 0 : thickness]), x, y: UP },
          };
        }),
      );
    }
  return out;
}

/** Two butt hinges a gate, between the end that carries them and the rail. */
export function gateHinges(at: PieceGeometry, form: Form): SmallPart[] {
  const { arm } = heights(at, form);
  const { height, width, thick, fromEnd } = HINGE;
  return (at.drop?.gates ?? []).flatMap((gate) =>
    [arm.to - fromEnd - height, arm.from + fromEnd].map((y, i): SmallPart => {
      const [x, up] = [UP, gate.arm];
      const outward = dot(cross(x, up), gate.out) > 0;
      return {
        ...{ id: `gate-hinge-${gate.n}-${i + 1}`, name: "Butt hinge", plural: "Butt hinges", of: "steel", by: BY },
        ...{ opens: [0, 0, 0], on: gate.rail },
        shape: { length: height, width, thickness: thick },
        place: { at: spot(gate, [0, y, outward ? -thick : 0]), x, y: up },
      };
    }),
  );
}

/** Gates of the leaves that are up, a quarter of a turn out. */
export function swungOut(at: PieceGeometry, form: Form, sides: readonly (1 | -1)[]): Record<string, Place> {
  const gates = (at.drop?.gates ?? []).filter(({ side }) => sides.includes(side));
  if (gates.length === 0) return {};
  const folded = new Map(gateParts(at, form).map(({ id, place }) => [id, place]));
  return Object.fromEntries(
    gates.flatMap((gate) => {
      const before: Place = { at: [gate.axis[0], 0, gate.axis[1]], x: gate.arm, y: UP };
      const after: Place = { ...before, x: gate.out };
      // what was outward now points back along the rail
      return Object.keys(letters).flatMap((what) => {
        const place = folded.get(idOf(what as keyof typeof letters, gate));
        return place ? [[idOf(what as keyof typeof letters, gate), within(after, seenFrom(before, place))]] : [];
      });
    }),
  );
}

/** Where a gate's leg stands when it is out: its middle. */
export const standsAt = ({ axis, out, arm }: Gate, { reach, leg, thickness }: Form["drop"]["gates"]): Footprint => ({
  x: axis[0] - (arm[0] * thickness) / 2,
  z: axis[1] + out[2] * (reach - leg / 2),
  length: thickness,
  width: leg,
});
