import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { frameRound, Footprint, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { USUAL } from "../../usual";
import { LegLean, legLean, LegStand, rimAt } from "../leaning";
import { steady, turnOf } from "../../../units/steady";

/** Where everything of a piece whose legs go into the top itself stands, mm. */
export interface StakedLegs extends PieceGeometry {
  kind: "staked";
  lean: LegLean;
  section: number;
  footSection: number;
  round: boolean;
  legs: StakedLeg[];
}

/** A leg: where the middle of its head lies, which way it leans. */
export interface StakedLeg extends LegStand {
  from: { x: number; z: number };
}

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeStaked(form: Form, asBuilt: readonly AsBuilt[]): StakedLegs {
  const { top, core } = topOf(form, asBuilt);
  const { staked } = form;
  const section = measuredOr(asBuilt, "staked-leg", "width", staked.section);
  const under = form.height - top.thickness;
  const heads = staked.stand === "corners" ? atCorners(form, top) : roundMiddle(form, top);
  const lean = legLean({ height: under, splay: heads.splay, section });
  const legs = heads.all.map(({ from, x, z }): StakedLeg => ({ from, x, z, foot: lean.out + lean.level / 2 }));
  const footSection = Math.min(section, staked.foot);
  const at = { legs, lean, section, footSection };
  const feet = footprints(at);
  return {
    kind: "staked",
    keeps: { end: false, side: false },
    ...{ top, core, under, lean, section, footSection, legs, feet },
    round: staked.shape === "round",
    frame: frameRound(feet),
    bearers: [],
    posts: legs.map((leg) => leaningBox(leg, 0, lean.level, section)),
    seats: [],
    through: null,
    sticks: [{ kind: "staked-leg", said: "Legs", section }],
    kneeRoom: under,
    between: roomBetween(feet),
  };
}

type Top = PieceGeometry["top"];
interface Heads {
  splay: number;
  all: Pick<StakedLeg, "from" | "x" | "z">[];
}

/** @source derived: tan R = √(tan² a + tan² b), and the sight line runs by their ratio */
function atCorners({ staked: { splay, setIn } }: Form, top: Top): Heads {
  const [a, b] = [turnOf(splay.end).tan, turnOf(splay.side).tan];
  const both = Math.hypot(a, b);
  const [x, z] = [top.length / 2 - setIn.end, top.width / 2 - setIn.side];
  const corners = [
    [-1, 1],
    [1, 1],
    [1, -1],
    [-1, -1],
  ] as const;
  return {
    splay: steady((Math.atan(both) * 180) / Math.PI),
    all: corners.map(([l, r]) => ({
      from: { x: l * x, z: r * z },
      x: both > 0 ? (l * a) / both : l,
      z: both > 0 ? (r * b) / both : 0,
    })),
  };
}

/** Evenly round the middle, each leaning straight outward. */
function roundMiddle({ staked: { legs, turn, splay, setIn }, top: { outline } }: Form, top: Top): Heads {
  return {
    splay: splay.out,
    all: Array.from({ length: legs }, (_, i) => {
      const { cos: x, sin: z } = turnOf(turn + (360 * i) / legs);
      const out = rimAt({ x, z }, top, outline === "ellipse") - setIn.rim;
      return { from: { x: x * out, z: z * out }, x, z };
    }),
  };
}

/** A square that leans with a leg, by the box it fits in. @param out  from the middle of its head to its own */
function leaningBox({ from, x, z }: StakedLeg, out: number, along: number, across: number): Footprint {
  return {
    ...{ x: from.x + x * out, z: from.z + z * out },
    length: Math.abs(x) * along + Math.abs(z) * across,
    width: Math.abs(z) * along + Math.abs(x) * across,
  };
}

const footprints = ({ legs, lean, footSection }: Pick<StakedLegs, "legs" | "lean" | "footSection">) =>
  legs.map((leg) => leaningBox(leg, lean.out, footSection / lean.cos, footSection));

/** Where a leg begins to taper, along it from its foot's inner corner; null where it is straight. */
export const taperFrom = ({ lean, section, footSection }: StakedLegs): number | null =>
  footSection < section && lean.edge > USUAL.taperBelow + section * lean.tan ? lean.edge - USUAL.taperBelow : null;

/** Free length for a chair between the two feet that stand nearest together. */
function roomBetween(feet: readonly Footprint[]): number {
  return Math.min(
    ...feet.map((foot, i) => {
      const next = feet[(i + 1) % feet.length];
      return Math.hypot(foot.x - next.x, foot.z - next.z) - Math.max(foot.length, foot.width);
    }),
  );
}
