/** Whether a facing goes on the top as it was chosen: on enough wood, clear of what is cut there, soft enough to follow it. */
import { coefficientAt } from "../../movement/coefficient";
import type { Form } from "../../piece/schema";
import { fine, grade, Level, listed, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";
import type { Inserted, PieceGeometry } from "../geometry";
import { Facing, facingKind, facingHindrance, FacingHindrance, facingOf, panelWidth, STUFF } from "./facing";

export interface FacingFacts {
  form: Form;
  at: PieceGeometry;
  species: Species;
}

/** Of the top's thickness under the trench; beside it to the top's edge, mm; percent of moisture through a year. @source common practice; most interiors, 6 to 10 %, Wood Handbook ch. 13 */
const FACED = { left: { good: 0.75, least: 0.6 }, beside: { good: 30, least: 10 }, swing: 4 };
/** A strip so thin bends between its seams; a half so narrow is a lipping, mm. @source common practice */
const BEDDED = { thick: { good: 12, least: 8 }, half: { good: 60, least: 30 } };

export const FACING_RULES: readonly ((facts: FacingFacts) => Verdict | null)[] = [
  facingGoes,
  facingLies,
  facingFollows,
];

const path = (what: string) => ["form", "facing", what];
const NONE = set("Leave the facing off", path("kind"), "none");

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

/** What is cut or let in where it would lie. */
function met({ form, at }: FacingFacts, { front, width }: Facing): string[] {
  const from = front - panelWidth(form, at) / 2;
  const crosses = (middle: number, half: number) => middle + half > from && middle - half < from + width;
  const cut = form.top.cutouts.filter((each) => crosses(each.y, each.width / 2)).map(({ name }) => `cut-out “${name}”`);
  const reach = ({ length, width: wide, turn }: Form["top"]["inlays"][number]) => {
    const angle = (turn * Math.PI) / 180;
    return (Math.abs(length * Math.sin(angle)) + Math.abs(wide * Math.cos(angle))) / 2;
  };
  const inlaid = form.top.inlays
    .filter((each) => each.places.some(({ y }) => crosses(y, reach(each))))
    .map(({ name }) => `inlay “${name}”`);
  const comeUp = at.through !== null || (form.kind === "staked" && form.staked.tenon.ends === "wedged");
  const legs = comeUp && at.posts.some(({ z, width: wide }) => crosses(-z, wide / 2));
  return [...cut, ...inlaid, ...(legs ? ["legs that come up through the top"] : [])];
}

/** On a strip of its own: how thick that is, how wide the halves beside it are. */
function stripLies(facts: FacingFacts, facing: Facing, { thickness, front, width }: Inserted): Verdict {
  const { form, at } = facts;
  const { thick, half } = BEDDED;
  const beside = Math.min(front, at.core.width - width - front);
  const across = met(facts, facing);
  const [a, b] = [
    grade(thickness, "at least", thick.good, thick.least),
    grade(beside, "at least", half.good, half.least),
  ];
  const level: Level = [a, b].includes("fix") || across.length > 0 ? "fix" : a === b ? a : "tight";
  const narrower = Math.floor(at.core.width - 2 * half.good - 2 * Math.abs(form.facing.from));
  return verdict({
    id: "form.facing-lies",
    stage: "form",
    subject: [facingKind(form.facing.kind), "top"],
    level,
    text:
      across.length > 0
        ? `The facing lies across ${listed(across)}`
        : a !== "holds"
          ? `The strip under the facing is only ${fine(thickness)} thick`
          : `Halves ${mm(Math.round(front))} and ${mm(Math.round(at.core.width - width - front))} wide stand beside the strip`,
    why: `Under ${thick.good} mm a strip bends between its seams; a half under ${mm(half.good)} is no panel but a lipping.`,
    limit: half.good,
    actual: Math.round(beside),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : across.length > 0
          ? [NONE]
          : a !== "holds"
            ? [set("Lay it on the strip, proud by its thickness", path("proud"), form.facing.thickness)]
            : narrower >= 20
              ? [set(`Make it ${mm(narrower)} wide`, path("width"), narrower)]
              : [set("Lay it in the top’s middle", path("from"), 0)],
  });
}

function facingLies(facts: FacingFacts): Verdict | null {
  const { form, at } = facts;
  const facing = facingOf(form, at);
  if (!facing) return null;
  if (at.inserted) return stripLies(facts, facing, at.inserted);
  const left = (at.top.thickness - facing.depth) / at.top.thickness;
  const panel = panelWidth(form, at);
  const beside = Math.min(facing.front, panel - facing.width - facing.front);
  const across = met(facts, facing);
  const [a, b] = [
    grade(left, "at least", FACED.left.good, FACED.left.least),
    grade(beside, "at least", FACED.beside.good, FACED.beside.least),
  ];
  const level: Level =
    across.length > 0 || a === "fix" || b === "fix" ? "fix" : a === "tight" || b === "tight" ? "tight" : "holds";
  const thicker = Math.ceil(facing.depth / (1 - FACED.left.good));
  const narrower = Math.floor(panel - 2 * FACED.beside.good - 2 * Math.abs(form.facing.from));
  return verdict({
    id: "form.facing-lies",
    stage: "form",
    subject: [facingKind(form.facing.kind), "top"],
    level,
    text:
      across.length > 0
        ? `The facing lies across ${listed(across)}`
        : a !== "holds"
          ? `Under its trench only ${fine(left * at.top.thickness)} of the top are left`
          : b !== "holds"
            ? `Only ${mm(Math.max(0, Math.round(beside)))} of wood stay beside the facing`
            : `${fine(left * at.top.thickness)} of wood stay under the facing, ${mm(Math.round(beside))} and more beside it`,
    why: `Thinner than ${Math.round(100 * FACED.left.good)} % of the top the bottom of the trench hollows; a rim under ${FACED.beside.good} mm is knocked off.`,
    limit: FACED.beside.good,
    actual: Math.round(beside),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : across.length > 0
          ? [NONE]
          : a !== "holds"
            ? [
                ...(thicker <= 150
                  ? [set(`Make the top ${mm(thicker)} thick`, ["form", "top", "thickness"], thicker)]
                  : []),
                set("Lay it on the top, without a trench", path("proud"), form.facing.thickness),
              ]
            : narrower >= 20
              ? [set(`Make it ${mm(narrower)} wide`, path("width"), narrower)]
              : [set("Lay it in the top’s middle", path("from"), 0)],
  });
}

/** Glued down it is as wide as the wood under it, through the year. */
function facingFollows({ form, at, species }: FacingFacts): Verdict | null {
  const facing = facingOf(form, at);
  if (!facing) return null;
  const { name, stretches } = STUFF[facing.stuff];
  // flat-sawn, the most it may be
  const share = coefficientAt(species, 0) * FACED.swing;
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
    why: `${mm(Math.round(facing.width))} of the top move ${(100 * share).toFixed(1)} % over ${FACED.swing} percent of moisture; ${name.toLowerCase()} takes ${(100 * stretches).toFixed(1)} %.`,
    limit: Math.round(1000 * stretches) / 10,
    actual: Math.round(1000 * share) / 10,
    sense: "at most",
    unit: "%",
    source: "derived: tangential coefficient over the swing of most interiors; what the facing takes from memory",
    remedies: level === "holds" ? [] : [set("Face it with cork", path("kind"), "cork"), NONE],
  });
}
