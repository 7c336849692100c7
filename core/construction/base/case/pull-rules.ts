import { grade, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import { at, CaseFacts } from "./facts";
import { PULL_SIZES, pullHoles } from "./pull";

/** A pull stays so far from a front's edges, mm. @source common practice */
const EDGE = { good: 12, least: 6 };

/** Pulls lie on their fronts, clear of what closes beside them; a drawer without one is drawn by its lower edge. */
export function pullsFit({ at: place, form }: CaseFacts): Verdict | null {
  const { drawers, doors, pull } = place;
  if (drawers.length + doors.length === 0) return null;
  const wide = pull.kind === "bar" ? PULL_SIZES.bar.over : PULL_SIZES.knob.across / 2;
  const high = (pull.kind === "bar" ? PULL_SIZES.bar.across : PULL_SIZES.knob.across) / 2;
  const spare = drawers.map((drawer) => {
    const { x } = pullHoles(drawer, pull);
    const { across, from, to } = drawer.front;
    const apart =
      x.length > 2 || (x.length === 2 && pull.kind === "knob")
        ? x[x.length / 2] - x[x.length / 2 - 1] - 2 * wide
        : Infinity;
    return { said: `drawer ${drawer.n}`, left: Math.min(x[0] - wide - across.from, (to - from) / 2 - high, apart) };
  });
  // a door's stands upright in its stile
  const onDoors = doors.map(({ n, stile }) => ({ said: `door ${n}`, left: stile / 2 - high }));
  const worst = [...spare, ...onDoors].reduce((a, b) => (b.left < a.left ? b : a));
  const none = pull.kind === "none";
  const level = none ? "tight" : grade(worst.left, "at least", EDGE.good, EDGE.least);
  const path = at("drawers", "pull");
  const narrow = Math.floor(form.case.drawers.pull.centres - 2 * (EDGE.good - worst.left));
  return verdict({
    id: "form.pulls",
    stage: "form",
    subject: drawers.length > 0 ? ["drawer-front"] : ["door-stile"],
    level,
    text: none
      ? `Nothing is chosen to open the ${drawers.length > 0 ? "drawers" : "doors"} by`
      : level === "holds"
        ? "Pulls lie well on every front"
        : worst.left < 0
          ? `The pull of ${worst.said} reaches ${mm(round1(-worst.left))} over its edge`
          : `The pull of ${worst.said} lies ${mm(round1(worst.left))} from an edge`,
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
