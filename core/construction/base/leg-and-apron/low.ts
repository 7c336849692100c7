/** Stretchers low between the legs: where each lies, from shoulder to shoulder. mm */
import type { Form } from "../../../piece/schema";
import { Drawn, drawnBack, isEven } from "./leg";

/** One stretcher: its line, and half its length at its upper and at its lower edge, longer where legs taper away from it. */
export interface LowStretcher {
  id: string;
  kind: "stretcher" | "end-stretcher" | "middle-stretcher";
  run: "along" | "across";
  /** z of one that runs along the top, x of one that runs across */
  at: number;
  half: { upper: number; lower: number };
}

export interface LowStretchers {
  height: number;
  depth: number;
  thickness: number;
  all: LowStretcher[];
  /** least of a leg that is behind a stretcher's shoulder: along the top, and across it */
  leg: { along: number; across: number };
  /** what a taper takes from a leg's inner faces at the stretchers' upper edge */
  taken: number;
}

/** The low stretchers that were chosen, each in the middle of its legs at its height; null for none. */
export function lowStretchers(
  { low }: Form,
  frame: { length: number; width: number },
  drawn: Drawn,
): LowStretchers | null {
  if (low.kind === "none") return null;
  const { section, across } = drawn.leg;
  const back = (height: number) => drawnBack(drawn, height);
  const [upper, lower] = [back(low.height + low.depth), back(low.height)];
  const outside = isEven(drawn.taper) ? (upper + lower) / 2 : 0;
  // the middle of a leg at half the stretcher's height, from the frame's outside
  const middle = (size: number) => (outside + (size - (upper + lower) / 2)) / 2;
  const halves = (whole: number, size: number) => ({
    upper: whole / 2 - size + upper,
    lower: whole / 2 - size + lower,
  });
  const ends = [-1, 1].map((side, i): LowStretcher => ({
    id: `U${i + 1}`,
    kind: "end-stretcher",
    run: "across",
    at: side * (frame.length / 2 - middle(section)),
    half: halves(frame.width, across),
  }));
  const sides = [-1, 1].map((side, i): LowStretcher => ({
    id: `R${i + 1}`,
    kind: "stretcher",
    run: "along",
    at: side * (frame.width / 2 - middle(across)),
    half: halves(frame.length, section),
  }));
  const between = frame.length / 2 - middle(section) - low.thickness / 2;
  const crossing: LowStretcher = {
    id: "R",
    kind: "middle-stretcher",
    run: "along",
    at: 0,
    half: { upper: between, lower: between },
  };
  const all = { box: [...ends, ...sides], h: [...ends, crossing], ends }[low.kind];
  const behind = (size: number) => size - lower - (isEven(drawn.taper) ? lower : 0);
  return {
    ...{ height: low.height, depth: low.depth, thickness: low.thickness, all },
    leg: { along: behind(section), across: behind(across) },
    taken: upper,
  };
}
