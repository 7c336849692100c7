import { seeded } from "../units/seeded";
import type { PanelChoice, Piece, Strip } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import { prizedBoards } from "../stock/prized";
import { bestOrder, PanelFrame, TOO_SHORT } from "./arrange";
import { Candidate, NARROWEST_STRIP, panelCandidates, PanelNeed, WIDEST_STRIP } from "./candidates";
import { cheapestCover, setsWithin } from "./cover";

/** Waste that may be spent on a better looking panel, as a share of the least waste there is. Ours: below what a saw cut varies. */
export const BEAUTY_BUDGET = 0.025;
const STRIPS_AT_MOST = 16;

export interface ComposeInputs {
  /** how a sentence calls the panel, such as "top" */
  name: string;
  rack: readonly RackBoard[];
  species: string;
  need: PanelNeed;
  shop: Shop;
  frame: PanelFrame;
  choice: PanelChoice;
  rings: Piece["choices"]["rings"];
  /** how many near-best sets of boards are arranged before it is done */
  sets: number;
  seed: number;
}

export interface Composed {
  strips: Strip[];
  /** mm³ of rough wood used up, what the panel holds of it, and the least any set of these boards can use */
  cost: number;
  net: number;
  bound: number;
  fault: number;
  tried: number;
  done: boolean;
}

/** Why no panel can be made, as a sentence with the fix. */
export type NoPanel = { none: string };

/**
 * Composes a panel from real boards: least rough wood first, proved by an exact cover of the width; then, among sets within
 * {@link BEAUTY_BUDGET} of the least waste, the one whose order looks best. Yields the best so far as it goes.
 *
 * @returns the last yield has `done: true`; the same inputs and seed always give the same panel
 */
export function* composePanel(inputs: ComposeInputs): Generator<Composed | NoPanel, void> {
  const { candidates, unfit } = panelCandidates(inputs.rack, inputs.species, inputs.need, {
    shop: inputs.shop,
    choice: inputs.choice,
  });
  const pinned = candidates.filter((each) => inputs.choice.pinned.includes(each.board.id));
  const free = candidates
    .filter((each) => !pinned.includes(each))
    .sort((a, b) => b.width - a.width || (a.board.id < b.board.id ? -1 : 1));
  const open = inputs.need.width - pinned.reduce((sum, each) => sum + each.width, 0);
  const fixed = pinned.reduce((sum, each) => sum + each.cost, 0);
  const most = Math.min(STRIPS_AT_MOST, Math.ceil(inputs.need.width / NARROWEST_STRIP)) - pinned.length;
  const cover = cheapestCover(free, open, Math.max(0, most));
  if (!Number.isFinite(cover.best)) {
    yield { none: shortfall(inputs, candidates, unfit.length) };
    return;
  }

  const net = inputs.need.length * inputs.need.width * inputs.need.thickness;
  const bound = fixed + cover.best;
  const budget = cover.best + BEAUTY_BUDGET * (bound - net);
  const random = seeded(inputs.seed);
  const frame: PanelFrame = {
    ...inputs.frame,
    prized: prizedBoards(inputs.rack, inputs.species)
      .map((board) => board.id)
      .filter((id) => !inputs.choice.pinned.includes(id)),
    ...(inputs.need.outline && { curve: { outline: inputs.need.outline, over: inputs.shop.lengthAllowance } }),
  };
  let best: Composed | null = null;
  let tried = 0;
  let looked = 0;
  for (const set of setsWithin(free, cover, budget, inputs.sets)) {
    const all = [...pinned, ...set];
    const found = bestOrder(all, frame, random);
    tried += found.tried;
    looked += 1;
    if (found.fault < TOO_SHORT && (!best || found.fault < best.fault - 1e-9)) {
      best = {
        strips: laid(found.order, inputs.rings),
        cost: all.reduce((sum, each) => sum + each.cost, 0),
        net,
        bound,
        fault: found.fault,
        tried,
        done: false,
      };
    }
    if (best && looked % 50 === 0) yield { ...best, tried };
  }
  yield best
    ? { ...best, tried, done: true }
    : {
        none: `None of the ${looked} sets of boards that cover ${Math.ceil(inputs.need.width)} mm has boards long enough for the middle of this outline. Shorten the ${inputs.name}, or buy a board of ${Math.ceil(inputs.need.length + inputs.shop.lengthAllowance)} mm.`,
      };
}

/** Strips with their faces by the chosen school: rings alternated, or the bark side up throughout, which shows the better face. */
function laid(order: readonly Candidate[], rings: ComposeInputs["rings"]): Strip[] {
  return order.map(({ board, slide }, i) => ({
    board: board.id,
    face: rings === "alternate" && i % 2 === 1 ? "bark-down" : "bark-up",
    turned: false,
    slide,
    width: null,
  }));
}

function shortfall(
  { name, need, shop, species, rack }: ComposeInputs,
  candidates: readonly Candidate[],
  unfit: number,
): string {
  const mine = rack.filter((board) => board.species === species).length;
  const width = candidates.reduce((sum, each) => sum + each.width, 0);
  if (mine === 0)
    return "No board of this species is on the rack. Choose another species, or add boards on the rack page.";
  if (candidates.length === 0)
    return `None of the ${mine} boards gives a strip ${Math.ceil(need.length + shop.lengthAllowance)} mm long and ${need.thickness} mm thick. Shorten or thin the ${name}, or buy boards.`;
  return `The ${candidates.length} boards that are long and thick enough add up to ${Math.floor(width)} mm; the ${name} needs ${Math.ceil(need.width)} mm. ${unfit} more are too short, too thin or taken. Narrow the ${name}, or buy ${Math.ceil((need.width - width) / WIDEST_STRIP) || 1} more.`;
}
