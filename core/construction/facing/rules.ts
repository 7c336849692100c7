/** Whether a facing goes on the top as it was chosen: on enough wood, clear of what is cut there, soft enough to follow it. */
import { coefficientAt } from "../../movement/coefficient";
import { fine, grade, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import { facingKind, facingHindrance, FacingHindrance, facingOf, STUFF } from "./facing";
import type { FacingFacts } from "./facts";
import { facingLies, NONE, path } from "./lies-rules";

/** Percent of moisture through a year. @source most interiors, 6 to 10 %, Wood Handbook ch. 13 */
const SWING = 4;

export const FACING_RULES: readonly ((facts: FacingFacts) => Verdict | null)[] = [
  facingGoes,
  facingLies,
  facingFollows,
];

const WHY: Record<FacingHindrance, string> = {
  field: "It is let into one panel: slats and slabs have none.",
  parting: "The top parts or folds, and the facing would part with it.",
  outline: "Its ends are cut to the top’s: they want to be straight.",
  edge: "It goes down over the ends: they want to be plain, without end boards, a frame or a bevel below.",
  drop: "It goes down over the ends, where leaves are hung beside it.",
  strip:
    "A panel is sawn apart for a strip where it is a plain rectangle that only lies on its base: without end boards, a frame, leaves, lids, battens or sides joined to it.",
};

function facingGoes({ form, at }: FacingFacts): Verdict | null {
  if (form.facing.kind === "none") return null;
  const why = facingHindrance(form);
  const facing = facingOf(form, at);
  const { proud, thickness } = form.facing;
  const over = proud > thickness;
  const stops: Remedy = set("Let it stop at the ends", path("wraps"), 0);
  const routed: Remedy = set("Rout a trench for it instead", path("bed"), "trench");
  return verdict({
    id: "form.facing",
    stage: "form",
    subject: [facingKind(form.facing.kind), "top"],
    level: why || over ? "fix" : "holds",
    text: why
      ? `The top can’t be faced with ${form.facing.kind} as it is planned`
      : over
        ? `A facing ${fine(thickness)} thick can’t stand ${fine(proud)} proud`
        : `${STUFF[facing!.stuff].name} ${mm(Math.round(facing!.width))} wide ${proud > 0 ? `stands ${fine(proud)} proud` : "lies flush"}${facing!.wraps > 0 ? `, ${mm(facing!.wraps)} down over both ends` : ""}`,
    why: why
      ? WHY[why]
      : at.inserted
        ? `It lies on a strip of its own wood, ${fine(at.inserted.thickness)} thick and level with the halves below; the facing goes in when the wood round it is finished.`
        : `Its trench is ${fine(facing?.depth ?? 0)} deep, routed between two battens when the top is flat; the facing goes in when the wood round it is finished.`,
    remedies: why
      ? why === "edge" || why === "drop"
        ? [stops, NONE]
        : why === "strip"
          ? [routed, NONE]
          : why === "outline"
            ? [set("Make the top a rectangle", ["form", "top", "outline"], "rectangle"), NONE]
            : [NONE]
      : over
        ? [set(`Let it stand ${fine(thickness)} proud, without a trench`, path("proud"), thickness)]
        : [],
  });
}

/** Glued down it is as wide as the wood under it, through the year. */
function facingFollows({ form, at, species }: FacingFacts): Verdict | null {
  const facing = facingOf(form, at);
  if (!facing) return null;
  const { name, stretches } = STUFF[facing.stuff];
  // flat-sawn, the most it may be
  const share = coefficientAt(species, 0) * SWING;
  const level = grade(share, "at most", stretches, 2 * stretches);
  return verdict({
    id: "form.facing-follows",
    stage: "form",
    subject: [facingKind(form.facing.kind), "top"],
    level,
    text:
      level === "holds"
        ? `${name} follows the ${mm(share * facing.width)} that the wood under it moves`
        : `${name} lets go or tears: the wood under it moves ${mm(share * facing.width)}`,
    why: `${mm(Math.round(facing.width))} of the top move ${(100 * share).toFixed(1)} % over ${SWING} percent of moisture; ${name.toLowerCase()} takes ${(100 * stretches).toFixed(1)} %.`,
    limit: Math.round(1000 * stretches) / 10,
    actual: Math.round(1000 * share) / 10,
    sense: "at most",
    unit: "%",
    source: "derived: tangential coefficient over the swing of most interiors; what the facing takes from memory",
    remedies: level === "holds" ? [] : [set("Face it with cork", path("kind"), "cork"), NONE],
  });
}
