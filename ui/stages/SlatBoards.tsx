"use client";
import { endGrainScene } from "../../core/drawing/top";
import { SceneView } from "../drawing/SceneView";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { CutDiagrams } from "./CutList";
import { StageHead } from "./StageHead";

/** Slats have no panel: which boards give them, and what else comes out of those. */
export function SlatBoards() {
  const { plan } = usePiece();
  const { say } = useUnit();
  const found = plan.cutting.placed.filter(({ piece }) => piece.part === "slat");
  return (
    <>
      <StageHead title="Which boards become slats">
        {say(
          `${plan.geometry.core.count} slats of ${plan.geometry.core.width.toFixed(1)} mm are sawn one by one, beside the other parts: ${found.length ? found.map(({ piece, board }) => `${piece.label} from ${board}`).join(", ") : "none has a board yet"}.`,
        )}
      </StageHead>
      <SceneView scene={endGrainScene(plan, false)} height={70} />
      <CutDiagrams plan={plan} width={null} />
    </>
  );
}
