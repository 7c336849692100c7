/** Whether bought feet carry the piece, fit under its wood, and take up what a floor is out by. */
import { AssemblyPart, bodyOf } from "../../assembly/part";
import { toPart } from "../../assembly/place";
import { isInside } from "../../assembly/shape";
import type { Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import { fine, grade, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { feetOf, FOOT_BY, FOOT_NAMES, partOverFoot } from "./feet";

export interface FeetFacts {
  form: Form;
  at: PieceGeometry;
  parts: readonly AssemblyPart[];
  /** of the whole piece, kg */
  weight: number;
}

/** @source common practice: who sits down on an edge, kg; wood round a hole, mm; what floors are out by under one piece, mm, from memory */
const FEET = { person: 100, wall: 5, floor: { good: 6, least: 3 } };

export const FEET_RULES: readonly ((facts: FeetFacts) => Verdict | null)[] = [
  feetCarry,
  feetUnderWood,
  holesInWood,
  takesUpTheFloor,
];

const chosen = ({ form, at }: Pick<FeetFacts, "form" | "at">) => {
  const feet = feetOf(form);
  return feet && at.lifted
    ? { ...feet, lifted: at.lifted, path: (what: string) => ["form", "feet", feet.kind, what] }
    : null;
};

/** On a floor that is not flat two feet carry it all. */
function feetCarry(facts: FeetFacts): Verdict | null {
  const feet = chosen(facts);
  if (!feet) return null;
  const { weight } = facts;
  const two = Math.ceil((weight + FEET.person) / 2);
  return verdict({
    id: "form.feet-carry",
    stage: "form",
    subject: ["foot"],
    level: grade(feet.carries, "at least", two, (weight + FEET.person) / 4),
    text: `${feet.lifted.spots.length} ${FOOT_NAMES[feet.kind].many.toLowerCase()}: ${two > feet.carries ? `one carries ${Math.round(feet.carries)} kg, and ${two} kg may stand on it` : `each carries the ${two} kg that may stand on it`}`,
    why: `About ${Math.round(weight)} kg and someone of ${FEET.person} kg who sits on an edge; where a floor is hollow, two feet carry all of it.`,
    limit: two,
    actual: feet.carries,
    sense: "at least",
    unit: "kg",
    source: "derived: half of all on each of two; the feet's own packet",
    remedies: feet.carries < two ? [set(`Order feet that carry ${two} kg`, feet.path("carries"), two)] : [],
  });
}

/** A foot that is wider than its wood shows beside it, and catches. */
function feetUnderWood(facts: FeetFacts): Verdict | null {
  const feet = chosen(facts);
  if (!feet) return null;
  const least = Math.min(...feet.lifted.spots.map(({ wood }) => wood));
  const fits = Math.floor(least) - 2;
  return verdict({
    id: "form.feet-wide",
    stage: "form",
    subject: ["foot"],
    level: feet.diameter <= least ? "holds" : feet.diameter <= 1.2 * least ? "tight" : "fix",
    text:
      feet.diameter <= least
        ? `Feet of ${fine(feet.diameter)} lie inside the wood over them`
        : `Feet of ${fine(feet.diameter)} stand out beside wood ${fine(least)} wide`,
    why: "What stands out beside the wood is seen, catches a broom, and is pushed off.",
    limit: round1(least),
    actual: feet.diameter,
    sense: "at most",
    unit: "mm",
    remedies: feet.diameter > least && fits >= 8 ? [set(`Order feet of ${fits} mm`, feet.path("diameter"), fits)] : [],
  });
}

/** Round a hole that goes straight up from the floor, and over it, there is wood left, whatever leans or was cut there. */
function holesInWood(facts: FeetFacts): Verdict | null {
  const feet = chosen(facts);
  if (!feet) return null;
  const { spots } = feet.lifted;
  const bare = facts.parts.map((part) => ({ ...part, cuts: part.cuts.filter(({ by }) => by !== FOOT_BY) }));
  const over = spots.map((spot) => ({ spot, part: partOverFoot(bare, spot) }));
  const torn = (size: { hole: number; deep: number }) =>
    over.flatMap(({ spot, part }) => (part && !staysIn(part, spot, size) ? [part] : []));
  const [worst] = torn(feet);
  const none = over.filter(({ part }) => !part).length;
  const deep = worst
    ? SHORTER.map((share) => Math.floor(feet.deep * share)).find(
        (each) => each >= 8 && torn({ hole: feet.hole, deep: each }).length === 0,
      )
    : undefined;
  const glides = facts.form.feet.glides;
  return verdict({
    id: "form.feet-holes",
    stage: "form",
    subject: ["foot", ...(worst ? [worst.kind] : [])],
    level: worst ? "fix" : none > 0 ? "tight" : "holds",
    text: worst
      ? `A hole ${fine(feet.hole)} wide and ${fine(feet.deep)} deep breaks out of the ${worst.said ?? worst.name.toLowerCase()}`
      : none > 0
        ? `Over ${none} of ${spots.length} feet there is no wood`
        : `Holes ${fine(feet.hole)} wide and ${fine(feet.deep)} deep stay in their wood`,
    why: `They go straight up from the floor, and want ${mm(FEET.wall)} beside and over them; mortises and screws of the base are counted.`,
    source: "derived: points round each hole against the body of the part over it",
    remedies:
      deep !== undefined
        ? [set(`Drill them ${mm(deep)} deep`, feet.path("deep"), deep)]
        : worst && feet.kind !== "glides" && torn(glides).length === 0
          ? [set("Put glides under it", ["form", "feet", "kind"], "glides")]
          : [],
  });
}
/** Shares of a hole's depth that are tried when it comes out. Ours */
const SHORTER = [0.75, 0.5, 0.35];

/** Whether wood stands round a hole and over it. */
function staysIn(
  part: AssemblyPart,
  { x, z }: { x: number; z: number },
  { hole, deep }: { hole: number; deep: number },
): boolean {
  const body = bodyOf(part);
  const reach = hole / 2 + FEET.wall;
  const round = [1, deep / 2, deep].flatMap((y) =>
    Array.from({ length: 12 }, (_, i): Vec => {
      const turn = (i * Math.PI) / 6;
      return [x + reach * Math.cos(turn), y, z + reach * Math.sin(turn)];
    }),
  );
  return [...round, [x, deep + FEET.wall, z] as Vec].every((point) => isInside(body, toPart(part.place, point)));
}

/** Floors are not flat: levelling feet take that up. */
function takesUpTheFloor(facts: FeetFacts): Verdict | null {
  const feet = chosen(facts);
  if (!feet || feet.kind !== "levelling") return null;
  const { good, least } = FEET.floor;
  return verdict({
    id: "form.feet-range",
    stage: "form",
    subject: ["foot"],
    level: grade(feet.range, "at least", good, least),
    text: `Turned out they take up ${mm(feet.range)} of floor`,
    why: `Floors are out by ${mm(least)} to ${mm(good)} under one piece. All are turned in first and the lowest corner is turned out last; drawn ${mm(feet.height)} high.`,
    limit: good,
    actual: feet.range,
    sense: "at least",
    unit: "mm",
    remedies: feet.range < good ? [set(`Order feet that turn out ${good} mm`, feet.path("range"), good)] : [],
  });
}
