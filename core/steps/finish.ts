/** Coats of the finish: on the top and what is finished like it, and on every kind of part that has a finish of its own. */
import { listed } from "../verdict/verdict";
import { differing } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import { Step, stepOf as step, TIME } from "./step";

export const COATS: Record<Piece["finish"], { name: string; coats: number; dry: number; cure: number; oily: boolean }> =
  {
    "oil-wax": { name: "oil-wax", coats: 2, dry: 12, cure: 7 * 24, oily: true },
    oil: { name: "oil", coats: 3, dry: 24, cure: 14 * 24, oily: true },
    "tung-oil": { name: "tung oil", coats: 4, dry: 24, cure: 14 * 24, oily: true },
    wax: { name: "wax", coats: 2, dry: 4, cure: 24, oily: true },
    varnish: { name: "varnish", coats: 3, dry: 16, cure: 7 * 24, oily: false },
    lacquer: { name: "water-based lacquer", coats: 3, dry: 4, cure: 3 * 24, oily: false },
    shellac: { name: "shellac", coats: 4, dry: 3, cure: 4 * 24, oily: false },
    bare: { name: "nothing", coats: 0, dry: 0, cure: 0, oily: false },
  };

interface Finished {
  steps: Step[];
  /** the last step of each finish: the top goes on after them */
  last: string[];
  /** until all have cured, hours */
  cure: number;
}

/** @param seen  kinds of part beside the top; `closed`: steps after which the base can be finished; `names`: kinds as a sentence has several of them */
export function finishSteps(
  piece: Pick<Piece, "finish" | "faces" | "kinds">,
  {
    top,
    seen,
    closed,
    names,
  }: { top: readonly string[]; seen: readonly string[]; closed: readonly string[]; names: ReadonlyMap<string, string> },
): Finished {
  const own = new Map(
    differing(piece).flatMap(([kind, { finish }]) => (finish === null ? [] : [[kind, finish] as const])),
  );
  const finishes = [...new Set([piece.finish, ...seen.map((kind) => own.get(kind) ?? piece.finish)])];
  const below = {
    alike: ["Both faces of the top alike", ""],
    "one-coat": ["The upper face", "; one coat only below the top"],
    bare: ["The upper face", "; nothing below the top"],
  }[piece.faces.below];
  const steps: Step[] = [];
  const last: string[] = [];
  for (const finish of finishes) {
    const coats = COATS[finish];
    const usual = finish === piece.finish;
    const kinds = seen.filter((kind) => (own.get(kind) ?? piece.finish) === finish);
    const id = usual ? "coat" : `coat-${finish}`;
    const on = listed(kinds.map((kind) => names.get(kind) ?? kind));
    const first =
      finishes.length === 1
        ? `${below[0]}${kinds.length === 0 ? "" : `${below[1] ? "" : ","} and the base`}${below[1]}.`
        : `${below[0]}${on ? ` and the ${on}` : ""}${below[1]}.`;
    for (let coat = 1; coat <= coats.coats; coat += 1)
      steps.push(
        step({
          id: `${id}-${coat}`,
          title: `Coat ${coat} of ${coats.name}${usual || kinds.length === 0 ? "" : ` on the ${on}`}`,
          detail: coat > 1 ? "Rub down lightly first." : usual ? first : "Masked from what has another finish.",
          parts: [...(usual ? top : []), ...kinds],
          after: coat === 1 ? [...(usual ? ["sand-top"] : []), ...closed] : [`${id}-${coat - 1}`],
          hours: (usual ? 2 : 1) * TIME.coat,
          wait: coats.dry,
          waitFor: "the coat to dry",
          caution: coats.oily ? "Spread oily rags out flat: heaped they catch fire." : "",
        }),
      );
    if (coats.coats > 0) last.push(`${id}-${coats.coats}`);
    else if (usual) last.push("sand-top");
  }
  return { steps, last, cure: Math.max(...finishes.map((finish) => COATS[finish].cure)) };
}
