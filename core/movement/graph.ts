/** The piece as a graph of what holds what: one member a part, one link a joint, straight from its parts and what bears its top. */
import { SHEETS } from "../assembly/material";
import type { AssemblyPart } from "../assembly/part";
import type { PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { set } from "../verdict/verdict";
import type { Species } from "../wood/species";
import { woodOf, Woods } from "../wood/woods";
import { LENGTHWISE } from "./breadboard";
import type { Fastener } from "./buttons";
import { boardCoefficient } from "./coefficient";
import { partOver } from "../construction/top/links";
import { middleLine, slabsOf } from "../construction/top/slabs";
import { wayOf } from "../joinery/fastening";
import type { Stiffeners } from "./flat";
import { Axis, Link, Member, point } from "./restraint";
import { fixedScrews } from "./fixed";
import { fixedLine, TopMovement, UNKNOWN_RINGS } from "./year";

export interface GraphFacts {
  piece: Pick<Piece, "form" | "joints" | "choices">;
  at: PieceGeometry;
  parts: readonly AssemblyPart[];
  species: Species;
  /** of kinds that are of another wood */
  woods: Woods;
  top: TopMovement;
  /** what the base's and the top's own joints hold */
  links: readonly Link[];
  fasteners: readonly Fastener[];
  stiffeners: Stiffeners | null;
}

/** Members and links for `stops`. */
export function graphOf(facts: GraphFacts): { members: Member[]; links: Link[] } {
  const { parts, species, woods, top, piece, stiffeners } = facts;
  const steel = (stiffeners?.kind === "channels" ? stiffeners.x : []).map((_, i): Member => ({
    id: `channel-${i + 1}`,
    kind: "channel",
    name: "steel channel",
    grain: null,
    course: "top",
    coefficients: [0, 0, 0],
  }));
  const fastened = piece.form.field === "slats" || piece.form.ends === "frame" ? [] : fastenerLinks(facts);
  return {
    members: [...parts.map((part) => memberOf(part, woodOf(woods, part.kind, species), top)), ...steel],
    links: [...facts.links, ...fastened],
  };
}

/**
 * A part as movement sees it: along each axis of the piece it moves by its grain's share of a fiftieth and the rest across.
 *
 * What is thin and runs level but aslant is held along its own line only: between two places of it, both ways, it grows as it is long.
 *
 * @source derived: strain along e is C_along (g·e)² + C_across (1 − (g·e)²), a tensor turned
 */
export function memberOf(part: AssemblyPart, species: Species, top: Pick<TopMovement, "coefficient">): Member {
  const { role, place } = part;
  const named = { id: part.id, kind: part.kind, name: part.said ?? part.name.toLowerCase() };
  if (part.sheet) {
    const { change } = SHEETS[part.sheet.material];
    return { ...named, grain: null, course: "top", coefficients: [change, change, change] };
  }
  // metal goes with no moisture, and a ring of chords keeps its diameter: each is as long as it was
  if (part.bought || part.ringed) return { ...named, grain: null, course: "top", coefficients: [0, 0, 0] };
  const across =
    role === "leg" || role === "post"
      ? (species.radial + species.tangential) / 2
      : role === "panel" || role === "slat"
        ? top.coefficient
        : boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  const along = ([0, 1, 2] as const).map((axis) => place.x[axis] ** 2);
  const aslant = role === "rail" && Math.min(along[0], along[2]) > ASLANT && along[1] < ASLANT;
  const grain = ([0, 1, 2] as const).reduce<Axis>((most, axis) => (along[axis] > along[most] + 1e-9 ? axis : most), 0);
  return {
    ...named,
    grain,
    course: part.kind,
    coefficients: along.map((share, axis) => {
      const own = aslant ? (axis === 1 ? 0 : 1) : share;
      return across * (LENGTHWISE * own + (1 - own));
    }) as Member["coefficients"],
  };
}

/** A rail whose grain has so much of its square along each of two axes runs aslant to both. Ours: about 6° */
const ASLANT = 0.01;

/** The fixed line first, then every fastener with the room it has. */
function fastenerLinks({ piece, at, fasteners }: GraphFacts): Link[] {
  const kind = piece.joints.fastening;
  const { names, play: playOf } = wayOf(piece.joints);
  const line = at.top.width / 2 - fixedLine(piece.choices.fixedLine, at.top.width);
  const slabs = slabsOf(piece.form, at.top);
  // each slab moves about its own middle
  const lineOf = ({ z }: Fastener) =>
    slabs
      .map((slab) => at.top.width / 2 - middleLine(slab))
      .reduce((a, b) => (Math.abs(b - z) < Math.abs(a - z) ? b : a), slabs.length > 0 ? Infinity : line);
  const fixed = fixedScrews(piece, at).map(({ id, bearer, x, z, run }): Link => ({
    id: at.parting || at.core.slabs ? id : run === "along" ? "fixed-long" : `fixed-${bearer}`,
    name: run === "along" ? "the fixed screws" : "the fixed screw",
    a: bearer,
    b: partOver(piece.form, at, { x, z }),
    kind: "screw",
    hold: [point(x), null, point(z)],
  }));
  const worst = (rail: "long" | "across") => fasteners.filter((each) => (rail === "long") === (each.run === "along"));
  const need = { long: extremes(worst("long")), across: extremes(worst("across")) };
  const places = new Map(at.bearers.filter(({ aslant }) => !aslant).map((each) => [each.part, each.at]));
  const atOf = (each: Fastener) => places.get(each.bearer) ?? each.z;
  const others = fasteners.map((each): Link => {
    const rail = each.run === "along" ? "long" : "across";
    const play = playOf(piece.joints, rail, need[rail]);
    const side = each.z >= lineOf(each) ? 1 : -1;
    const range: [number, number] = side > 0 ? [-play.dry, play.wet] : [-play.wet, play.dry];
    return {
      id: each.id,
      name: kind === "screwed" ? "screws driven tight" : names.many.toLowerCase(),
      a: each.bearer,
      b: partOver(piece.form, at, each),
      kind: kind === "screwed" ? "screw" : "slot",
      hold: [null, null, point(each.run === "along" ? atOf(each) : each.z)],
      ...(kind === "screwed" ? {} : { play: { axis: 2, range: finite(range) } }),
      mend: kind === "screwed" ? [set("Hold it with wooden buttons", ["joints", "fastening"], "button")] : [],
    };
  });
  return [...fixed, ...others];
}

const finite = ([low, high]: [number, number]): [number, number] => [Math.max(-1e6, low), Math.min(1e6, high)];
const extremes = (all: readonly Fastener[]) => ({
  dry: Math.max(0, ...all.flatMap((each) => [-each.dry, -each.wet])),
  wet: Math.max(0, ...all.flatMap((each) => [each.dry, each.wet])),
});
