/** The lid of a box: which parts it is, how it opens, what it weighs; the small parts that hold it. mm, kg */
import type { AssemblyPart, Pose } from "../../../assembly/part";
import type { SmallPart } from "../../../assembly/small";
import { add, Vec } from "../../../assembly/vector";
import { TOP_KINDS } from "../../top/part";
import { battenLength } from "../../../movement/flat";
import { topMass } from "../../rules";
import type { BoxFacts } from "./facts";
import { BOX, Box } from "./place";

/** A hinged lid leans back by so much past upright before its stay holds it, degrees. @source common practice */
export const OPEN = 95;

/** Everything that goes with it. */
export const lidOf = (parts: readonly AssemblyPart[]) =>
  parts.filter(({ kind }) => TOP_KINDS.includes(kind) || kind === "ballast");

/** What is lifted, with battens and ballast below it. @param density  kg/m³ */
export function lidMass({ at, form, species: { density } }: BoxFacts): number {
  const { count, width, thickness } = form.batten;
  const battens = form.stiffener === "battens" ? (count * width * thickness * battenLength(at) * density) / 1e9 : 0;
  return topMass(at, density) + battens + (at.ballast?.mass ?? 0);
}

/** The box with its lid up: turned about the back wall’s outer edge, or lifted and brought forward. */
export function boxPoses(at: Box, parts: readonly AssemblyPart[]): Pose[] {
  const { way, bracket } = at.choices.lid;
  if (way === "loose") return [];
  const places = Object.fromEntries(
    lidOf(parts).map(({ id, place }): [string, AssemblyPart["place"]] => [
      id,
      way === "lift"
        ? { ...place, at: add(place.at, [0, bracket.rise, bracket.forward]) }
        : { at: turnedUp(at, place.at), x: swung(place.x), y: swung(place.y) },
    ]),
  );
  return [{ id: "lid", name: way === "lift" ? "its lid lifted" : "its lid up", places }];
}

const [COS, SIN] = [Math.cos((OPEN * Math.PI) / 180), Math.sin((OPEN * Math.PI) / 180)];
/** What points to the front points up when the lid is open. */
const swung = ([x, y, z]: Vec): Vec => [x, y * COS + z * SIN, z * COS - y * SIN];
const turnedUp = ({ under, outside }: Box, [x, y, z]: Vec): Vec => {
  const [, up, forth] = swung([0, y - under, z - outside.z.from]);
  return [x, under + up, outside.z.from + forth];
};

/** Hinges, closed, on the back wall’s upper edge; bumpers in the front corners. */
export function boxSmall({ hinges, choices, high, under, outside, inside }: Box): SmallPart[] {
  const { long, wide, closed } = BOX.hinge;
  const { gap, way } = choices.lid;
  const thick = Math.max(closed, gap);
  const opens: Vec = [0, 60, 0];
  const all = hinges.map((x, i): SmallPart => ({
    ...{ id: `box-hinge-${i + 1}`, name: "Butt hinge", plural: "Butt hinges", of: "steel", opens, by: "box-hinge" },
    shape: { length: long, width: wide, thickness: thick },
    place: { at: [x - long / 2, under - thick, outside.z.from + wide], x: [1, 0, 0], y: [0, 0, -1] },
  }));
  if (way === "loose" || gap < 0.5) return all;
  const size = Math.min(10, choices.wall * 0.6);
  const middle = (inside.z.to + outside.z.to) / 2;
  const spots =
    way === "hinged"
      ? [[outside.x.from, middle] as const, [outside.x.to, middle] as const]
      : [middle, (outside.z.from + inside.z.from) / 2].flatMap((z) => [
          [outside.x.from, z] as const,
          [outside.x.to, z] as const,
        ]);
  const bumpers = spots.map(([x, z], i): SmallPart => ({
    ...{ id: `bumper-${i + 1}`, name: "Bumper", plural: "Bumpers", of: "felt", opens, by: "lid" },
    shape: { length: size, width: size, thickness: gap },
    place: {
      at: [x < 0 ? x + choices.wall : x - choices.wall - size, high.to, z + size / 2],
      ...{ x: [1, 0, 0], y: [0, 0, -1] },
    },
  }));
  return [...all, ...bumpers];
}
