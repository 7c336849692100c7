"use client";
import { useMemo } from "react";
import { fasteningScene, holdingScene } from "../../core/drawing/fastening";
import { legSectionScene, tenonSideScene } from "../../core/drawing/joint";
import { SceneView } from "../drawing/SceneView";
import { AutoLengthField, Choice, FieldRow, LengthField, Tick } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { StageHead } from "./StageHead";
import { SettingCards } from "./SettingCards";

/** Sections to scale and a card of settings for each joint. */
export function JointsStage() {
  const { piece, plan } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say } = useUnit();
  const choice = piece.joints.legRail;
  const scenes = useMemo(
    () =>
      [
        legSectionScene(plan),
        tenonSideScene(plan, "long-rail"),
        fasteningScene(plan, piece),
        holdingScene(plan, piece),
      ] as const,
    [plan, piece],
  );
  const joint = plan.joints[0];
  return (
    <>
      <StageHead title="How legs and rails meet">
        {say(
          `${choice.kind === "loose-tenon" ? "Loose tenons" : "Blind mortise and tenon"}, ${joint.thickness} mm thick and ${joint.length} mm long${joint.mitre > 0 ? ", mitred where two meet" : ""}; ${Math.round(joint.glueArea / 100)} cm² of long grain in each joint.`,
        )}
      </StageHead>
      <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-3 max-md:grid-cols-1">
        <figure>
          <SceneView scene={scenes[0]} height={356} onEdit={fromDrawing} />
          <figcaption className="text-[13px] text-graphite">
            A leg cut across, seen from above: the outer corner is at the upper left.
          </figcaption>
        </figure>
        <div className="flex min-w-0 flex-col gap-2">
          <figure>
            <SceneView scene={scenes[1]} height={172} onEdit={fromDrawing} />
            <figcaption className="text-[13px] text-graphite">The long rail’s end from the side.</figcaption>
          </figure>
          <figure>
            <SceneView scene={scenes[2]} height={176} onEdit={fromDrawing} />
            <figcaption className="text-[13px] text-graphite">{scenes[2].title}</figcaption>
          </figure>
          {scenes[3] && (
            <figure>
              <SceneView scene={scenes[3]} height={150} onEdit={fromDrawing} />
              <figcaption className="text-[13px] text-graphite">{scenes[3].title}</figcaption>
            </figure>
          )}
        </div>
      </div>
      <FieldRow>
        <Choice
          label="Leg joint"
          value={choice.kind}
          options={[
            { value: "mortise-tenon", name: "Mortise and tenon" },
            { value: "loose-tenon", name: "Loose tenon" },
          ]}
          onTake={(value) => set("Leg joint", ["joints", "legRail", "kind"], value)}
        />
        <AutoLengthField
          label="Tenon thickness"
          value={choice.thickness}
          auto={joint.thickness}
          onTake={(value) => set("Tenon thickness", ["joints", "legRail", "thickness"], value)}
        />
        <AutoLengthField
          label="Tenon length"
          value={choice.length}
          auto={joint.length}
          onTake={(value) => set("Tenon length", ["joints", "legRail", "length"], value)}
        />
        <Choice
          label="Tenons a rail"
          value={String(choice.tenons ?? "auto")}
          options={[
            { value: "auto", name: `Auto, ${joint.tenons}` },
            { value: "1", name: "One" },
            { value: "2", name: "Two" },
            { value: "3", name: "Three" },
          ]}
          onTake={(value) =>
            set("Tenons a rail", ["joints", "legRail", "tenons"], value === "auto" ? null : Number(value))
          }
        />
        <Choice
          label="Where two meet"
          value={choice.meeting}
          options={[
            { value: "mitred", name: "Mitred tips" },
            { value: "short", name: "End rail short" },
          ]}
          onTake={(value) => set("Where two meet", ["joints", "legRail", "meeting"], value)}
        />
        <LengthField
          label="Button spacing"
          value={piece.joints.buttons.spacing}
          onTake={(value) => set("Button spacing", ["joints", "buttons", "spacing"], value)}
        />
        <Tick
          label="Haunch"
          checked={choice.haunch}
          onTake={(value) => set("Haunch", ["joints", "legRail", "haunch"], value)}
        />
      </FieldRow>
      <SettingCards cards={plan.cards} />
    </>
  );
}
