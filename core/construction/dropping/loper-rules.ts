/** Whether wooden bearers hold a leaf up, stay in their guides, and leave their rails enough wood. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import { GRAVITY, LEAN } from "../base/tipping";
import { RULE } from "./drop";
import type { DropFacts } from "./facts";
import { LOPER } from "./lopers";

/** @source common practice; how far an edge may give under a lean, from memory */
const LOPERS = {
  /** what a notch leaves of its rail below it, mm */
  left: { good: 45, least: 28 },
  /** they reach so much of the way under a leaf; someone leans so far from its edge, mm */
  reach: 0.55,
  edge: 50,
  /** the leaf's edge goes down so far under that, mm */
  gives: { good: 6, least: 14 },
};
const at = (...rest: string[]) => ["form", "drop", ...rest];

export const LOPER_RULES: readonly ((facts: DropFacts) => Verdict | null)[] = [notches, staysIn, holdsUp];

/** A notch takes the upper edge of its rail. */
function notches({ form, at: place }: DropFacts): Verdict | null {
  const [first] = place.drop?.lopers ?? [];
  if (!first) return null;
  const rail = place.bearers.find(({ part }) => part === first.rail)!;
  const left = rail.depth - form.drop.lopers.height - LOPER.below - LOPER.notch;
  const level = grade(left, "at least", LOPERS.left.good, LOPERS.left.least);
  const deep = Math.ceil(rail.depth + LOPERS.left.good - left);
  const low = Math.floor(form.drop.lopers.height - (LOPERS.left.good - left));
  return verdict({
    id: "form.drop-notches",
    stage: "form",
    subject: ["loper", first.kind],
    level,
    text: `Under the notches ${mm(Math.max(0, left))} of rail stay`,
    why: `A bearer ${mm(form.drop.lopers.height)} high passes a rail ${mm(rail.depth)} deep at its upper edge, where the top is held too: what is left carries between the legs.`,
    limit: LOPERS.left.good,
    actual: Math.round(left * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(deep <= 400 ? [set(`Make the rails ${deep} mm deep`, ["form", "apron", "depth"], deep)] : []),
            ...(low >= 20 ? [set(`Make the bearers ${low} mm high`, at("lopers", "height"), low)] : []),
          ],
  });
}

/** Drawn out, as much of it is inside as outside, or the guide's tongue breaks. */
function staysIn({ form, at: place }: DropFacts): Verdict | null {
  const [first] = place.drop?.lopers ?? [];
  if (!first) return null;
  const { out } = form.drop.lopers;
  const inside = first.z.to - first.z.from - out;
  const level: Level = inside < out / 2 ? "fix" : inside < out ? "tight" : "holds";
  const most = Math.floor((first.z.to - first.z.from) / 2);
  return verdict({
    id: "form.drop-inside",
    stage: "form",
    subject: ["loper"],
    level,
    text:
      level === "holds"
        ? `Drawn out ${mm(out)}, ${mm(inside)} of each bearer stay in`
        : `Drawn out ${mm(out)}, only ${mm(Math.max(0, inside))} of a bearer stay in`,
    why: "What is outside is a lever on what is inside: with less in than out, the end behind is pushed up against the top harder than the leaf is leant on.",
    limit: out,
    actual: Math.round(inside),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" || most < 50 ? [] : [set(`Draw them out ${most} mm`, at("lopers", "out"), most)],
  });
}

/**
 * What a leaf's edge gives when someone leans on it.
 *
 * @source beam over two supports with an end that hangs over: F a² (a + b) / 3 E I (Roark); load of EN 1730, from memory
 */
function holdsUp({ form, at: place, species }: DropFacts): Verdict | null {
  const drop = place.drop;
  const mine = (drop?.lopers ?? []).filter(({ side }) => side > 0);
  const [first] = mine;
  if (!drop || !first) return null;
  const { width, height, out } = form.drop.lopers;
  const reach = first.z.to + out - drop.axis.out;
  const long = first.z.to - first.z.from;
  const given = (high: number, count: number, far: number) => {
    const end = first.z.to + far - drop.axis.out;
    if (end <= 0) return Infinity;
    // about the hinges: the lean at the edge, the leaf's own weight in its middle
    const leaf = ((place.top.length * drop.leaf * place.top.thickness) / 1e9) * species.density * GRAVITY;
    const force = (LEAN.good * Math.max(0, drop.leaf - LOPERS.edge) + leaf * (drop.leaf / 2)) / end / count;
    const inertia = (width * high ** 3) / 12;
    const down = (force * far ** 2 * Math.max(far, long)) / (3 * species.stiffness * 1000 * inertia);
    return (down * (RULE.air + drop.leaf)) / end;
  };
  const gives = given(height, mine.length, out);
  const short = reach < LOPERS.reach * drop.leaf;
  const wanted = Math.ceil((LOPERS.reach * drop.leaf + drop.axis.out - first.z.to) / 10) * 10;
  const level: Level =
    reach <= 0 ? "fix" : short ? "tight" : grade(gives, "at most", LOPERS.gives.good, LOPERS.gives.least);
  const highAt = (far: number) =>
    Array.from({ length: 100 - height }, (_, i) => height + 1 + i).find(
      (high) => given(high, mine.length, far) <= LOPERS.gives.good,
    );
  const higher = highAt(out);
  // farther out, higher where they would bend too far
  const stiff = given(height, mine.length, wanted) <= LOPERS.gives.good ? height : highAt(wanted);
  const more = [2, 3, 4].find((count) => count > mine.length && given(height, count, out) <= LOPERS.gives.good);
  return verdict({
    id: "form.drop-held",
    stage: "form",
    subject: ["drop-leaf", "loper"],
    level,
    text:
      reach <= 0 || short
        ? `The bearers end ${mm(Math.max(0, reach))} under a leaf of ${mm(drop.leaf)}`
        : `Leant on, the leaf’s edge goes down ${fine(gives)}`,
    why: `${mine.length} bearer${mine.length > 1 ? "s" : ""} of ${mm(width)} by ${mm(height)}, ${mm(out)} out, bear ${mm(Math.max(0, reach))} beyond the hinges. Someone leans on the edge with ${LEAN.good} N.`,
    limit: LOPERS.gives.good,
    actual: Math.round(gives * 10) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: a beam with an end that hangs over; load of EN 1730, from memory",
    remedies:
      level === "holds"
        ? []
        : short
          ? wanted <= 700 && stiff !== undefined
            ? [
                {
                  label: `Draw them out ${wanted} mm${stiff > height ? `, ${stiff} mm high` : ""}`,
                  patches: [
                    { path: at("lopers", "out"), value: wanted },
                    ...(stiff > height ? [{ path: at("lopers", "height"), value: stiff }] : []),
                  ],
                },
              ]
            : []
          : [
              ...(higher === undefined ? [] : [set(`Make them ${higher} mm high`, at("lopers", "height"), higher)]),
              ...(more === undefined ? [] : [set(`Take ${more} a leaf`, at("lopers", "count"), more)]),
            ],
  });
}
