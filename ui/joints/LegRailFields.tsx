"use client";
import type { RailEnd } from "../../core/joinery/rail-end";
import type { RailTenon } from "../../core/joinery/rail-tenon";
import type { JointChoices } from "../../core/piece/schema";
import { AutoLengthField, AutoNumberField } from "../fields/auto";
import { Choice, FieldRow, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { DowelFields, PocketFields } from "./GroupFields";

type LegRail = JointChoices["legRail"];
type Put = (what: string, change: Partial<LegRail>) => string | null;

/** One choice for the joints of legs and rails, which meet in the leg. */
export function LegRailFields({ joint }: { joint: RailEnd }) {
  const { piece } = usePiece();
  const { set } = useSet();
  const now = piece.joints.legRail;
  const put: Put = (what, change) => set(`Legs and rails: ${what}`, ["joints", "legRail"], { ...now, ...change });
  return (
    <FieldRow>
      <Choice
        label="Leg joint"
        value={now.kind}
        options={[
          { value: "mortise-tenon", name: "Mortise and tenon" },
          { value: "loose-tenon", name: "Loose tenon" },
          { value: "dowels", name: "Dowels" },
          { value: "pockets", name: "Pocket screws" },
        ]}
        // sizes that were set belong to what was there
        onTake={(kind) => put("joint", { kind, thickness: null, length: null, tenons: null })}
      />
      <EndFields {...{ joint, now, put }} />
    </FieldRow>
  );
}

function EndFields({ joint, now, put }: { joint: RailEnd; now: LegRail; put: Put }) {
  switch (joint.kind) {
    case "dowelled":
      return <DowelFields {...{ joint, now, put }} />;
    case "pocket-screwed":
      return <PocketFields {...{ joint, now, put }} />;
    case "rail-tenon":
      return <TenonFields {...{ joint, now, put }} />;
  }
}

function TenonFields({ joint, now, put }: { joint: RailTenon; now: LegRail; put: Put }) {
  return (
    <>
      <AutoLengthField
        label="Tenon thickness"
        value={now.thickness}
        auto={joint.thickness}
        onTake={(thickness) => put("tenon thickness", { thickness })}
      />
      <AutoLengthField
        label="Tenon length"
        value={now.length}
        auto={joint.reach}
        onTake={(length) => put("tenon length", { length })}
      />
      <AutoNumberField
        label="Tenons a rail"
        value={now.tenons}
        auto={joint.tenons}
        onTake={(tenons) => put("tenons", { tenons })}
      />
      <Choice
        label="Where two meet"
        value={now.meeting}
        options={[
          { value: "mitred", name: "Mitred tips" },
          { value: "short", name: "End rail short" },
        ]}
        onTake={(meeting) => put("where two meet", { meeting })}
      />
      <Tick label="Haunch" checked={now.haunch} onTake={(haunch) => put("haunch", { haunch })} />
    </>
  );
}
