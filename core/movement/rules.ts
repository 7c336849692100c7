/** Every rule of movement that any top has, in the order a maker would ask. */
import { fine, grade, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { endButtons, longButtonsDry, longButtonsWet } from "./button-rules";
import { outOfSquare } from "./cup";
import { acclimatised, formulaRange, outdoors, readingAge } from "./moisture-rules";
import { MOVEMENT_LIMITS, MovementFacts } from "./movement-facts";
import { SATURATION } from "./width";

/** Every rule of the movement stage. */
export const MOVEMENT_RULES: ((facts: MovementFacts) => Verdict | null)[] = [
  endButtons,
  longButtonsWet,
  longButtonsDry,
  acclimatised,
  readingAge,
  hungAtBack,
  overhangLeft,
  cups,
  square,
  formulaRange,
  outdoors,
];

/** A lid moves away from its hinges: what of the top is held is told for it. */
function hungAtBack({ piece, at }: MovementFacts): Verdict | null {
  if (!at.hung) return null;
  const told = piece.choices.fixedLine === at.hung;
  return verdict({
    id: "movement.hung",
    stage: "movement",
    subject: ["top"],
    level: told ? "holds" : "fix",
    text: told
      ? "Held by its hinges, the lid moves to the front alone"
      : "The lid is reckoned to move both ways, but hangs at the back",
    why: "Whatever it swells and shrinks across its grain is seen in front: that overhang must outlast the dry month.",
    remedies: told ? [] : [set("Reckon from its hinges", ["choices", "fixedLine"], at.hung)],
  });
}

function overhangLeft({ piece, top, at }: MovementFacts): Verdict | null {
  // posts up through the corners: their gaps are judged; ends that are panels shrink with the top, arms have a rule of their own
  if (at.through || (!at.flush && at.bearers.every(({ run }) => run === "aslant"))) return null;
  const today = at.keeps.side ? piece.form.overhang.side : (at.top.width - at.frame.width) / 2;
  const loss = piece.form.field === "slats" || piece.form.ends === "frame" ? 0 : Math.min(0, top.dry.change);
  const left = today + loss / (piece.choices.fixedLine === "centre" ? 2 : 1);
  const enough = Math.ceil((today + MOVEMENT_LIMITS.edgeLeft - left + 1) / 5) * 5;
  return verdict({
    id: "movement.overhang",
    stage: "movement",
    subject: ["top"],
    level: grade(left, "at least", MOVEMENT_LIMITS.edgeLeft, 0),
    text:
      left < 0
        ? `What stands below shows ${fine(-left)} past the edge in ${top.dry.name}`
        : `Side overhang is ${fine(left)} at its least, in ${top.dry.name}`,
    why: `From ${fine(today)} today; under ${MOVEMENT_LIMITS.edgeLeft} mm every small error shows, under nothing the base stands past the edge.`,
    limit: MOVEMENT_LIMITS.edgeLeft,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      left >= MOVEMENT_LIMITS.edgeLeft || !at.keeps.side
        ? []
        : [set(`Set the side overhang to ${enough} mm`, ["form", "overhang", "side"], enough)],
  });
}

function cups({ top, piece, slats }: MovementFacts): Verdict | null {
  if (slats) return null;
  const worstStrip = top.strips.reduce((a, b) => (cupOf(b) > cupOf(a) ? b : a));
  const cup = cupOf(worstStrip);
  const ripple = piece.choices.rings === "alternate" ? 2 * cup : cup;
  // without boards there is no ring to judge, only the wish to know
  const striped = worstStrip.kind !== undefined;
  const level =
    worstStrip.board || striped ? grade(cup, "at most", MOVEMENT_LIMITS.cup, 3 * MOVEMENT_LIMITS.cup) : "tight";
  return verdict({
    id: "movement.cup",
    stage: "movement",
    subject: worstStrip.board ? [`strip:${worstStrip.board}`] : ["top"],
    level,
    text:
      top.strips.length > 1
        ? `Ripples stay under ${fine(ripple)}, ${piece.choices.rings === "alternate" ? "rings alternated" : "best faces up"}`
        : worstStrip.board
          ? `${worstStrip.board} cups ${fine(cup)} at most`
          : "Boards are not chosen yet: rings taken as flat-sawn",
    why: worstStrip.board
      ? `${worstStrip.board}, ${fine(worstStrip.width)} wide, cups most by its own rings. Faces of unequal moisture would do ten times as much.`
      : striped
        ? `Strips ${fine(worstStrip.width)} wide and flat-sawn, turned about in turn: so narrow, each cups little.`
        : "Choose boards and each strip moves by its own rings.",
    limit: MOVEMENT_LIMITS.cup,
    actual: round1(cup),
    sense: "at most",
    unit: "mm",
    source: "derived: circular rings",
  });
}

/** Squareness of a leg whose rings run corner to corner, where the two shrinkages differ most. */
function square({ at, species, top }: MovementFacts): Verdict | null {
  const held = (moisture: number) => Math.min(SATURATION, moisture);
  const change = Math.max(
    Math.abs(held(top.dry.moisture) - held(top.start.value)),
    Math.abs(held(top.wet.moisture) - held(top.start.value)),
  );
  const [stick] = at.sticks;
  if (!stick) return null;
  const off = outOfSquare(species, 45, stick.section, change);
  return verdict({
    id: "movement.square",
    stage: "movement",
    subject: [stick.kind],
    level: grade(off, "at most", MOVEMENT_LIMITS.square, 2 * MOVEMENT_LIMITS.square),
    text: `${stick.said} go out of square by ${fine(off)} at most`,
    why: `With rings at 45° across ${mm(stick.section)} and ${round1(change)} % of change; rings square to a face keep it square.`,
    limit: MOVEMENT_LIMITS.square,
    actual: round1(off),
    sense: "at most",
    unit: "mm",
    source: "derived: (CT − CR) ΔM sin 2θ",
  });
}

const cupOf = (strip: { cupDry: number; cupWet: number }) => Math.max(Math.abs(strip.cupDry), Math.abs(strip.cupWet));
