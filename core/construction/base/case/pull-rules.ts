import { grade, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import { at, CaseFacts } from "./facts";
import { PULL_SIZES, pullHoles } from "./pull";

/** A pull stays so far from a front's edges, mm. @source common practice */
const EDGE = { good: 20, least: 10 };

/** Pulls lie on their fronts, clear of what closes beside them; a drawer without one is drawn by its lower edge. */
export function pullsFit({ at: place, form }: CaseFacts): Verdict | null {
  const { drawers, pull } = place;
  if (drawers.length === 0) return null;
  const wide = pull.kind === "bar" ? PULL_SIZES.bar.over : PULL_SIZES.knob.across / 2;
  const high = (pull.kind === "bar" ? PULL_SIZES.bar.across : PULL_SIZES.knob.across) / 2;
  const spare = drawers.map((drawer) => {
    const { x } = pullHoles(drawer, pull);
    const { across, from, to } = drawer.front;
    const apart =
      x.length > 2 || (x.length === 2 && pull.kind === "knob")
        ? x[x.length / 2] - x[x.length / 2 - 1] - 2 * wide
        : Infinity;
    return { drawer, left: Math.min(x[0] - wide - across.from, (to - from) / 2 - high, apart) };
  });
  const worst = spare.reduce((a, b) => (b.left < a.left ? b : a));
  const none = pull.kind === "none";
  const level = none ? "tight" : grade(worst.left, "at least", EDGE.good, EDGE.least);
  const path = at("drawers", "pull");
  const narrow = Math.floor(form.case.drawers.pull.centres - 2 * (EDGE.good - worst.left));
  return verdict({
    id: "form.pulls",
    stage: "form",
    subject: ["drawer-front"],
    level,
    text: none
      ? "Nothing is chosen to draw the drawers by"
      : level === "holds"
        ? "Pulls lie well on every front"
        : worst.left < 0
          ? `The pull of drawer ${worst.drawer.n} reaches ${mm(round1(-worst.left))} over its front`
          : `The pull of drawer ${worst.drawer.n} lies ${mm(round1(worst.left))} from an edge`,
    why: none
      ? "A knob or a bar, bought before the fronts are bored; or a hollow in the front's lower edge, which is cut before it is glued."
      : `One in the middle, or one at a sixth from each end of a front over ${mm(PULL_SIZES.wide)} wide; half the front’s height.`,
    ...(none ? {} : { limit: EDGE.good, actual: round1(worst.left), sense: "at least" as const, unit: "mm" }),
    remedies: none
      ? [set("Take knobs", [...path, "kind"], "knob"), set("Take bars", [...path, "kind"], "bar")]
      : level !== "holds" && pull.kind === "bar" && narrow >= 32
        ? [set(`Take bars ${mm(narrow)} from screw to screw`, [...path, "centres"], narrow)]
        : [],
  });
}
