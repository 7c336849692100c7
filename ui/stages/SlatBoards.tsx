"use client";
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
  const striped = plan.geometry.core.striped === true;
  const found = plan.cutting.placed.filter(({ piece }) =>
    striped ? piece.part.startsWith("stripe-") : piece.part === "slat",
  );
  const what = striped
    ? stripesSaid(stripesOf(form, plan.geometry.core.width))
    : `${plan.geometry.core.count} slats of ${plan.geometry.core.width.toFixed(1)} mm`;
  return (
    <>
      <StageHead title={striped ? "Which boards become strips" : "Which boards become slats"}>
        {say(
          `${what} are sawn one by one, beside the other parts: ${found.length ? found.map(({ piece, board }) => `${piece.label} from ${board}`).join(", ") : "none has a board yet"}.`,
        )}
      </StageHead>
      <SceneView scene={endGrainScene(plan, false)} height={70} />
      {striped && <PanelOutline />}
      {striped && <InlayFields />}
      <CutDiagrams plan={plan} width={null} />
    </>
  );
}
