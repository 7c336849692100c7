import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import type { Bearer, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { Lean, leanOf } from "./lean";

/** Where everything of a table on X frames stands, mm. */
export interface XFrame extends PieceGeometry {
  kind: "x-frame";
  /** middle of each X along the top, from the left */
  frames: number[];
  strip: { width: number; thickness: number };
  /** outside to outside, on the floor and under the bearer */
  floor: number;
  head: number;
  lean: Lean;
  bearer: { length: number; height: number; thickness: number; from: number };
  stretcher: { depth: number; thickness: number; from: number } | null;
  /** between two neighbouring X, or bearers where the stretcher lies between those */
  bays: { from: number; to: number }[];
}

/**
 * Places the parts of X frames: set in from the top's ends by the overhang, from its sides by their own amount below and above, a bearer
 * across each pair of heads.
 *
 * @returns geometry; sizes may come out at or below 0, which its rules judge
 */
export function placeXFrame(form: Form, asBuilt: readonly AsBuilt[]): XFrame {
  const { top, core } = topOf(form, asBuilt);
  const { xFrame } = form;
  const strip = {
    width: measuredOr(asBuilt, "x-leg", "width", xFrame.width),
    thickness: measuredOr(asBuilt, "x-leg", "thickness", xFrame.thickness),
  };
  const under = form.height - top.thickness;
  const bearer = {
    length: measuredOr(asBuilt, "bearer", "length", Math.max(1, top.width - 2 * xFrame.bearer.setIn)),
    height: measuredOr(asBuilt, "bearer", "width", xFrame.bearer.height),
    thickness: measuredOr(asBuilt, "bearer", "thickness", xFrame.bearer.thickness),
  };
  const from = under - bearer.height;
  const floor = top.width - 2 * xFrame.inBelow;
  const head = top.width - 2 * xFrame.inAbove;
  const lean = leanOf({ height: from, floor, head, width: strip.width });
  const reach = top.length / 2 - form.overhang.end - strip.thickness / 2;
  const frames = xFrame.frames === 3 ? [-reach, 0, reach] : [-reach, reach];
  const { kind, depth, thickness } = xFrame.stretcher;
  const atHeads = kind === "heads";
  const half = atHeads ? bearer.thickness / 2 : strip.thickness / 2;
  const stretcher =
    kind === "none"
      ? null
      : { depth, thickness, from: atHeads ? from + (bearer.height - depth) / 2 : lean.crossing - depth / 2 };
  const widest = Math.max(strip.thickness, bearer.thickness);
  return {
    kind: "x-frame",
    keeps: { end: true, side: false },
    top,
    core,
    under,
    frames,
    strip,
    floor,
    head,
    lean,
    bearer: { ...bearer, from },
    stretcher,
    bays: frames.slice(1).map((x, i) => ({ from: frames[i] + half, to: x - half })),
    frame: { length: 2 * reach + widest, width: Math.max(floor, bearer.length) },
    bearers: frames.map((x, i): Bearer => ({
      ...{ part: `H${i + 1}`, kind: "bearer", said: "bearer", name: `bearer-${i + 1}`, run: "across" },
      ...{ at: x, length: bearer.length, thickness: bearer.thickness, depth: bearer.height },
      inside: x > 0 ? -1 : 1,
    })),
    posts: [],
    through: null,
    feet: frames.flatMap((x) =>
      [1, -1].map((side) => ({
        x,
        z: (side * (floor - lean.level)) / 2,
        length: strip.thickness,
        width: lean.level,
      })),
    ),
    sticks: [{ kind: "x-leg", said: "Legs", section: Math.max(strip.width, strip.thickness) }],
    seats: [],
    kneeRoom: from,
    between: 2 * reach - widest,
  };
}
