"use client";
import { useMemo, useState } from "react";
import { fasteningScene } from "../../core/drawing/fastening";
import { holdingScene } from "../../core/drawing/holding";
import { jointDrawings } from "../../core/drawing/joints";
import type { Joint } from "../../core/joinery/joint";
import { SceneView } from "../drawing/SceneView";
import { FieldRow, LengthField } from "../fields/fields";
import { DovetailFields } from "../joints/DovetailFields";
import { GroupFields } from "../joints/GroupFields";
import { isRailEnd } from "../../core/joinery/rail-end";
import { LegRailFields } from "../joints/LegRailFields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { StageHead } from "./StageHead";
import { SettingCards } from "./SettingCards";

/** What holds the top stands after the joints of the base. */
const FASTENING = "fastening";

/** Every joint of the piece, one at a time: its drawing to scale, its card of settings, its choices. */
export function JointsStage() {
  const { piece, plan } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say } = useUnit();
  const [at, setAt] = useState<string | null>(null);
  const { form } = piece;
  const holding = useMemo(
    () => [fasteningScene(plan, piece), holdingScene(plan, piece)].filter((scene) => scene !== null),
    [plan, piece],
  );
  const joint =
    at === FASTENING && holding.length > 0
      ? null
      : (plan.joints.find((each) => each.id === at) ?? plan.joints[0] ?? null);
  const shown = useMemo(
    () => (joint ? jointDrawings({ ...plan, form }, joint.id).filter((each) => each.joint === joint.id) : []),
    [joint, form, plan],
  );
  return (
    <>
      <StageHead
        title={joint ? joint.name : "What holds the top"}
        actions={
          <nav aria-label="Joints" className="flex flex-wrap justify-end gap-1">
            {plan.joints.map((each) => (
              <Knot key={each.id} name={each.name} on={each === joint} onOpen={() => setAt(each.id)} />
            ))}
            {holding.length > 0 && <Knot name="Top" on={joint === null} onOpen={() => setAt(FASTENING)} />}
          </nav>
        }
      >
        {joint ? say(saidOf(joint)) : `${holding.map((scene) => scene.title).join(" ")}`}
      </StageHead>
      <div
        className={`grid gap-3 ${joint && shown.length > 1 ? "grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] max-md:grid-cols-1" : ""}`}
      >
        {joint
          ? shown.map(({ scene, caption }, i) => (
              <figure key={scene.id} className="min-w-0">
                <SceneView scene={scene} height={i === 0 ? 340 : 220} onEdit={fromDrawing} />
                <figcaption className="text-[13px] text-graphite">{caption}</figcaption>
              </figure>
            ))
          : holding.map((scene) => (
              <figure key={scene.id}>
                <SceneView scene={scene} height={210} onEdit={fromDrawing} />
                <figcaption className="text-[13px] text-graphite">{scene.title}</figcaption>
              </figure>
            ))}
      </div>
      {joint && shown.length === 0 && (
        <p className="text-graphite">
          As its sizes are, its parts don’t meet: Measure twice on the Form stage says why.
        </p>
      )}
      {joint ? (
        joint.setAt && isRailEnd(joint) ? (
          <LegRailFields joint={joint} />
        ) : joint.kind === "dovetail" ? (
          <DovetailFields key={joint.id} joint={joint} />
        ) : (
          <GroupFields key={joint.id} joint={joint} />
        )
      ) : (
        <FieldRow>
          <LengthField
            label="Spacing of the fastenings"
            value={piece.joints.buttons.spacing}
            onTake={(value) => set("Fastening spacing", ["joints", "buttons", "spacing"], value)}
          />
        </FieldRow>
      )}
      {joint && (
        <SettingCards cards={plan.cards.filter((card) => card.joint === joint.id)} columns="grid-cols-1 max-w-xl" />
      )}
    </>
  );
}

function Knot({ name, on, onOpen }: { name: string; on: boolean; onOpen: () => void }) {
  return (
    <button className={`button ${on ? "bg-wash" : "button-plain"}`} aria-pressed={on} onClick={onOpen}>
      {name}
    </button>
  );
}

const saidOf = ({ count, glueArea, length }: Pick<Joint, "count" | "glueArea" | "length">) =>
  `${count} times${length > 0 ? `, adding ${Math.round(length * 2) / 2} mm at the end` : ", adding nothing to the part’s length"}${glueArea > 0 ? `; ${Math.round(glueArea / 100)} cm² of glue in each` : ""}.`;
