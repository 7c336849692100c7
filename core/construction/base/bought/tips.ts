import { grade, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { isSeat, LEAN, seatTips, tipping } from "../tipping";
import { pushAt } from "../tips-between-feet";
import type { Bought } from "./stand";

const path = (what: string) => ["form", "bought", what];
/** As many as a circle may have. */
const MOST = 6;

/** A push on the edge, or on the rim between two legs of a circle. */
export function tips(facts: BaseRuleFacts<Bought>): Verdict | null {
  const { at, form, weight } = facts;
  const { kind, legs, spread } = at.choices;
  if (kind === "hairpins" && legs === "circle" && at.stands.length > 2) return tipsInCircle(facts);
  return tipping({
    ...{ at, form, weight, subject: ["bought-leg", "top"] },
    mend: (apart) => {
      if (kind === "hairpins") {
        const setIn = Math.max(0, Math.floor((at.top.width - apart) / 2 - spread));
        return [set(`Set them in by ${setIn} mm`, path("setIn"), setIn)];
      }
      return [set(`Order them ${apart} mm wide`, path("width"), apart)];
    },
  });
}

function tipsInCircle({ at, form, weight }: BaseRuleFacts<Bought>): Verdict {
  const { spread, bar, setIn } = at.choices;
  const count = at.stands.length;
  const [{ x, z }] = at.stands;
  const foot = Math.hypot(x, z) + spread + bar / 2;
  /** The push with so many legs, so much farther out. */
  const tried = (many: number, farther: number) => {
    const arms = Array.from({ length: many }, (_, i) => {
      const turn = (2 * Math.PI * i) / many;
      return { x: Math.cos(turn), z: Math.sin(turn), foot: foot + farther };
    });
    return pushAt({ arms, top: at.top }, weight, form.top.outline === "ellipse");
  };
  const { newtons, out, beyond } = tried(count, 0);
  if (isSeat(form))
    return seatTips({
      ...{ beyond, between: "between two legs", subject: ["bought-leg", "top"] },
      remedies: (by) => steadier({ setIn, count }, (many, farther) => tried(many, farther).beyond <= beyond - by),
    });
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  return verdict({
    id: "form.tips",
    stage: "form",
    subject: ["bought-leg", "top"],
    level,
    text: Number.isFinite(newtons)
      ? `It tips at ${Math.round(newtons)} N between two legs`
      : "The rim stays inside its feet: nobody tips it",
    why: `About ${Math.round(weight)} kg on ${count} legs; the line between two feet lies ${mm(out)} from the middle, the rim ${mm(Math.max(0, beyond))} beyond it.`,
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the line between two feet; load from EN 1730, from memory",
    remedies: level === "holds" ? [] : steadier({ setIn, count }, (many, by) => tried(many, by).newtons >= LEAN.good),
  });
}

/** Farther out, or more of them: the first of each that would do. */
function steadier(
  { setIn, count }: { setIn: number; count: number },
  stands: (many: number, farther: number) => boolean,
): Remedy[] {
  const ways = Array.from({ length: Math.floor(setIn / 5) }, (_, i) => 5 * (i + 1));
  const by = ways.find((each) => stands(count, each));
  const many = Array.from({ length: MOST - count }, (_, i) => count + 1 + i).find((each) => stands(each, 0));
  return [
    ...(by === undefined ? [] : [set(`Set them in by ${setIn - by} mm`, path("setIn"), setIn - by)]),
    ...(many === undefined ? [] : [set(`Stand it on ${many}`, path("count"), many)]),
  ];
}
