import { isComposed, PieceGeometry } from "../construction/geometry";
import { legBand } from "../construction/posts";
import { shapedTop } from "../construction/top/outline";
import { panelNeed } from "../layout/candidates";
import type { ComposeInputs } from "../layout/compose";
import type { PanelToCompose } from "../layout/compose-all";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { Plan } from "../plan/derived";
import type { RackBoard } from "../stock/board";
import { woodOf } from "../wood/woods";
import { seenAsTop } from "./lens";
import { asBlank } from "./row";

/** How many near-best sets the search arranges before it is done. Ours. */
const SETS = 3000;

interface Composing {
  name: string;
  piece: Piece;
  at: PieceGeometry;
  species: string;
  rack: readonly RackBoard[];
  shop: Shop;
}

/** What the search for the top's boards reads; the same for any panel that stands in the top's place. */
export const toCompose = ({ name, piece, at, species, rack, shop }: Composing): ComposeInputs => ({
  ...{ name, rack, species, shop },
  need: panelNeed(at, shapedTop(piece.form.top, at)),
  frame: { width: at.core.width, ...legBand(at) },
  choice: piece.panels.top,
  rings: piece.choices.rings,
  sets: SETS,
  seed: 1,
});

/** Every panel of a piece that is composed from boards; slats are sawn one by one. */
export function panelsToCompose(
  piece: Piece,
  { geometry, species, woods, panels }: Pick<Plan, "geometry" | "species" | "woods" | "panels">,
  rack: readonly RackBoard[],
  shop: Shop,
): PanelToCompose[] {
  const composed = (id: string, name: string, seen: Pick<Composing, "piece" | "at" | "species">): PanelToCompose => ({
    ...{ id, name, inputs: toCompose({ ...seen, name, rack, shop }) },
  });
  const top = composed("top", "top", { piece, at: asBlank(geometry), species: species.id });
  const others = panels.map(({ place }) =>
    composed(place.id, place.name, {
      ...seenAsTop(piece, geometry, place),
      species: woodOf(woods, place.kind, species).id,
    }),
  );
  return isComposed(geometry.core) ? [top, ...others] : others;
}
