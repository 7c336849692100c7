/** Rules of a piece whose grain crosses that of the halves beside it: how far they slide along it, and how it parts them. */
import { floatsAlong, spread } from "../joinery/floating";
import { fine, Level, set, Verdict, verdict } from "../verdict/verdict";
import { woodOf } from "../wood/woods";
import { boardCoefficient } from "./coefficient";
import type { MovementFacts } from "./movement-facts";
import { widthChange } from "./width";
import { travel, UNKNOWN_RINGS } from "./year";

/** A slot keeps so much beyond what its tenon travels; edges that stand apart by more are felt, mm. @source common practice */
const SLIDES = { left: 0.5, least: 0, felt: 2 };
const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;

export const MIDDLE_RULES: ((facts: MovementFacts) => Verdict | null)[] = [middleHeld, middleSlides, middleEdges];

/** It is glued in its middle: the top has to stay there too. */
function middleHeld({ at, piece }: MovementFacts): Verdict | null {
  if (at.parting?.kind !== "middle") return null;
  const centre = piece.choices.fixedLine === "centre";
  return verdict({
    id: "movement.middle-line",
    stage: "movement",
    subject: ["middle-piece", "top"],
    level: centre ? "holds" : "fix",
    text: centre
      ? "Middle piece and halves stay where they are in the middle of the top"
      : "The top is held at an edge, and the middle piece in its middle",
    why: "Glue holds it to both halves about its middle: from there they go out and in along its edges, both ways alike.",
    remedies: centre ? [] : [set("Hold the top in its middle", ["choices", "fixedLine"], "centre")],
  });
}

/** Each outermost tenon goes with the middle piece, its mortise with the half. */
function middleSlides({ at, top, piece }: MovementFacts): Verdict | null {
  if (at.parting?.kind !== "middle") return null;
  const { slide } = piece.form.parting.middle;
  const line = at.core.width / 2;
  const places = floatsAlong(spread(at.core.width, slide));
  const ways = places.flatMap((from) => Object.values(travel(top, from, line)));
  const far = Math.max(...ways.map(Math.abs));
  const left = slide - far;
  const level: Level = left < SLIDES.least ? "fix" : left < SLIDES.left ? "tight" : "holds";
  const wanted = half(far + SLIDES.left);
  return verdict({
    id: "movement.middle",
    stage: "movement",
    subject: ["middle-piece", "top"],
    level,
    text:
      level === "holds"
        ? `Its tenons slide ${fine(far)} in slots that let them go ${fine(slide)}`
        : level === "tight"
          ? `Its outer tenons come within ${fine(left)} of their slots’ ends`
          : `Its outer tenons want ${fine(far)} each way and have ${fine(slide)}: the halves split beside them`,
    why: `The halves move across their grain, the middle piece keeps its length. From the middle to the outermost tenon are ${fine(line - places[0])}.`,
    limit: Math.round(far * 10) / 10,
    actual: slide,
    sense: "at least",
    unit: "mm",
    source: "derived: travel of the tenon’s place from the middle",
    remedies:
      level === "holds" || wanted > 20
        ? []
        : [set(`Let them slide ${fine(wanted)}`, ["form", "parting", "middle", "slide"], wanted)],
  });
}

/** What opens: its ends stand apart from the edges beside them, and the table grows by what it moves itself. */
function middleEdges({ at, top, species, woods }: MovementFacts): Verdict | null {
  if (at.parting?.kind !== "middle") return null;
  const { dry, wet } = travel(top, 0, at.core.width / 2);
  const apart = Math.max(Math.abs(dry), Math.abs(wet));
  const wood = woodOf(woods, "middle-piece", species);
  const coefficient = boardCoefficient(wood, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  const grows = [top.dry, top.wet].map(({ moisture }) =>
    widthChange(at.parting!.middle, coefficient, top.start.value, moisture),
  );
  return verdict({
    id: "movement.middle-edges",
    stage: "movement",
    subject: ["middle-piece", "top"],
    level: apart > SLIDES.felt ? "tight" : "holds",
    text: `Its ends stand ${fine(Math.max(0, -dry, -wet))} proud of the edges in ${top.dry.name}, ${fine(Math.max(0, dry, wet))} behind them in ${top.wet.name}`,
    why: `Along its length it hardly moves. Across it, along the table, it goes from ${fine(grows[0])} to ${fine(grows[1])}: one half is free to follow, and the seams stay shut about the glue; further out they open a hair in the dry.`,
    limit: SLIDES.felt,
    actual: Math.round(apart * 10) / 10,
    sense: "at most",
    unit: "mm",
    remedies: [],
  });
}
