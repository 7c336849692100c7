/** What must be true of every piece the schema takes. */
import { freshPiece } from "../../core/piece/fresh";
import type { Piece } from "../../core/piece/schema";
import type { Shop } from "../../core/piece/shop";
import { Plan, planPiece } from "../../core/plan";
import type { RackBoard } from "../../core/stock/board";
import { differences } from "../../ui/piece/differences";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP, TODAY } from "./pieces";
import { nonsenseIn, scenesOf, wordsOf } from "./shown";

/** How many draws a test makes; DRAWS sets another number for all of them. */
export const drawsOf = (usual: number) => Number(process.env.DRAWS ?? usual);

export const timed = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

/** The median time of planning the demo's pieces from nothing, ms. */
export function usualTime(): number {
  const times = DEMO_PIECES.map((piece) =>
    timed(() => planPiece({ piece, shop: DEMO_SHOP, rack: DEMO_RACK, ownSpecies: [], today: TODAY })),
  ).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)];
}

/** What sets a drawn piece, shop and rack apart from the demo piece it is nearest to: enough to draw it again by hand. */
export function oddIn({ piece, shop, rack }: Drawn): string {
  const bases = [freshPiece(piece.name, TODAY), ...DEMO_PIECES].map((base) => differences(base, piece));
  const nearest = bases.reduce((a, b) => (b.length < a.length ? b : a));
  const odd = rack.filter((board) => !DEMO_RACK.some((each) => each.id === board.id && each.length === board.length));
  return JSON.stringify(
    {
      piece: nearest.map((each) => `${each.field}: ${each.mine}`),
      shop: differences(DEMO_SHOP, shop).map((each) => `${each.field}: ${each.mine}`),
      boards: rack.length === 0 ? "none" : odd,
    },
    null,
    1,
  );
}

/** A mark that two pieces of wood would carry: on the bench nobody could tell them apart. */
function markedTwice({ parts }: Plan): string | null {
  const kinds = new Map<string, string>();
  for (const { id, marks } of parts)
    for (const mark of marks) {
      if (kinds.has(mark)) return `${mark}: ${kinds.get(mark)} and ${id}`;
      kinds.set(mark, id);
    }
  return null;
}

interface Drawn {
  piece: Piece;
  shop: Shop;
  rack: readonly RackBoard[];
}

export const planOfDrawn = (drawn: Drawn): Plan => planPiece({ ...drawn, ownSpecies: [], today: TODAY });

/** The first thing wrong with what a piece plans and draws, as a sentence; null when all is well. */
export function faultOf(drawn: Drawn, plan = planOfDrawn(drawn)): string | null {
  const { piece, shop } = drawn;
  if (plan.failures.length > 0) return plan.failures.map((each) => `${each.stage}: ${each.stack}`).join("\n");
  const twice = markedTwice(plan);
  if (twice) return `two kinds of part carry the mark ${twice}`;
  const odd = nonsenseIn(plan);
  if (odd.length > 0) return odd.join("; ");
  for (const scene of scenesOf(plan, piece, shop)) {
    const wrong = nonsenseIn(scene, scene.id);
    if (wrong.length > 0) return wrong.join("; ");
    if (!(scene.bounds.w > 0 && scene.bounds.h > 0)) return `${scene.id} is ${scene.bounds.w} by ${scene.bounds.h}`;
  }
  // room that has no end is a word of its own there
  const said = nonsenseIn(
    wordsOf(plan, piece).map((each) => JSON.parse(JSON.stringify(each) ?? "null")),
    "words",
  );
  return said.length > 0 ? said.join("; ") : null;
}
