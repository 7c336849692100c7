/** Which of several remedies mend what a rule of a form found, tried before they are offered: alone, else two together, else all of them. */
import { applyPatches } from "../piece/patch";
import type { Form } from "../piece/schema";
import type { Level, Remedy } from "../verdict/verdict";

const RANK: Record<Level, number> = { holds: 0, tight: 1, fix: 2 };

/** @param after  what the rule would say of another form */
export function mending(form: Form, now: Level, candidates: readonly Remedy[], after: (form: Form) => Level): Remedy[] {
  if (now === "holds") return [];
  const mends = ({ patches }: Remedy) => RANK[after(applyPatches({ form }, patches).form)] < RANK[now];
  const alone = candidates.filter(mends);
  if (alone.length > 0) return alone;
  const pairs = candidates.flatMap((one, i) => candidates.slice(i + 1).map((other) => together([one, other])));
  const both = [...pairs, ...(candidates.length > 2 ? [together(candidates)] : [])].find(mends);
  return both ? [both] : [];
}

/** Several changes under one label: "Let the rails lean with the legs, make the legs 56 mm square". */
const together = (remedies: readonly Remedy[]): Remedy => ({
  label: remedies.map(({ label }, i) => (i > 0 ? `${label[0].toLowerCase()}${label.slice(1)}` : label)).join(", "),
  patches: remedies.flatMap(({ patches }) => patches),
});
