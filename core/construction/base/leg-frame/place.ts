/** A low frame of four legs and four rails that carries a case or a box; strips on its long rails keep a shadow gap. mm */
import type { LegFrameChoices } from "../../../piece/leg-frame-choices";
import { mm } from "../../../verdict/verdict";
import type { Footprint } from "../../geometry";

/** From and to along an axis, mm. */
export interface Span {
  from: number;
  to: number;
}

/** Rails stand so far behind the legs' outer faces; strips so far behind the rails', and go on so far inside for their screws, mm. @source common practice */
export const FRAME = { reveal: 3, stripBack: 5, stripInside: 32 };

/** Where everything of it stands: from outside to outside of its legs, `height` up to its rails' upper edges. */
export interface LegFrame {
  height: number;
  gap: number;
  leg: number;
  rail: { depth: number; thickness: number };
  across: Span;
  deep: Span;
  /** z of the long rails and x of those at the ends, from their near faces; between the legs */
  long: { z: Span[]; between: Span };
  ends: { x: Span[]; between: Span };
  /** z of the strips, behind and in front: over their rail, and inside of it where their screws go up */
  strips: { z: Span; over: Span; inside: Span; back: boolean }[];
}

/** @param under  the underside of what it carries; sizes may come out at or below 0, which its rules judge */
export function placeLegFrame(choice: LegFrameChoices, outside: { across: Span; deep: Span }, under: number): LegFrame {
  const { leg, depth, thickness, setIn, gap } = choice;
  const inset = ({ from, to }: Span, by: number): Span => ({ from: from + by, to: to - by });
  const [across, deep] = [inset(outside.across, setIn), inset(outside.deep, setIn)];
  const near = ({ from, to }: Span): Span[] => [
    { from: from + FRAME.reveal, to: from + FRAME.reveal + thickness },
    { from: to - FRAME.reveal - thickness, to: to - FRAME.reveal },
  ];
  const z = near(deep);
  return {
    ...{ height: under - gap, gap, leg, rail: { depth, thickness }, across, deep },
    long: { z, between: inset(across, leg) },
    ends: { x: near(across), between: inset(deep, leg) },
    strips: z.map((rail, i) => {
      const back = i === 0;
      const inner = back ? rail.to : rail.from;
      const over = back
        ? { from: Math.min(rail.from + FRAME.stripBack, inner), to: inner }
        : { from: inner, to: Math.max(rail.to - FRAME.stripBack, inner) };
      const inside = back
        ? { from: inner, to: inner + FRAME.stripInside }
        : { from: inner - FRAME.stripInside, to: inner };
      return { back, over, inside, z: { from: Math.min(over.from, inside.from), to: Math.max(over.to, inside.to) } };
    }),
  };
}

/** Where its legs touch the floor. */
export const legFrameFeet = ({ across, deep, leg }: LegFrame): Footprint[] =>
  [deep.from + leg / 2, deep.to - leg / 2].flatMap((z) =>
    [across.from + leg / 2, across.to - leg / 2].map((x) => ({ x, z, length: leg, width: leg })),
  );

/** Its sizes for the sheets. */
export const legFrameSaid = ({ height, leg, rail, gap }: LegFrame) =>
  `${mm(height)} high, legs ${mm(leg)} square, rails ${mm(rail.depth)} by ${mm(rail.thickness)}, a gap of ${mm(gap)} over it`;
