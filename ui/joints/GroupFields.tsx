"use client";
import { TENON } from "../../core/joinery/blind-tenon";
import type { KindOfJoint } from "../../core/joinery/kinds";
import { TenonChoice, USUAL_TENON } from "../../core/piece/base-choices";
import { AutoLengthField } from "../fields/auto";
import { Choice, FieldRow, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** What can be set of a group of joints, by its kind. */
export function GroupFields({ joint }: { joint: KindOfJoint }) {
  const { piece } = usePiece();
  const { set } = useSet();
  if (joint.kind !== "blind-tenon" && joint.kind !== "through-tenon" && joint.kind !== "bridle") return null;
  const now = piece.joints.groups[joint.group] ?? USUAL_TENON;
  const put = (what: string, change: Partial<TenonChoice>) =>
    set(`${joint.name}: ${what}`, ["joints", "groups", joint.group], { ...now, ...change });
  return (
    <FieldRow>
      <AutoLengthField
        label={joint.kind === "bridle" ? "Tongue thickness" : "Tenon thickness"}
        value={now.thickness}
        auto={joint.thickness}
        onTake={(thickness) => put("tenon thickness", { thickness })}
      />
      {joint.kind === "blind-tenon" && (
        <>
          <Choice
            label="Made"
            value={now.kind}
            options={[
              { value: "tenon", name: "Cut tenons" },
              { value: "loose", name: "Loose tenons" },
            ]}
            onTake={(kind) => put("how it is made", { kind })}
          />
          <AutoLengthField
            label="Tenon length"
            value={now.length}
            auto={joint.mortiseDepth - TENON.mortiseDeeper}
            onTake={(length) => put("tenon length", { length })}
          />
          <Choice
            label="Tenons along the shoulder"
            value={String(now.tenons ?? "auto")}
            options={[
              { value: "auto", name: `Auto, ${joint.tenons}` },
              { value: "1", name: "One" },
              { value: "2", name: "Two" },
              { value: "3", name: "Three" },
            ]}
            onTake={(value) => put("tenons", { tenons: value === "auto" ? null : Number(value) })}
          />
          <Tick label="Twin, side by side" checked={now.twin} onTake={(twin) => put("twin tenons", { twin })} />
          <Tick label="Drawbored pins" checked={now.pinned} onTake={(pinned) => put("pins", { pinned })} />
        </>
      )}
    </FieldRow>
  );
}
