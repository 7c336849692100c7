/** Where a top that may move is held all the same: screws on its fixed line, without which it would wander. */
import { worked } from "../construction/bearers";
import { Bearer, onBearer, PieceGeometry } from "../construction/geometry";
import { middleLine, slabsOf } from "../construction/top/slabs";
import type { Piece } from "../piece/schema";
import { fixedLine } from "./year";

/** A screw driven tight: where it stands from the middle of the top, mm. */
export interface FixedScrew {
  id: string;
  bearer: string;
  run: Bearer["run"];
  x: number;
  z: number;
}

/** One in each bearer that runs across, where the fixed line crosses it; where none is crossed, one in the middle of the nearest that runs along. */
export function fixedScrews(
  { form, joints, choices }: Pick<Piece, "form" | "joints" | "choices">,
  at: Pick<PieceGeometry, "bearers" | "top" | "parting">,
): FixedScrew[] {
  if (form.field === "slats" || joints.fastening === "loose" || joints.fastening === "screwed") return [];
  const slabs = slabsOf(form, at.top);
  if (slabs.length > 0)
    return inEachSlab(
      slabs.map((slab) => at.top.width / 2 - middleLine(slab)),
      at.bearers,
    );
  const line = at.top.width / 2 - fixedLine(choices.fixedLine, at.top.width);
  const aslant = at.bearers.filter((each) => each.run === "aslant");
  if (aslant.length === at.bearers.length && aslant.length > 0) return inOneArm(aslant, line);
  const across = at.bearers.filter((each) => each.run === "across");
  const along = at.bearers.filter((each) => each.run === "along");
  // a piece across the middle grows along the table: both halves must be free to go
  if (at.parting?.kind === "middle") return [...inMiddle(across, along, line)].slice(0, 1);
  const inside = Math.max(...along.map((each) => Math.abs(each.at)), ...across.map((each) => each.length / 2), 0);
  if (across.length > 0 && (Math.abs(line) < inside || along.length === 0))
    return across.map(({ part, name, run, at: x }) => ({
      ...{ id: `fixed-${name}`, bearer: part, run, x },
      z: Math.max(-inside, Math.min(inside, line)),
    }));
  if (along.length === 0) return [];
  const nearest = along.reduce((a, b) => (Math.abs(b.at - line) < Math.abs(a.at - line) ? b : a));
  const screw = ({ part, name, run, at: z, middle: x = 0 }: Bearer): FixedScrew => ({
    ...{ id: `fixed-${name}`, bearer: part, run, x, z },
  });
  if (!at.parting) return [screw(nearest)];
  // each half of a parted top has one of its own
  const parted = along.filter((each) => Math.abs(each.at - nearest.at) < 1e-6);
  if (parted.length > 1) return parted.map(screw);
  return [-1, 1].map((side) => ({
    ...screw(nearest),
    id: `fixed-${nearest.name}-${side > 0 ? "right" : "left"}`,
    x: (side * nearest.length) / 4,
  }));
}

/** One place only: below the middle piece by what crosses there, else on the nearest rail along, else on one of what carries the ends. */
function inMiddle(across: readonly Bearer[], along: readonly Bearer[], line: number): FixedScrew[] {
  const byMiddle = [...across].sort((a, b) => Math.abs(a.at) - Math.abs(b.at));
  const byLine = [...along].sort((a, b) => Math.abs(a.at - line) - Math.abs(b.at - line));
  const crossing = byMiddle
    .filter(({ length }) => Math.abs(line) < length / 2)
    .map(({ part, name, run, at: x }) => ({ id: `fixed-${name}`, bearer: part, run, x, z: line }));
  const rails = byLine.map(({ part, name, run, at: z }) => ({ id: `fixed-${name}`, bearer: part, run, x: 0, z }));
  return Math.abs(crossing[0]?.x ?? Infinity) < 1 || rails.length === 0 ? crossing : rails;
}

/** Each slab is held on its own middle line: by every bearer that runs across below it, else by the nearest that runs along. z from the middle of the top */
function inEachSlab(lines: readonly number[], bearers: readonly Bearer[]): FixedScrew[] {
  const name = (bearer: Bearer, i: number) => `fixed-${bearer.name}${lines.length > 1 ? `-slab-${i + 1}` : ""}`;
  return lines.flatMap((line, i): FixedScrew[] => {
    const under = bearers.filter((each) => each.run === "across" && Math.abs(line) < each.length / 2 - FROM_END);
    if (under.length > 0)
      return under.map((each) => {
        // through the hole that is there
        const spots = each.spots?.length ? each.spots : [line];
        const z = spots.reduce((a, b) => (Math.abs(b - line) < Math.abs(a - line) ? b : a));
        return { id: name(each, i), bearer: each.part, run: each.run, x: each.at, z };
      });
    const along = bearers.filter((each) => each.run === "along");
    if (along.length === 0) return [];
    const nearest = along.reduce((a, b) => (Math.abs(b.at - line) < Math.abs(a.at - line) ? b : a));
    return [{ id: name(nearest, i), bearer: nearest.part, run: nearest.run, x: 0, z: nearest.at }];
  });
}

/** A screw stays so far from the end of what it goes through, mm. @source common practice: eight times its diameter */
const FROM_END = 40;

/** Arms that meet in a middle hold the top at one place only, the nearest to its fixed line: held at two it would work against itself. */
function inOneArm(arms: readonly Bearer[], line: number): FixedScrew[] {
  const places = arms.map((arm) => {
    const reach = Math.max(0, arm.length / 2 - FROM_END);
    const { z: middle, way } = arm.aslant!;
    const wanted = Math.abs(way[1]) < 1e-6 ? -reach : (line - middle) / way[1];
    const { x, z } = onBearer(arm, Math.max(-reach, Math.min(reach, wanted)));
    return { arm, x, z, off: Math.abs(z - line) + 1e-3 * Math.abs(x) };
  });
  const { arm, x, z } = places.reduce((a, b) => (b.off < a.off - 1e-6 ? b : a));
  return [{ id: `fixed-${arm.name}`, bearer: arm.part, run: worked(arm), x, z }];
}
