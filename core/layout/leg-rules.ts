/** Whether there is stock for the legs as they are made. */
import type { Make } from "../assembly/sort";
import { mm, set, Verdict, verdict } from "../verdict/verdict";
import type { CuttingFacts } from "./cutting-facts";
import { legsFrom } from "./leg-stock";

/** Ways to make a leg, as they are offered. */
const MADE_OF: [Make, string][] = [
  ["solid", "Use solid legs"],
  ["laminated", "Glue legs from two leaves"],
  ["three-leaves", "Glue legs from three leaves"],
  ["four-leaves", "Glue legs from four leaves"],
  ["core-faces", "Make legs of a core with four faces"],
  ["diagonal", "Saw legs at 45° from two boards"],
];

/** Pieces of one leg come from one board, whose rest is then too short for another: a count must leave one over. */
const ONE_BOARD: readonly Make[] = ["core-faces", "diagonal"];

const LEG_TEXT = {
  solid: "Legs come solid from the rack",
  laminated: "Legs are glued from two leaves",
  "three-leaves": "Legs are glued from three leaves",
  "four-leaves": "Legs are glued from four leaves",
  "core-faces": "Legs are a core with four resawn faces",
  diagonal: "Legs are sawn at 45° from two boards",
};

export function legStock({ piece, parts, missing, placed, rack, shop }: CuttingFacts): Verdict | null {
  const leg = parts.find((part) => part.id === "leg");
  const lacking = missing.filter((each) => each.part === "leg").length;
  if (!leg || (lacking === 0 && placed.every((each) => each.piece.part !== "leg"))) return null;
  const solid = piece.form.leg.make === "solid";

  return verdict({
    id: "cutting.legs",
    stage: "cutting",
    subject: ["leg"],
    level: lacking ? "fix" : "holds",
    text: lacking
      ? `No stock thick enough for ${lacking} leg piece${lacking > 1 ? "s" : ""}`
      : LEG_TEXT[piece.form.leg.make],
    why: solid
      ? `A solid leg needs ${mm(leg.finished.thickness)} after milling.`
      : `They need ${[...new Set(leg.stock.map((each) => mm(each.thickness)))].join(" and ")} after milling.`,
    remedies: lacking
      ? MADE_OF.filter(
          ([make]) =>
            make !== piece.form.leg.make &&
            legsFrom(make, { section: leg.finished, length: leg.rough.length }, rack, shop) >=
              leg.count + (ONE_BOARD.includes(make) ? 1 : 0),
        ).map(([make, label]) => set(label, ["form", "leg", "make"], make))
      : [],
  });
}
