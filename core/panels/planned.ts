import type { PanelPlace, PieceGeometry } from "../construction/geometry";
import { Candidate, jointLines, Unfit } from "../layout/candidates";
import type { TopMovement } from "../movement/year";
import type { LaidStrip } from "../stock/panel-facts";
import { kindsOf } from "./row";

/** A panel beside the top as it is planned. */
export interface PlannedPanel {
  place: PanelPlace;
  laid: LaidStrip[];
  lines: number[];
  candidates: { board: string; width: number; slide: number }[];
  unfit: { board: string; reason: string }[];
  top: TopMovement;
}

interface Composed {
  place: PanelPlace;
  at: PieceGeometry;
  found: { candidates: Candidate[]; unfit: Unfit[] };
  laid: LaidStrip[];
}

export const plannedPanel = ({ place, at, found, laid }: Composed, top: TopMovement): PlannedPanel => ({
  place,
  laid,
  lines: jointLines(
    laid.map((each) => each.full),
    at.core.width,
  ),
  candidates: found.candidates.map(({ board, width, slide }) => ({ board: board.id, width, slide })),
  unfit: found.unfit.map(({ board, reason }) => ({ board: board.id, reason })),
  top,
});

/** What a plan knows of its panels. */
type Panels = {
  panel: { laid: LaidStrip[] };
  panels: readonly PlannedPanel[];
  geometry: Pick<PieceGeometry, "row">;
};

/** Strips laid for a kind of part: those of every panel that becomes one. */
export const laidFor = ({ panel, panels, geometry }: Panels, kind: string): LaidStrip[] => [
  ...(kindsOf("top", geometry.row).includes(kind) ? panel.laid : []),
  ...panels.filter(({ place }) => kindsOf(place.kind, place.row).includes(kind)).flatMap(({ laid }) => laid),
];

/** Strips of all panels, the top's first. */
export const allLaid = ({ panel, panels }: Omit<Panels, "geometry">): LaidStrip[] => [
  ...panel.laid,
  ...panels.flatMap(({ laid }) => laid),
];
