"use client";
import { ReactNode, useCallback, useMemo } from "react";
import { changed, seenAsTop } from "../../core/panels/lens";
import type { PlannedPanel } from "../../core/panels/planned";
import { asBlank } from "../../core/panels/row";
import type { Patch } from "../../core/piece/patch";
import { woodOf } from "../../core/wood/woods";
import { PieceContext, usePiece } from "./PieceProvider";

/** A panel beside the top in its place, for what is inside: whatever is shown and changed there is this panel's. */
export function PanelLens({ panel, children }: { panel: PlannedPanel; children: ReactNode }) {
  const open = usePiece();
  const { piece, plan, edit } = open;
  const { place, laid, lines, candidates, unfit, top } = panel;
  const through = useCallback(
    (label: string, patches: Patch[]) => {
      const mine = patches.map((patch) => changed(patch, place, piece));
      return mine.every((patch) => patch !== null)
        ? edit(label, mine)
        : `The ${place.name}'s length follows from what it stands between: change that under Form.`;
    },
    [edit, place, piece],
  );
  const value = useMemo(() => {
    const seen = seenAsTop(piece, plan.geometry, place);
    const geometry = { ...plan.geometry, ...seen.at };
    return {
      ...open,
      piece: { ...seen.piece, choices: { ...seen.piece.choices, fixedLine: "centre" as const } },
      plan: {
        ...plan,
        ...{ geometry, top, panel: { laid, lines, candidates, unfit } },
        // what holds the top holds nothing here: it goes both ways from its middle
        ...(place.kind === "top"
          ? {}
          : { fasteners: [], breadboards: null, stiffeners: null, slats: null, framed: null }),
        species: woodOf(plan.woods, place.kind, plan.species),
        courses: { ...plan.courses, top: top.course },
      },
      edit: through,
    };
  }, [open, piece, plan, place, laid, lines, candidates, unfit, top, through]);
  return <PieceContext.Provider value={value}>{children}</PieceContext.Provider>;
}

/** The top as it is composed: as long as the blank it comes from with other parts. */
export function BlankLens({ children }: { children: ReactNode }) {
  const open = usePiece();
  const { plan } = open;
  const value = useMemo(
    () =>
      plan.geometry.row || plan.geometry.inserted
        ? { ...open, plan: { ...plan, geometry: asBlank(plan.geometry) } }
        : open,
    [open, plan],
  );
  return <PieceContext.Provider value={value}>{children}</PieceContext.Provider>;
}
