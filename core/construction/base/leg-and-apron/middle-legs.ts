/** Legs under the middle of long rails: each stands against a long rail from inside, and against the cross-rail there. */
import type { Form } from "../../../piece/schema";
import type { Footprint } from "../../geometry";
import type { LegSizes } from "./leg";

/** One of them: its left edge, its face toward the long rail it stands at, that rail and the cross-rail beside it. mm */
export interface MiddleLeg {
  id: string;
  from: number;
  face: number;
  side: 1 | -1;
  rail: string;
  cross: string | null;
}

/** What they stand between. mm */
interface Sizes {
  leg: LegSizes;
  longRail: { z: number };
  rail: { thickness: number };
  crossRails: readonly { x: number }[];
}

/** A pair at every cross-rail, on its left; one in the middle where there is none. */
export function middleLegsOf(form: Pick<Form, "middleLegs">, { leg, longRail, rail, crossRails }: Sizes): MiddleLeg[] {
  if (!form.middleLegs) return [];
  const places =
    crossRails.length > 0
      ? crossRails.map(({ x }, i) => ({
          from: x - rail.thickness / 2 - leg.section,
          cross: crossRails.length > 1 ? `C${i + 1}` : "C",
        }))
      : [{ from: -leg.section / 2, cross: null }];
  return places.flatMap(({ from, cross }, i) =>
    ([-1, 1] as const).map((side, j): MiddleLeg => ({
      ...{ id: `M${2 * i + j + 1}`, from, side, cross },
      face: side * (longRail.z - rail.thickness / 2),
      rail: side > 0 ? "A2" : "A1",
    })),
  );
}

export const middleFeet = (legs: readonly MiddleLeg[], { section, across }: LegSizes): Footprint[] =>
  legs.map(({ from, face, side }) => ({
    ...{ x: from + section / 2, z: face - (side * across) / 2, length: section, width: across },
  }));
