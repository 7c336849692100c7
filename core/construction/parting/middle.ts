/** A piece between two halves of a top whose grain runs across: it keeps its length while they move along its edges. mm */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import { Floating, floating } from "../../joinery/floating";
import { ACROSS } from "../top/part";
import type { Parted, PartingFacts } from "./facts";

/** Its seams: left, and right. */
export const middleJoints = ({ at, form, shop }: Pick<PartingFacts, "at" | "form" | "shop">): Floating[] =>
  ["left", "right"].map((side) =>
    floating({
      meets: {
        ...{ id: `middle-piece+top-${side}`, group: "middle-piece+top", name: `Middle piece, ${side} seam` },
        ...{ receives: "middle-piece", enters: "top", count: 1 },
      },
      section: { width: at.core.width, thickness: at.core.thickness },
      into: at.parting!.middle,
      slot: form.parting.middle.slide,
      shop,
    }),
  );

export function roundMiddle(facts: Pick<PartingFacts, "at" | "form" | "shop">, width: number): Parted {
  const { at } = facts;
  const { core, under } = at;
  const part: AssemblyPart = {
    ...{ id: "TM", kind: "middle-piece", name: "Middle piece", letter: "TM", role: "panel", make: "solid" },
    note: "Its grain across the table: as long as the top is wide on the day, glued to the halves in its middle only.",
    shape: { length: core.width, width, thickness: core.thickness },
    place: { ...ACROSS, at: [width / 2, under, core.width / 2] },
    ...{ adds: [], cuts: [], opens: [0, 90, 0] },
  };
  const [left, right] = middleJoints(facts);
  const meetings: Meeting[] = [
    // from the left half to the right, toward the back, up
    {
      joint: left,
      ...{ enters: "T1", receives: "TM" },
      face: { at: [-width / 2, under, core.width / 2], x: [1, 0, 0], y: [0, 0, -1] },
    },
    // from the right half to the left, toward the front, up
    {
      joint: right,
      ...{ enters: "T2", receives: "TM" },
      face: { at: [width / 2, under, -core.width / 2], x: [-1, 0, 0], y: [0, 0, 1] },
    },
  ];
  return { parts: [part], joints: [left, right], meetings, small: [] };
}
