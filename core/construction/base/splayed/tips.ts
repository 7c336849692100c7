/** What tips a piece on splayed legs: between two feet its edge is farthest out. */
import { mm, set, Verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { pushAt, tipsBetween } from "../tips-between-feet";
import type { Splayed } from "./place";

const path = (...rest: string[]) => ["form", "splayed", ...rest];
const MOST = 6;

/** A push lifts the foot behind; who sits there has their weight outside the line between two feet. */
export function tips({ at, form, weight }: BaseRuleFacts<Splayed>): Verdict {
  const { legs } = form.splayed;
  const setIn = at.beside ? 0 : form.splayed.setIn;
  const more = (most: number) => (legs < most ? [set(`Stand it on ${legs + 1} legs`, path("legs"), legs + 1)] : []);
  return tipsBetween({
    ...{ form, weight, subject: ["splayed-leg", "top"] },
    pushed: pushAt(at, weight, form.top.outline === "ellipse"),
    leaned: [...(setIn > 40 ? [set("Set the heads in by 40 mm", path("setIn"), 40)] : []), ...more(MOST - 1)],
    sat: (by) => [
      ...(setIn > by + 20 ? [set(`Set the heads in by ${mm(setIn - by)}`, path("setIn"), Math.round(setIn - by))] : []),
      ...more(MOST),
    ],
  });
}
