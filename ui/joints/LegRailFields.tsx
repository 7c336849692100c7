"use client";
import { railsOf } from "../../core/construction/base/leg-and-apron/joints";
import { AutoLengthField } from "../fields/auto";
import { Choice, FieldRow, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** One choice for the joints of legs and rails, which meet in the leg. */
export function LegRailFields() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const choice = piece.joints.legRail;
  const joint = railsOf(plan.joints)[0];
  return (
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
        auto={joint.reach}
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
      <Tick
        label="Haunch"
        checked={choice.haunch}
        onTake={(value) => set("Haunch", ["joints", "legRail", "haunch"], value)}
      />
    </FieldRow>
  );
}
