/** Rules of a table that opens on bought slides: whether they go in, how far they open, what they carry. */
import type { KindOfJoint } from "../../joinery/kinds";
import type { Brief, Form } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { fine, grade, Level, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";
import { bearing, SLIDE_CLEAR, slideRoom } from "./slides";

export interface PartingRuleFacts {
  form: Form;
  at: PieceGeometry;
  brief: Brief;
  joints: readonly KindOfJoint[];
  shop: Pick<Shop, "lift" | "lengthAllowance">;
  species: Species;
  /** the longest board of this wood on the rack, mm; 0 when there is none */
  longest: number;
  /** outer ends of what lies across the top below it, and their widths, mm */
  stiffeners: readonly number[];
}

/** A rule of a top in parts: its verdict, or null when it has nothing to judge. */
type Rule = (facts: PartingRuleFacts) => Verdict | null;
export const SLIDE_RULES: readonly Rule[] = [slidesGoIn, slidesOpen, slidesHidden, slidesCarry, slidesSag];

export const at = (...path: string[]) => ["form", "parting", ...path];

/** Slides lie between the ends of the frame when the table is closed. */
function slidesGoIn({ form, at: place }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const { closed } = form.parting.slides;
  const room = slideRoom(place).along - 2 * SLIDE_CLEAR;
  const level: Level = closed > room ? "fix" : "holds";
  const shorter = Math.floor(room / 50) * 50;
  return verdict({
    id: "form.table-slides",
    stage: "form",
    subject: ["top", ...bearing(place, "across")],
    level,
    text:
      level === "fix"
        ? `Slides ${mm(closed)} long are ${mm(round1(closed - room))} longer than the room between the end rails`
        : `Slides ${mm(closed)} long lie between the end rails`,
    why: `${mm(round1(room + 2 * SLIDE_CLEAR))} between the end rails with the table closed, ${mm(SLIDE_CLEAR)} free at each end.`,
    limit: Math.floor(room),
    actual: closed,
    sense: "at most",
    unit: "mm",
    remedies:
      level === "fix" && shorter >= 150
        ? [set(`Take slides ${mm(shorter)} long`, at("slides", "closed"), shorter)]
        : [],
  });
}

/** They open as far as all leaves are long. */
function slidesOpen({ form, at: place }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const { opens, leaf, leaves } = place.parting;
  const has = form.parting.slides.opens;
  const fewer = Math.floor(has / leaf);
  const level: Level = has < opens ? "fix" : "holds";
  return verdict({
    id: "form.table-slides-open",
    stage: "form",
    subject: ["top", "leaf"],
    level,
    text:
      level === "fix"
        ? `Slides that open ${mm(has)} can’t take ${leaves} ${leaves > 1 ? "leaves" : "leaf"} of ${mm(leaf)}`
        : `Slides open ${mm(has)}, the leaves need ${mm(opens)}`,
    why: `${leaves} × ${mm(leaf)}. A slide that is drawn to its stop carries least: some travel to spare is good.`,
    limit: has,
    actual: Math.round(opens),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Take slides that open ${mm(Math.ceil(opens))}`, at("slides", "opens"), Math.ceil(opens)),
            ...(fewer >= 1 ? [set(`Make ${fewer} ${fewer > 1 ? "leaves" : "leaf"}`, at("leaves"), fewer)] : []),
          ],
  });
}

/** Slides hang within the aprons' depth. */
function slidesHidden({ form, at: place }: PartingRuleFacts): Verdict | null {
  if (place.parting?.kind !== "leaves") return null;
  const { height } = form.parting.slides;
  const { depth } = form.apron;
  const level: Level = height > depth ? "tight" : "holds";
  return verdict({
    id: "form.table-slides-hidden",
    stage: "form",
    subject: bearing(place, "along"),
    level,
    text:
      level === "holds"
        ? `Slides ${mm(height)} high are hidden by the aprons`
        : `Slides ${mm(height)} high hang ${mm(height - depth)} below the aprons`,
    why: "Seen from a chair across the room, and felt by knees.",
    limit: depth,
    actual: height,
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make aprons ${height} mm deep`, ["form", "apron", "depth"], height)],
  });
}

/** A full dish stands in the middle of the open table, kg. @source common practice */
const SET_DOWN = 20;

/**
 * What the slides carry in the middle: all that lies between the legs of the open table works there as half its weight would.
 *
 * @source derived: an even load W over a span bends its middle by W L/8, a load P there by P L/4
 */
export function onSlides({ form, at: place, species }: Pick<PartingRuleFacts, "form" | "at" | "species">): {
  span: number;
  kg: number;
} {
  const { opens } = place.parting!;
  const { frame, top } = place;
  const span = frame.length - 2 * form.leg.section + opens;
  const rails = form.parting.apron || opens === 0 ? span : span - opens;
  const volume = span * top.width * top.thickness + 2 * rails * form.apron.depth * form.apron.thickness;
  return { span, kg: ((volume / 1e9) * species.density) / 2 + SET_DOWN };
}

function slidesCarry(facts: PartingRuleFacts): Verdict | null {
  const { form, at: place, species } = facts;
  if (place.parting?.kind !== "leaves") return null;
  const { kg } = onSlides(facts);
  const { carries } = form.parting.slides;
  const better = Math.ceil(kg / 10) * 10;
  const level = grade(kg, "at most", carries, 1.3 * carries);
  return verdict({
    id: "form.table-slides-load",
    stage: "form",
    subject: ["top", "leaf"],
    level,
    text: `Open, the slides carry about ${Math.round(kg)} kg in the middle; they are sold for ${Math.round(carries)} kg`,
    why: `Half of what lies between the legs, in ${species.name.toLowerCase()}, and ${SET_DOWN} kg set down on it. Nobody sits on an open table.`,
    limit: carries,
    actual: round1(kg),
    sense: "at most",
    unit: "kg",
    source: "derived: an even load bends as half of it does in the middle",
    remedies:
      level === "holds" || better > 500 ? [] : [set(`Take slides for ${better} kg`, at("slides", "carries"), better)],
  });
}

/** Sag that is seen, mm a m. @source common practice */
const SEEN = 1.7;

function slidesSag(facts: PartingRuleFacts): Verdict | null {
  const { form, at: place } = facts;
  if (place.parting?.kind !== "leaves") return null;
  const { span, kg } = onSlides(facts);
  const { sags, carries } = form.parting.slides;
  const sag = (sags * kg) / carries;
  const limit = (SEEN * span) / 1000;
  const level = grade(sag, "at most", limit, 2.5 * limit);
  const less = Math.floor(((limit * carries) / kg) * 2) / 2;
  return verdict({
    id: "form.table-slides-sag",
    stage: "form",
    subject: ["top", "leaf"],
    level,
    text: `Open, the middle sags ${fine(sag)}${level === "holds" ? ": nobody sees it" : ""}`,
    why: `Slides sag as they open: ${fine(sags)} under ${Math.round(carries)} kg as they are sold, less under less. Over ${mm(Math.round(span))} between the legs ${fine(limit)} begins to show; slips of veneer under the slides' middle ends lift it.`,
    limit: round1(limit),
    actual: round1(sag),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds" || less < 0.5
        ? []
        : [set(`Take slides that sag ${fine(less)} at most`, at("slides", "sags"), less)],
  });
}
