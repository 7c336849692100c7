"use client";
import { slabsOf } from "../../core/construction/top/slabs";
import { slabsSaid } from "../../core/steps/slabs";
import { stripesOf, stripesSaid } from "../../core/construction/top/stripes";
import { endGrainScene } from "../../core/drawing/top";
import { SceneView } from "../drawing/SceneView";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { CutDiagrams } from "./CutList";
import { InlayFields } from "./InlayFields";
import { PanelOutline } from "./PanelOutline";
import { StageHead } from "./StageHead";

/** Slats and stripes have no panel of whole boards: which boards give them, and what else comes out of those. */
export function SlatBoards() {
  const { plan } = usePiece();
  const { say } = useUnit();
  const { form } = usePiece().piece;
  const slabs = slabsOf(form, plan.geometry.top);
  const striped = plan.geometry.core.striped === true;
  const found = plan.cutting.placed.filter(({ piece }) =>
    slabs.length > 0
      ? slabs.some(({ kind }) => kind === piece.part)
      : striped
        ? piece.part.startsWith("stripe-")
        : piece.part === "slat",
  );
  const what =
    slabs.length > 0
      ? slabsSaid(form, plan.geometry.top)
      : striped
        ? stripesSaid(stripesOf(form, plan.geometry.core.width))
        : `${plan.geometry.core.count} slats of ${plan.geometry.core.width.toFixed(1)} mm`;
  return (
    <>
      <StageHead
        title={
          slabs.length > 0
            ? "Which boards are the slabs"
            : striped
              ? "Which boards become strips"
              : "Which boards become slats"
        }
      >
        {say(
          `${what[0].toUpperCase()}${what.slice(1)} ${slabs.length > 0 ? (slabs.length > 1 ? "are boards as they grew, cut" : "is a board as it grew, cut") : "are sawn one by one,"} beside the other parts: ${found.length ? found.map(({ piece, board }) => `${piece.label} from ${board}`).join(", ") : "none has a board yet"}.`,
        )}
      </StageHead>
      <SceneView scene={endGrainScene(plan, false)} height={70} />
      {striped && <PanelOutline />}
      {(striped || slabs.length > 0) && <InlayFields />}
      <CutDiagrams plan={plan} width={null} />
    </>
  );
}
