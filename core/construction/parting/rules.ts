/** Whether a top comes apart as it was chosen, and its slides carry what lies between its halves. */
import { openTop } from "./parting";
import { useOf } from "../../brief/uses";
import { longEnough } from "../base/one-blank";
import type { Seam } from "../../joinery/seam";
import { fine, grade, listed, mm, Remedy, round1, set, Verdict, verdict } from "../../verdict/verdict";
import { hindrance } from "./parting";
import { bearing } from "./slides";
import { at, PartingRuleFacts, SLIDE_RULES } from "./slide-rules";

export const PARTING_RULES: ((facts: PartingRuleFacts) => Verdict | null)[] = [
  canPart,
  comesFree,
  ...SLIDE_RULES,
  leafLifts,
  openInTheRoom,
  seamFree,
  seamWood,
  seamBorne,
  fromOneBlank,
];

const WHOLE = set("Leave the top whole", at("kind"), "none");

/** What was chosen is told where this piece can't have it. */
function canPart({ form }: PartingRuleFacts): Verdict | null {
  if (form.parting.kind === "none") return null;
  const why = hindrance(form);
  const leaves = form.parting.kind === "leaves";
  const middle = form.parting.kind === "middle";
  return verdict({
    id: "form.parting-can",
    stage: "form",
    subject: ["top"],
    level: why ? "fix" : "holds",
    text: why
      ? `The top can’t ${leaves ? "open for leaves" : middle ? "have a piece across its middle" : `be ${form.parting.kind} together from two`} as it is planned: it stays whole`
      : leaves
        ? `The top parts in its middle and opens for ${form.parting.leaves} ${form.parting.leaves > 1 ? "leaves" : "leaf"}`
        : middle
          ? `The top is two halves with a piece of ${mm(form.parting.middle.width)} across between them`
          : `The top is two halves, ${form.parting.kind} together in the middle`,
    why:
      why === "base"
        ? leaves
          ? "What stands below must part with it: only legs and aprons do."
          : "Its ends stand in the top: it can’t be in two."
        : why === "ends"
          ? "What holds the ends of its panel ties it across; a parted top has none."
          : why === "field"
            ? "Only a top of one panel is sawn in two: slats and stripes are not."
            : why === "outline"
              ? "A piece across ends with the straight edges beside it; curves and cut-outs it has none."
              : middle
                ? "Its grain crosses theirs: they move along its edges, and are glued to it in its middle only."
                : "It is sawn apart across the grain: both halves move alike, and their edges stay in line.",
    remedies: !why ? [] : why === "ends" ? [set("Take its ends off", ["form", "ends"], "none"), WHOLE] : [WHOLE],
  });
}

/** What would tie both halves of the frame. */
function comesFree({ form, at: place }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const ties: { name: string; remedy: Remedy }[] = [
    ...(form.crossRails > 0
      ? [{ name: "cross-rails", remedy: set("Leave the cross-rails out", ["form", "crossRails"], 0) }]
      : []),
    ...(form.middleLegs
      ? [{ name: "middle legs", remedy: set("Leave the middle legs out", ["form", "middleLegs"], false) }]
      : []),
    ...(form.low.kind !== "none" && form.low.kind !== "ends"
      ? [{ name: "low stretchers", remedy: set("Keep those at the ends only", ["form", "low", "kind"], "ends") }]
      : []),
    ...(form.shelf.kind !== "none"
      ? [{ name: "shelf", remedy: set("Leave the shelf out", ["form", "shelf", "kind"], "none") }]
      : []),
  ];
  const all: Remedy[] =
    ties.length > 1
      ? [{ label: "Leave out all that ties", patches: ties.flatMap(({ remedy }) => remedy.patches) }]
      : ties.map(({ remedy }) => remedy);
  return verdict({
    id: "form.parting-free",
    stage: "form",
    subject: ["top", ...bearing(place, "along")],
    level: ties.length > 0 ? "fix" : "holds",
    text:
      ties.length > 0
        ? `The ${listed(ties.map(({ name }) => name))} tie both halves of the frame: it can’t open`
        : "Nothing ties the two halves of the frame but the slides",
    why: "Each half stands on two legs with its end rail and two half rails, and goes with its half of the top.",
    remedies: all,
  });
}

/** One person lays a leaf. */
function leafLifts({ form, at: place, species, shop }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const { leaf, leaves } = place.parting;
  const { width, thickness } = place.core;
  const rails = form.parting.apron ? 2 * form.apron.depth * form.apron.thickness : 0;
  const kg = ((leaf * (width * thickness + rails)) / 1e9) * species.density;
  const level = grade(kg, "at most", shop.lift, 1.5 * shop.lift);
  const more = Math.max(leaves + 1, Math.ceil((kg * leaves) / shop.lift));
  const shorter = Math.ceil((leaf * leaves) / more);
  return verdict({
    id: "form.leaf-weight",
    stage: "form",
    subject: ["leaf"],
    level,
    text: `A leaf weighs ${kg.toFixed(1)} kg${level === "holds" ? ": one person lays it" : ""}`,
    why: `${mm(leaf)} by ${mm(width)}, ${fine(thickness)} thick${rails > 0 ? ", with its rails" : ""}; one person lifts about ${shop.lift} kg here. Leaves are kept flat, in the air of the table's own room: elsewhere they grow wider or narrower than it.`,
    limit: shop.lift,
    actual: round1(kg),
    sense: "at most",
    unit: "kg",
    remedies:
      level === "holds" || more > 6 || shorter < 80
        ? []
        : [
            {
              label: `Make ${more} leaves of ${mm(shorter)}`,
              patches: [
                { path: at("leaves"), value: more },
                { path: at("leaf"), value: shorter },
              ],
            },
          ],
  });
}

/** Open, it still goes into its room. */
function openInTheRoom({ form, at: place, brief }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const { around } = useOf(form);
  const { leaf } = place.parting;
  const open = openTop(form).length;
  const have = (brief.room.length - open) / 2;
  const least = around?.least ?? 0;
  const fewer = Math.floor((brief.room.length - 2 * least - form.top.length) / leaf);
  const level = grade(have, "at least", least, Math.max(0, least - 300));
  return verdict({
    id: "brief.clear-open",
    stage: "brief",
    subject: ["room", "leaf"],
    level,
    text:
      have < 0
        ? `Open, the table is ${mm(-2 * have)} longer than the room`
        : `Open it is ${mm(open)} long: ${mm(have)} from its ends to the wall`,
    why: `With all its leaves in; ${mm(least)} let somebody get up at its ends. Some squeeze at a party.`,
    limit: least,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || fewer < 1
        ? []
        : [set(`Make ${fewer} ${fewer > 1 ? "leaves" : "leaf"}`, at("leaves"), fewer)],
  });
}

/** Nothing is let in or screwed on so near the seam, mm. @source common practice */
const CLEAR = 40;

function seamFree({ form, at: place, stiffeners }: PartingRuleFacts): Verdict | null {
  if (!place.parting) return null;
  const near = (x: number, long: number) => Math.abs(x) - long / 2 < CLEAR;
  const cut = form.top.cutouts.find(({ x, length }) => near(x, length));
  const inlay = form.top.inlays.find(({ length, places }) => places.some(({ x }) => near(x, length)));
  const plate =
    form.kind === "bought" &&
    place.bearers.some(({ aslant, at: x, run, thickness }) =>
      near(aslant ? aslant.x : run === "across" ? x : 0, thickness),
    );
  const stiff = stiffeners.some((x) => Math.abs(x) < CLEAR);
  const what = cut
    ? `cut-out “${cut.name}”`
    : inlay
      ? `inlay “${inlay.name}”`
      : plate
        ? "plate in the middle"
        : "stiffener in the middle";
  const bad = cut !== undefined || inlay !== undefined || plate || stiff;
  return verdict({
    id: "form.parting-seam",
    stage: "form",
    subject: ["top"],
    level: bad ? "fix" : "holds",
    text: bad ? `The ${what} lies across the seam of the halves` : "Nothing lies across the seam of the halves",
    why: `Whatever is let into the top or screwed below it stays ${mm(CLEAR)} off the line where it parts.`,
    remedies: bad
      ? stiff && !cut && !inlay && !plate && form.stiffener === "channels" && form.channel.count < 6
        ? [set(`Use ${form.channel.count + 1} channels`, ["form", "channel", "count"], form.channel.count + 1)]
        : [WHOLE]
      : [],
  });
}

/** What pins and connectors leave of the halves. */
function seamWood({ form, at: place, joints }: PartingRuleFacts): Verdict | null {
  const joint = joints.find((each): each is Seam => each.kind === "seam");
  if (!place.parting || !joint) return null;
  const worst = joint.walls.reduce((a, b) => (b.left - b.good < a.left - a.good ? b : a));
  const level = grade(worst.left, "at least", worst.good, worst.least);
  const thicker = Math.ceil(form.top.thickness + 2 * (worst.good - worst.left));
  return verdict({
    id: "joints.seam",
    stage: "joints",
    subject: ["top"],
    level,
    text: `${fine(worst.left)} of top stay ${worst.where}`,
    why: `${joint.pins} pins of ${mm(joint.pin)} keep each seam level${joint.connectors > 0 ? `, ${joint.connectors} connectors draw it shut` : ""}; under ${mm(worst.least)} the wood lifts or cracks.`,
    limit: worst.good,
    actual: round1(worst.left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || thicker > 150
        ? []
        : [set(`Make the top ${thicker} mm thick`, ["form", "top", "thickness"], thicker)],
  });
}

/** End grain glued to end grain bends open: what is below must bear the seam. */
function seamBorne({ form, at: place }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "glued" && place.parting?.kind !== "middle") return null;
  const along = place.bearers.filter(({ run, length, middle = 0 }) => run === "along" && Math.abs(middle) < length / 2);
  const across = place.bearers.some(({ run, at: x }) => run === "across" && Math.abs(x) < CLEAR);
  const borne = across || along.length > 1;
  const crossRail = form.kind === "leg-and-apron" && form.crossRails % 2 === 0;
  return verdict({
    id: "form.parting-borne",
    stage: "form",
    subject: ["top"],
    level: borne ? "holds" : "fix",
    text: borne
      ? "What is below bears both halves at the seam"
      : place.parting.kind === "middle"
        ? "Nothing bears the seams: they break when somebody leans on the middle piece"
        : "Nothing bears the seam: glued end to end it breaks when somebody leans on it",
    why: `${place.parting.kind === "middle" ? "Glued in its middle only, the piece across is held level by its tenons and little more." : "End grain holds hardly a quarter of what an edge does; its loose tenons keep the faces level and little more."} Rails along both sides, or one across below it, take the load.`,
    remedies: borne
      ? []
      : [...(crossRail ? [set("Put a cross-rail below it", ["form", "crossRails"], form.crossRails + 1)] : []), WHOLE],
  });
}

/** Halves and leaves in a row want boards as long as all of them. */
function fromOneBlank({ form, at: place, longest, shop }: PartingRuleFacts): Verdict | null {
  if (!place.parting || !place.row || form.parting.blank === "apart") return null;
  const apart = set("Compose halves and leaves each from their own boards", at("blank"), "apart");
  return longEnough(place.row, { longest, allowance: shop.lengthAllowance }, apart);
}
