import type { Brief, Form } from "../piece/schema";
import type { Species } from "../wood/species";
import { fine, grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import { lowered } from "./base/lowered";
import type { PieceGeometry } from "./geometry";
import { useOf } from "../brief/uses";
import { bevelBelow } from "./top/bevel-rules";
import { outlineFollows } from "./top/scribe-rules";
import { usualRange } from "./usual";

export interface FormFacts {
  form: Form;
  brief: Brief;
  at: PieceGeometry;
  species: Species;
  lift: number;
}

/** Rules of the form that hold for every base. Each returns its verdict, or null when it has nothing to judge. */
export const FORM_RULES: ((facts: FormFacts) => Verdict | null)[] = [
  height,
  topThickness,
  sideOverhang,
  endOverhang,
  postsAtCorners,
  topWeight,
  bevelBelow,
  outlineFollows,
];

function height({ form, brief, at }: FormFacts): Verdict {
  const off = Math.abs(form.height - brief.topHeight);
  const use = useOf(form);
  const stands = Math.round((at.under + at.top.thickness + (at.lifted?.by ?? 0)) * 10) / 10;
  if (Math.abs(stands - form.height) > AS_PLANNED) return asMeasured({ form, at }, stands);
  const { low, high } = use.height;
  const inside = at.hangs || (form.height >= low && form.height <= high);
  const usual = form.height < low ? low : high;
  return verdict({
    id: "form.height",
    stage: "form",
    subject: ["height"],
    level: off > 5 ? "tight" : inside ? "holds" : "tight",
    text:
      off > 5
        ? `The top stands at ${mm(form.height)}, the brief asks for ${mm(brief.topHeight)}`
        : `Top at ${mm(form.height)}, as the brief asks`,
    why: at.hangs
      ? "It hangs on a wall: what is below it, and who reaches into it, say how high."
      : inside
        ? `${use.nouns} stand between ${low} and ${high} mm.`
        : `Outside the ${low} to ${high} mm of ${use.nouns.toLowerCase()}: try it with ${use.triedWith}.`,
    limit: brief.topHeight,
    actual: form.height,
    unit: "mm",
    remedies:
      off > 5
        ? [set(`Set the height to ${brief.topHeight} mm`, ["form", "height"], brief.topHeight)]
        : inside
          ? []
          : [
              {
                label: `Ask for ${usual} mm, and make it so`,
                patches: [
                  { path: ["brief", "topHeight"], value: usual },
                  { path: ["form", "height"], value: usual },
                ],
              },
            ],
  });
}

/** Nearer to its plan a height is as planned: a shaving, mm. Ours */
const AS_PLANNED = 0.5;

/** Legs that were measured carry the top where they do. */
function asMeasured({ form, at }: Pick<FormFacts, "form" | "at">, stands: number): Verdict {
  const by = Math.round((form.height - stands) * 10) / 10;
  const thick = Math.round((at.top.thickness + by) * 10) / 10;
  return verdict({
    id: "form.height",
    stage: "form",
    subject: ["height", "leg"],
    level: Math.abs(by) > 20 ? "fix" : "tight",
    text: `On legs as they were measured the top stands at ${mm(stands)}, ${mm(Math.abs(by))} ${by > 0 ? "lower" : "higher"} than planned`,
    why: "What was measured counts before what was planned; everything below the top is placed from it.",
    limit: form.height,
    actual: stands,
    unit: "mm",
    remedies: [
      { label: `Let it stand at ${stands} mm`, patches: lowered(form, by) },
      ...(by > 0 && thick <= useOf(form).top.high + 10
        ? [set(`Make the top ${thick} mm thick`, ["form", "top", "thickness"], thick)]
        : []),
    ],
  });
}

/** Slabs are left as thick as they flatten, mm. @source common practice */
const SLAB_RANGE = { low: 32, high: 65 };

function topThickness({ at, form }: FormFacts) {
  return usualRange("form.top", "top", "Top thickness", {
    actual: at.top.thickness,
    range: form.field === "slabs" ? SLAB_RANGE : useOf(form).top,
    path: ["form", "top", "thickness"],
    reasons: { low: "It flexes between the rails and drums.", high: "It is heavy to carry and slow to look light." },
  });
}

function sideOverhang({ form, at }: FormFacts) {
  // where leaves hang, they say how far in the legs stand
  if (at.through || !at.keeps.side || at.drop) return null;
  const judged = usualRange("form.side-overhang", "top", "Side overhang", {
    actual: form.overhang.side,
    range: useOf(form).overhang,
    path: ["form", "overhang", "side"],
    reasons: {
      low: "Nothing is left when the top shrinks in the dry month.",
      high: "The base looks small below it; what a lean on the edge does is judged by weight and lever.",
    },
  });
  // a wide edge is a matter of looks: whether it tips is another rule's
  return form.overhang.side > useOf(form).overhang.high && judged.level === "fix"
    ? { ...judged, level: "tight" as const }
    : judged;
}

function endOverhang({ form, at }: FormFacts): Verdict | null {
  if (at.through || !at.keeps.end) return null;
  const most = 300;
  const slight = form.overhang.end < (at.flush ? 0 : 20);
  const level = slight ? "tight" : grade(form.overhang.end, "at most", most, 400);
  return verdict({
    id: "form.end-overhang",
    stage: "form",
    subject: ["top"],
    level,
    text:
      level === "holds"
        ? `End overhang of ${mm(form.overhang.end)} sits well`
        : slight
          ? `An end overhang of ${mm(form.overhang.end)} shows every error`
          : `An end overhang of ${mm(form.overhang.end)} sags in time`,
    why: `Common practice is 25 to 50 mm${useOf(form).seats?.where === "round" ? ", up to 300 mm where a chair sits at the head" : ", up to 300 mm where something stands below it"}.`,
    limit: most,
    actual: form.overhang.end,
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Make it 40 mm", ["form", "overhang", "end"], 40)],
  });
}

/** Posts that come up through the corners stand at the top's edges: what overhangs is cut away with the notch. */
function postsAtCorners({ form, at }: FormFacts): Verdict | null {
  if (!at.through) return null;
  const most = Math.max(form.overhang.end, form.overhang.side);
  return verdict({
    id: "form.posts-at-corners",
    stage: "form",
    subject: ["top", "leg"],
    level: most > 0 ? "tight" : "holds",
    text:
      most > 0
        ? `The notches take ${mm(most)} of top outside the legs as well`
        : "Legs stand level with the top’s edges in its corners",
    why: "A leg that runs up through a corner stands flush with both edges: nothing overhangs it there.",
    limit: 0,
    actual: most,
    sense: "at most",
    unit: "mm",
    remedies: most > 0 ? [set("Bring the legs out to the edges", ["form", "overhang"], { end: 0, side: 0 })] : [],
  });
}

function topWeight({ at, form, species, lift }: FormFacts): Verdict {
  const weight = topMass(at, species.density);
  const people = Math.max(1, Math.ceil(weight / lift));
  const level = people <= 2 ? "holds" : "tight";
  // so thin that two lift it, but no thinner than a top may be
  const light = Math.floor((at.top.thickness * 2 * lift) / weight);
  const thinner = light >= useOf(form).top.low ? light : Infinity;
  return verdict({
    id: "form.top-weight",
    stage: "form",
    subject: ["top"],
    level,
    text: `The top weighs about ${Math.round(weight)} kg: ${people === 1 ? "one person turns it" : `${people} people turn it`}`,
    why: `${species.name} at ${species.density} kg/m³, ${fine(at.top.thickness)} thick; one person lifts about ${lift} kg here.`,
    limit: 2 * lift,
    actual: Math.round(weight),
    sense: "at most",
    unit: "kg",
    source: "density at 12 % from the species table",
    remedies:
      level === "holds" || thinner >= at.top.thickness
        ? []
        : [set(`Make the top ${thinner} mm thick`, ["form", "top", "thickness"], thinner)],
  });
}

/** kg, from mm and kg/m³. */
export const topMass = (at: PieceGeometry, density: number) =>
  (at.top.length * at.top.width * at.top.thickness * density) / 1e9;
