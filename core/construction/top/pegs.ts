/** Pegs through end boards and the tongues in them: a hole in the end board, a slot in the tongue as long as the year asks, set off from its peg. */
import type { Outline } from "../../assembly/outline";
import type { AssemblyPart, Worked } from "../../assembly/part";
import { Place, seenFrom } from "../../assembly/place";
import type { Shape } from "../../assembly/shape";
import type { SmallPart } from "../../assembly/small";
import { ENDS, LIFT, TopFacts } from "./part";

type Facts = Pick<TopFacts, "form" | "at" | "breadboards">;

/** One peg through one end board, where its axis stands: mm in the piece's frame. */
interface Standing {
  id: string;
  side: 1 | -1;
  /** which of the field's parts its tongue is on */
  n: number;
  x: number;
  z: number;
  slot: { length: number; z: number };
}

function pegsOf({ form, at, breadboards }: Facts): Standing[] {
  if (form.ends !== "breadboards" || form.breadboard.joint !== "tongue" || !breadboards) return [];
  const { tongue, pegs } = breadboards;
  const slats = form.field === "slats";
  const whole = slats ? at.top.width : at.core.width;
  const held = pegs.find(({ fixed }) => fixed)?.at ?? whole / 2;
  return ([1, -1] as const).flatMap((side) =>
    pegs.map(({ id, at: from, slot, setOff, fixed }, i): Standing => {
      const z = whole / 2 - from;
      // outward is away from the fixed peg
      const outward = fixed ? 0 : Math.sign(held - from);
      return {
        ...{ id: `${id}${side > 0 ? "-right" : "-left"}`, side, n: slats ? i : 0, z },
        x: side * (at.core.shoulder / 2 + tongue.length / 2),
        slot: { length: Math.max(slot, form.breadboard.peg), z: z + outward * setOff },
      };
    }),
  );
}

/** A slot with round ends as long as its cutter is wide at least, upright, seen from above: a hole where it is no longer. */
function upright(
  { x, z }: { x: number; z: number },
  { low, high }: { low: number; high: number },
  long: number,
  wide: number,
): { shape: Shape; place: Place } {
  const r = wide / 2;
  const end: Outline = {
    outer: [
      { at: [r, 0], rise: 0 },
      { at: [long - r, 0], rise: r },
      { at: [long - r, wide], rise: 0 },
      { at: [r, wide], rise: r },
    ],
    holes: [],
  };
  return {
    shape: { length: high - low, width: long, thickness: wide, end: long > wide ? end : round(r) },
    place: { at: [x - r, low, z - long / 2], x: [0, 1, 0], y: [0, 0, 1] },
  };
}
const round = (r: number): Outline => ({
  outer: [
    { at: [2 * r, r], rise: r },
    { at: [0, r], rise: r },
  ],
  holes: [],
});

/** The same parts of a top, bored and slotted. @param field  panel or slats, in their order */
export function pegged(facts: Facts, field: readonly AssemblyPart[], ends: readonly AssemblyPart[]): AssemblyPart[] {
  const { form, at } = facts;
  const pegs = pegsOf(facts);
  if (pegs.length === 0) return [...field, ...ends];
  const whole = { low: at.under, high: at.under + at.top.thickness };
  const cut = (part: AssemblyPart, mine: readonly { shape: Shape; place: Place }[]): AssemblyPart => ({
    ...part,
    cuts: [
      ...part.cuts,
      ...mine.map(({ shape, place }): Worked => ({ by: "peg", shape, place: seenFrom(part.place, place) })),
    ],
  });
  return [
    ...field.map((part, n) =>
      cut(
        part,
        pegs
          .filter((each) => each.n === n)
          .map(({ x, slot }) => upright({ x, z: slot.z }, whole, slot.length, form.breadboard.peg)),
      ),
    ),
    ...ends.map((part, i) =>
      cut(
        part,
        pegs
          .filter(({ side }) => side === (i === 0 ? -1 : 1))
          .map(({ x, z }) => upright({ x, z }, whole, form.breadboard.peg, form.breadboard.peg)),
      ),
    ),
  ];
}

/** The pegs themselves, cut flush. */
export function pegParts(facts: Facts): SmallPart[] {
  const { form, at } = facts;
  const whole = { low: at.under, high: at.under + at.top.thickness };
  return pegsOf(facts).map(({ id, side, x, z }): SmallPart => ({
    ...{ id, name: "Peg", plural: "Pegs", of: "wood", by: "top+end-board" },
    ...upright({ x, z }, whole, form.breadboard.peg, form.breadboard.peg),
    opens: [(side * ENDS) / 2, LIFT, 0],
  }));
}
