import { set, Verdict, verdict } from "../verdict/verdict";
import type { Placed } from "./cutting";
import type { CuttingFacts } from "./cutting-facts";
import type { RoughPiece } from "./sawing";

/** A saw's kerf is between two that follow one another; so much more is another place, mm. */
const NEXT = 0.5;

/** Whether the pieces of every row follow one another. */
export function rowsKept({ placed, pieces, shop }: CuttingFacts): Verdict | null {
  const groups = new Map<string, RoughPiece[]>();
  for (const each of pieces) if (each.row) groups.set(each.matched!, [...(groups.get(each.matched!) ?? []), each]);
  const all = [...groups.values()].flatMap((members) => {
    const lies = members.map(({ id }) => placed.findLast((each) => each.piece.id === id));
    return lies.every((each) => each !== undefined) ? [{ members, lies: lies as Placed[] }] : [];
  });
  if (all.length === 0) return null;
  const broken = all.find(({ lies }) =>
    lies.some((each, i) => {
      const before = lies[i - 1];
      return (
        before !== undefined &&
        (each.board !== before.board ||
          Math.abs(each.y - before.y) > NEXT ||
          Math.abs(each.x - before.x - before.piece.length - shop.kerf) > NEXT)
      );
    }),
  );
  const said = (members: readonly RoughPiece[]) => members.map(({ label }) => label).join(", ");
  return verdict({
    id: "cutting.rows",
    stage: "cutting",
    subject: (broken ?? all[0]).members.map(({ part }) => part),
    level: broken ? "tight" : "holds",
    text: broken
      ? `${said(broken.members)} come from ${broken.lies[0].board}, and not after one another`
      : `In their order along one board: ${all.map(({ members }) => said(members)).join("; ")}`,
    why: "The figure runs on over a row of fronts when they are crosscut from one stretch of one board, one after another.",
    remedies: broken ? [set("Take each from any board", ["form", "case", "drawers", "from"], "apart")] : [],
  });
}
