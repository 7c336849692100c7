import type { Brief, Form } from "../piece/schema";
import type { Species } from "../wood/species";
import { fine, grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { TableGeometry } from "./leg-and-apron";

/** Sizes makers usually keep to, mm. @source common practice */
export const USUAL = {
  kneeRoom: { good: 610, least: 580 },
  thigh: 600,
  leg: { low: 70, high: 90 },
  apron: { low: 90, high: 120 },
  top: { low: 25, high: 40 },
  overhang: { low: 25, high: 50 },
  reveal: { low: 3, high: 10 },
  height: { low: 720, high: 760 },
  longRailAlone: 1500,
  topWeightOnePerson: 25,
  topWeightTwo: 50,
  taperBelow: 10,
};

/** The same for a bench or stool, mm. @source common practice: seats stand at about 450 */
export const USUAL_BENCH = {
  leg: { low: 40, high: 75 },
  apron: { low: 55, high: 100 },
  top: { low: 20, high: 40 },
  overhang: { low: 0, high: 50 },
  height: { low: 420, high: 470 },
};
const usual = (form: Form) => (form.use === "bench" ? { ...USUAL, ...USUAL_BENCH } : USUAL);

export interface FormFacts {
  form: Form;
  brief: Brief;
  at: TableGeometry;
  species: Species;
  lift: number;
}

/** Every rule of the form stage, in the order a maker would ask. Each returns its verdict, or null when it has nothing to judge. */
export const FORM_RULES: ((facts: FormFacts) => Verdict | null)[] = [
  legsFit,
  kneeRoom,
  height,
  legSection,
  apronDepth,
  topThickness,
  sideOverhang,
  endOverhang,
  reveal,
  taper,
  longRailStiff,
  topWeight,
];

function legsFit({ form, at }: FormFacts): Verdict {
  const room = Math.min(at.longRail.shoulder, at.endRail.shoulder);
  const most = Math.floor(Math.min(at.frame.width, at.frame.length) / 2 - 100);
  return verdict({
    id: "form.legs-fit",
    stage: "form",
    subject: ["leg", "end-rail"],
    level: grade(room, "at least", 200, 60),
    text: room > 60 ? `${mm(room)} stay between the legs at the end` : `The legs leave ${mm(room)} for the end rail`,
    why: `The top is ${mm(at.top.width)} wide, less two overhangs of ${mm(form.overhang.side)} and two legs of ${mm(at.leg.section)}.`,
    limit: 200,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    remedies:
      room < 200 && most >= 40 && most < at.leg.section
        ? [set(`Make legs ${Math.min(most, 75)} mm`, ["form", "leg", "section"], Math.min(most, 75))]
        : [],
  });
}

function kneeRoom({ form, at }: FormFacts): Verdict | null {
  if (form.use === "bench") return null;
  const level = grade(at.kneeRoom, "at least", USUAL.kneeRoom.good, USUAL.kneeRoom.least);
  const depth = Math.floor(at.leg.length - USUAL.kneeRoom.good);
  return verdict({
    id: "form.knee-room",
    stage: "form",
    subject: ["long-rail"],
    level,
    text:
      level === "holds"
        ? `${mm(at.kneeRoom)} of knee room under the rails`
        : `Knees meet the rail at ${mm(at.kneeRoom)}`,
    why: `Sitting at a 450 mm seat wants ${mm(USUAL.kneeRoom.good)}; under ${mm(USUAL.kneeRoom.least)} a tall guest can't cross legs.`,
    limit: USUAL.kneeRoom.good,
    actual: at.kneeRoom,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(depth >= 60 ? [set(`Make aprons ${depth} mm deep`, ["form", "apron", "depth"], depth)] : []),
            set(
              `Raise the top to ${Math.ceil(form.height + USUAL.kneeRoom.good - at.kneeRoom)} mm`,
              ["form", "height"],
              Math.ceil(form.height + USUAL.kneeRoom.good - at.kneeRoom),
            ),
          ],
  });
}

function height({ form, brief }: FormFacts): Verdict {
  const off = Math.abs(form.height - brief.topHeight);
  const { low, high } = usual(form).height;
  const inside = form.height >= low && form.height <= high;
  return verdict({
    id: "form.height",
    stage: "form",
    subject: ["height"],
    level: off > 5 ? "tight" : inside ? "holds" : "tight",
    text:
      off > 5
        ? `The top stands at ${mm(form.height)}, the brief asks for ${mm(brief.topHeight)}`
        : `Top at ${mm(form.height)}, as the brief asks`,
    why: inside
      ? `${form.use === "bench" ? "Benches" : "Dining tables"} stand between ${low} and ${high} mm.`
      : `Outside the ${low} to ${high} mm of ${form.use === "bench" ? "benches: try it with the client's table" : "dining tables: try it with the client's chairs"}.`,
    limit: brief.topHeight,
    actual: form.height,
    unit: "mm",
    remedies: off > 5 ? [set(`Set the height to ${brief.topHeight} mm`, ["form", "height"], brief.topHeight)] : [],
  });
}

const usualRange = (
  id: string,
  subject: string,
  label: string,
  actual: number,
  { low, high }: { low: number; high: number },
  path: string[],
  reasons: { low: string; high: string },
): Verdict => {
  const level = actual < low * 0.75 || actual > high * 1.5 ? "fix" : actual < low || actual > high ? "tight" : "holds";
  const nearest = actual < low ? low : high;
  return verdict({
    id,
    stage: "form",
    subject: [subject],
    level,
    text:
      level === "holds"
        ? `${label} of ${mm(actual)} is in the usual range`
        : `${label} of ${mm(actual)} is ${actual < low ? "slight" : "heavy"}`,
    why: `Usual is ${low} to ${high} mm. ${level === "holds" ? "" : actual < low ? reasons.low : reasons.high}`.trim(),
    limit: nearest,
    actual,
    sense: actual < low ? "at least" : "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make it ${nearest} mm`, path, nearest)],
  });
};

function legSection({ form, at }: FormFacts) {
  return usualRange("form.leg", "leg", "Leg section", at.leg.section, usual(form).leg, ["form", "leg", "section"], {
    low: `Rails ${form.apron.thickness} mm thick leave it little wood around the mortises.`,
    high: "It will look like a workbench.",
  });
}
function apronDepth({ form }: FormFacts) {
  return usualRange(
    "form.apron",
    "long-rail",
    "Apron depth",
    form.apron.depth,
    usual(form).apron,
    ["form", "apron", "depth"],
    {
      low: "The shoulders that keep the table from racking get short.",
      high: "It takes knee room, and its own movement works on the tenons.",
    },
  );
}
function topThickness({ at, form }: FormFacts) {
  return usualRange(
    "form.top",
    "top",
    "Top thickness",
    at.top.thickness,
    usual(form).top,
    ["form", "top", "thickness"],
    { low: "It flexes between the rails and drums.", high: "It is heavy to carry and slow to look light." },
  );
}
function sideOverhang({ form }: FormFacts) {
  return usualRange(
    "form.side-overhang",
    "top",
    "Side overhang",
    form.overhang.side,
    usual(form).overhang,
    ["form", "overhang", "side"],
    { low: "Nothing is left when the top shrinks in the dry month.", high: "A lean on the edge lifts the far side." },
  );
}

function endOverhang({ form }: FormFacts): Verdict {
  const most = 300;
  const level = form.overhang.end < 20 ? "tight" : grade(form.overhang.end, "at most", most, 400);
  return verdict({
    id: "form.end-overhang",
    stage: "form",
    subject: ["top"],
    level,
    text:
      level === "holds"
        ? `End overhang of ${mm(form.overhang.end)} sits well`
        : form.overhang.end < 20
          ? `An end overhang of ${mm(form.overhang.end)} shows every error`
          : `An end overhang of ${mm(form.overhang.end)} tips and sags`,
    why: "Common practice is 25 to 50 mm, up to 300 mm where a chair sits at the head.",
    limit: most,
    actual: form.overhang.end,
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Make it 40 mm", ["form", "overhang", "end"], 40)],
  });
}

function reveal({ form, at }: FormFacts): Verdict {
  const inside = at.leg.section - form.apron.reveal - at.rail.thickness;
  const level = inside < 0 ? "fix" : form.apron.reveal < USUAL.reveal.low ? "tight" : "holds";
  return verdict({
    id: "form.reveal",
    stage: "form",
    subject: ["leg", "long-rail"],
    level,
    text:
      inside < 0
        ? `The rail stands ${mm(-inside)} out of the leg inside`
        : level === "tight"
          ? "Rails nearly flush with the legs"
          : `A reveal of ${mm(form.apron.reveal)} hides small errors`,
    why:
      inside < 0
        ? "Reveal and rail together are thicker than the leg."
        : "A flush rail shows the leg's movement and any planing error; about 5 mm is usual.",
    limit: USUAL.reveal.low,
    actual: form.apron.reveal,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Set the reveal to 5 mm", ["form", "apron", "reveal"], 5)],
  });
}

function taper({ form, at }: FormFacts): Verdict | null {
  if (form.leg.taper === "none") return null;
  const share = at.leg.foot / at.leg.section;
  const level = share > 1 || form.leg.foot > form.leg.section ? "fix" : grade(share, "at least", 0.5, 0.35);
  return verdict({
    id: "form.taper",
    stage: "form",
    subject: ["leg"],
    level,
    text:
      form.leg.foot > form.leg.section
        ? "The foot is thicker than the leg"
        : `Legs taper to ${mm(at.leg.foot)} at the floor`,
    why: `The taper starts ${USUAL.taperBelow} mm below the rail so that the shoulders stay square; a foot under half the section looks pinched and dents floors.`,
    limit: at.leg.section / 2,
    actual: at.leg.foot,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Make the foot ${Math.round(at.leg.section * 0.6)} mm`,
              ["form", "leg", "foot"],
              Math.round(at.leg.section * 0.6),
            ),
          ],
  });
}

function longRailStiff({ form, at }: FormFacts): Verdict {
  const free = at.longRail.shoulder / (form.crossRails + 1);
  const level = grade(free, "at most", USUAL.longRailAlone, USUAL.longRailAlone * 1.5);
  return verdict({
    id: "form.cross-rails",
    stage: "form",
    subject: ["long-rail", "cross-rail"],
    level,
    text:
      level === "holds"
        ? `Long rails run ${mm(free)} between supports`
        : `Long rails run ${mm(free)} with nothing to keep them straight`,
    why: `A ${form.apron.thickness} mm rail bows sideways over more than about ${mm(USUAL.longRailAlone)}; a cross-rail also holds the middle of the top.`,
    limit: USUAL.longRailAlone,
    actual: Math.round(free),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Use ${form.crossRails + 1} cross-rail${form.crossRails ? "s" : ""}`,
              ["form", "crossRails"],
              form.crossRails + 1,
            ),
          ],
  });
}

function topWeight({ at, species, lift }: FormFacts): Verdict {
  const weight = topMass(at, species.density);
  const people = Math.max(1, Math.ceil(weight / lift));
  const level = people <= 2 ? "holds" : "tight";
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
      level === "holds" || at.top.thickness <= 28
        ? []
        : [set("Make the top 28 mm thick", ["form", "top", "thickness"], 28)],
  });
}

/** kg, from mm and kg/m³. */
export const topMass = (at: TableGeometry, density: number) =>
  (at.top.length * at.top.width * at.top.thickness * density) / 1e9;
