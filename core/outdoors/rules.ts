/** What the weather asks of a piece that stands outdoors under a roof. */
import type { PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { Species } from "../wood/species";
import { durabilityOf, stainsIron } from "./durability";

export interface OutdoorFacts {
  piece: Piece;
  at: PieceGeometry;
  species: Species;
}

/** Limits outdoors. @source common practice, save where said */
export const OUTDOORS = {
  /** EN 350 class that stands under a roof, use class 2 to 3.1, EN 335, from memory */
  durability: { good: 3, least: 4 },
  /** months until a finish must be renewed */
  renewal: { good: 12, least: 6 },
  /** between slats, mm: less and the drop hangs in the gap */
  gap: { good: 5, least: 3 },
  /** end grain over the floor, mm */
  clear: { good: 5, least: 2 },
};

/** Months a finish lasts in the open under a roof; Infinity: nothing to renew. @source common practice */
const LASTS: Record<Piece["finish"], number> = {
  "tung-oil": 18,
  oil: 12,
  varnish: 24,
  "oil-wax": 6,
  lacquer: 6,
  wax: 2,
  shellac: 1,
  bare: Infinity,
};

/** Glides or pads under feet, mm. @source common practice */
export const GLIDES = 5;

const outdoors = ({ piece }: OutdoorFacts) => piece.brief.place === "porch";

export const OUTDOOR_RULES: ((facts: OutdoorFacts) => Verdict | null)[] = [
  (facts) => (outdoors(facts) ? durable(facts) : null),
  (facts) => (outdoors(facts) ? finishLasts(facts) : null),
  (facts) => (outdoors(facts) ? runsOff(facts) : null),
  (facts) => (outdoors(facts) ? offTheFloor(facts) : null),
  (facts) => (outdoors(facts) ? fastenings(facts) : null),
];

function durable({ species }: OutdoorFacts): Verdict {
  const found = durabilityOf(species.id);
  const { good, least } = OUTDOORS.durability;
  const level = found === null ? "tight" : grade(found, "at most", good, least);
  return verdict({
    id: "form.durability",
    stage: "form",
    subject: ["top"],
    level,
    text:
      found === null
        ? `Nobody has classed ${species.name.toLowerCase()} for outdoors here`
        : level === "holds"
          ? `${species.name} is of durability class ${found}: it stands outdoors under a roof`
          : `${species.name} is of durability class ${found}: ${level === "fix" ? "it rots" : "it stands only where it dries at once"}`,
    why: `Classes run from 1, very durable, to 5; ${good} stands under a roof. That is heartwood: sapwood of any rots, so none is left in it.`,
    ...(found === null ? {} : { limit: good, actual: found, sense: "at most" as const, unit: "class" }),
    source: "EN 350, and Wood Handbook FPL-GTR-282 table 14-1, from memory",
    remedies:
      level === "holds"
        ? []
        : [
            set("Make it of European larch", ["species"], "european-larch"),
            set("Make it of European oak", ["species"], "european-oak"),
          ],
  });
}

function finishLasts({ piece }: OutdoorFacts): Verdict {
  const months = LASTS[piece.finish];
  const { good, least } = OUTDOORS.renewal;
  const level = grade(months, "at least", good, least);
  return verdict({
    id: "form.finish-outdoors",
    stage: "form",
    subject: ["top"],
    level,
    text: Number.isFinite(months)
      ? `This finish is renewed every ${months === 1 ? "month" : `${months} months`} outdoors`
      : "Left bare it greys, and nothing needs renewing",
    why:
      piece.finish === "varnish"
        ? "A film lasts longest and ends worst: once it cracks, water stands under it and all must be scraped off."
        : "An oil is wiped on again when drops no longer stand on it; wax and shellac are not made for rain.",
    ...(Number.isFinite(months) ? { limit: good, actual: months, sense: "at least" as const, unit: "months" } : {}),
    remedies: level === "holds" ? [] : [set("Finish it with tung oil", ["finish"], "tung-oil")],
  });
}

function runsOff({ piece }: OutdoorFacts): Verdict {
  const { form } = piece;
  const gap = form.field === "slats" ? form.slats.gap : 0;
  const { good, least } = OUTDOORS.gap;
  const level = form.field === "slats" ? grade(gap, "at least", good, least) : "tight";
  return verdict({
    id: "form.water",
    stage: "form",
    subject: ["top"],
    level,
    text:
      form.field !== "slats"
        ? form.ends === "frame"
          ? "A groove round the panel holds water"
          : "Water stands on a closed top"
        : level === "holds"
          ? `Water runs off between the slats, ${mm(gap)} apart`
          : `Drops hang between slats only ${mm(gap)} apart`,
    why: "What dries within a day lasts; what stays wet rots. Upper edges are eased 2 mm, so that a coat stays on them.",
    limit: good,
    actual: gap,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : form.field === "slats"
          ? [set(`Lay the slats ${good} mm apart`, ["form", "slats", "gap"], good)]
          : [
              {
                label: `Make the top of slats ${good} mm apart`,
                patches: [
                  { path: ["form", "field"], value: "slats" },
                  { path: ["form", "slats", "gap"], value: Math.max(good, form.slats.gap) },
                ],
              },
            ],
  });
}

function offTheFloor({ piece }: OutdoorFacts): Verdict {
  const lies = piece.form.kind === "trestle" && !piece.form.trestle.foot.pads;
  const clear = lies ? 0 : GLIDES;
  return verdict({
    id: "form.feet-outdoors",
    stage: "form",
    subject: [piece.form.kind === "trestle" ? "foot" : "leg"],
    level: grade(clear, "at least", OUTDOORS.clear.good, OUTDOORS.clear.least),
    text: lies
      ? "Feet lie flat on a wet floor"
      : piece.form.kind === "trestle"
        ? "Pads keep the feet off the floor"
        : `Legs stand ${GLIDES} mm off the floor on glides, their end grain sealed`,
    why: "End grain drinks ten times what a face does: it is soaked with thin epoxy when the feet are levelled, and stands clear of the floor.",
    limit: OUTDOORS.clear.good,
    actual: clear,
    sense: "at least",
    unit: "mm",
    remedies: lies ? [set("Let pads into the feet", ["form", "trestle", "foot", "pads"], true)] : [],
  });
}

/** Nothing here is of plain steel outdoors: the steps ask for what lasts, and this says why. */
function fastenings({ species, piece }: OutdoorFacts): Verdict {
  const stains = stainsIron(species.id);
  const clips = piece.joints.fastening === "z-clip" || piece.joints.fastening === "figure-8";
  return verdict({
    id: "form.fastenings-outdoors",
    stage: "form",
    subject: ["top"],
    level: clips ? "tight" : "holds",
    text: clips
      ? "Bought clips and plates are plated steel: outdoors they rust"
      : stains
        ? `Stainless screws: plain steel blackens ${species.name.toLowerCase()}`
        : "Stainless screws: plain steel rusts and swells",
    why: "A2 stainless inland, A4 by the sea; brass breaks as it is driven, plating lasts a year or two.",
    remedies: clips ? [set("Hold it with wooden buttons", ["joints", "fastening"], "button")] : [],
  });
}
