import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { Bearer, Footprint, LET_IN, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";

/** A pad stands so much below its foot, and is let in so deep; it is so long. mm @source common practice */
export const PAD = { proud: 8, letIn: 6, length: 90 };

/** Where everything of a trestle table stands, mm. */
export interface Trestle extends PieceGeometry {
  kind: "trestle";
  /** middle of each end along the top, from the left; the first and the last carry a foot, all carry a brace */
  ends: number[];
  /** middle of each post of an end, from the back */
  rows: number[];
  foot: { length: number; height: number; thickness: number; base: number };
  post: { width: number; thickness: number; shoulder: number; from: number };
  brace: { length: number; height: number; thickness: number; from: number };
  /** one run between two neighbouring ends: from, to its shoulders */
  bays: { from: number; to: number }[];
  stretcher: { height: number; depth: number; thickness: number };
  ties: number[];
  uprights: number[];
  strut: { reach: number; width: number; thickness: number } | null;
}

/**
 * Places the parts of a trestle: ends set in from the top's by the overhang to the posts' outer faces, a post or two on each foot, a
 * brace under the top.
 *
 * @returns geometry; sizes may come out at or below 0, which its rules judge
 */
export function placeTrestle(form: Form, asBuilt: readonly AsBuilt[]): Trestle {
  const { top, core } = topOf(form, asBuilt);
  const { trestle } = form;
  const post = {
    width: measuredOr(asBuilt, "post", "width", trestle.post.width),
    thickness: measuredOr(asBuilt, "post", "thickness", trestle.post.thickness),
  };
  const foot = {
    length: measuredOr(asBuilt, "foot", "length", trestle.foot.length),
    height: measuredOr(asBuilt, "foot", "width", trestle.foot.height),
    thickness: measuredOr(asBuilt, "foot", "thickness", trestle.foot.thickness),
    base: trestle.foot.pads ? PAD.proud : 0,
  };
  const brace = {
    length: measuredOr(asBuilt, "brace", "length", trestle.brace.length),
    height: measuredOr(asBuilt, "brace", "width", trestle.brace.height),
    thickness: measuredOr(asBuilt, "brace", "thickness", trestle.brace.thickness),
  };
  const under = form.height - top.thickness;
  const reach = top.length / 2 - form.overhang.end - post.thickness / 2;
  const ends = trestle.ends === 3 ? [-reach, 0, reach] : [-reach, reach];
  const rows = trestle.post.count === 2 ? [-trestle.post.apart / 2, trestle.post.apart / 2] : [0];
  const stretcher = {
    height: trestle.stretcher.height,
    depth: measuredOr(asBuilt, "stretcher", "width", trestle.stretcher.depth),
    thickness: measuredOr(asBuilt, "stretcher", "thickness", trestle.stretcher.thickness),
  };
  const from = foot.base + foot.height;
  const bays = ends.slice(1).map((x, i) => ({ from: ends[i] + post.thickness / 2, to: x - post.thickness / 2 }));
  const uprights = Array.from({ length: trestle.uprights }, (_, i) => i + 1).flatMap((i) =>
    bays.map((bay) => bay.from + ((bay.to - bay.from) * i) / (trestle.uprights + 1)),
  );
  const { thickness, width } = trestle.struts;
  const strut = trestle.struts.joint === "none" ? null : { reach: trestle.struts.reach, width, thickness };
  const placed = {
    ends,
    rows,
    bays,
    stretcher,
    uprights,
    strut,
    foot,
    post: { ...post, from, shoulder: under - brace.height - from },
    brace: { ...brace, from: under - brace.height },
    ties: trestle.ties.count === "two" ? [trestle.ties.apart / 2, -trestle.ties.apart / 2] : [],
  };
  const widest = Math.max(post.thickness, foot.thickness, brace.thickness);
  return {
    kind: "trestle",
    keeps: { end: true, side: false },
    top,
    core,
    under,
    ...placed,
    frame: { length: 2 * reach + widest, width: Math.max(foot.length, brace.length) },
    bearers: bearersOf(form, placed),
    posts: [],
    through: null,
    feet: feetOf(placed),
    sticks: [{ kind: "post", said: "Posts", section: post.width }],
    seats: bays.map(({ from: left, to: right }) => ({
      from: left,
      to: right,
      back: rows[0],
      front: rows.at(-1)!,
      height: stretcher.height + stretcher.depth,
      holders: ["post", "middle-post"],
      letIn: LET_IN,
      width: "free",
    })),
    kneeRoom: under - Math.max(brace.height, placed.ties.length > 0 ? trestle.ties.depth : 0),
    between: 2 * reach - widest,
  };
}

/** Braces across, those that stand on uprights too, and ties along. */
function bearersOf(
  { trestle }: Form,
  { ends, uprights, brace, ties, bays }: Pick<Trestle, "ends" | "uprights" | "brace" | "ties" | "bays">,
): Bearer[] {
  const across = (part: string, name: string, at: number, kind: string): Bearer => ({
    part,
    kind,
    said: kind === "brace" ? "brace" : "middle brace",
    name,
    run: "across",
    at,
    length: brace.length,
    thickness: kind === "brace" ? brace.thickness : trestle.stretcher.thickness,
    depth: brace.height,
    inside: at > 0 ? -1 : 1,
  });
  const bay = Math.max(0, ...bays.map(({ from, to }) => to - from));
  return [
    ...ends.map((x, i) => across(`H${i + 1}`, `brace-${i + 1}`, x, "brace")),
    ...uprights.map((x, i) => across(numbered("M", i, uprights.length), `middle-${i + 1}`, x, "middle-brace")),
    ...(ends.length === 2 ? ties : []).map((z, i): Bearer => ({
      part: `W${i + 1}`,
      kind: "tie",
      said: "tie",
      name: z > 0 ? "tie-front" : "tie-back",
      run: "along",
      at: z,
      length: bay,
      thickness: trestle.ties.thickness,
      depth: trestle.ties.depth,
      inside: z > 0 ? -1 : 1,
    })),
  ];
}

/** A mark as it is written: without a number where there is one only. */
export const numbered = (letter: string, i: number, of: number) => (of > 1 ? `${letter}${i + 1}` : letter);

/** Feet touch the floor at their two ends, relieved between. */
function feetOf({ ends, foot }: Pick<Trestle, "ends" | "foot">): Footprint[] {
  const pad = padLength(foot.length);
  return ends.flatMap((x) =>
    [1, -1].map((side) => ({ x, z: side * (foot.length / 2 - pad / 2), length: foot.thickness, width: pad })),
  );
}

/** What stays of a foot at each end when its underside is relieved, mm. @source common practice */
export const padLength = (foot: number) => Math.min(foot / 3, Math.max(60, foot / 7));
