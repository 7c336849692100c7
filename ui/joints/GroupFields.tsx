"use client";
import type { BlindTenon } from "../../core/joinery/blind-tenon";
import { TENON } from "../../core/joinery/blind-tenon";
import type { Dowelled } from "../../core/joinery/dowelled";
import type { KindOfJoint } from "../../core/joinery/kinds";
import type { PocketScrewed } from "../../core/joinery/pocket-screwed";
import { TenonChoice, USUAL_TENON } from "../../core/piece/base-choices";
import { AutoLengthField, AutoNumberField } from "../fields/auto";
import { Choice, FieldRow, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

type Put = (what: string, change: Partial<TenonChoice>) => string | null;

/** What can be set of a group of joints, by its kind. */
export function GroupFields({ joint }: { joint: KindOfJoint }) {
  const { piece } = usePiece();
  const { set } = useSet();
  // what nothing was set for is as it was made: loose tenons where cut ones would stand across the grain
  const loose = joint.kind === "blind-tenon" && joint.made === "loose";
  const now = piece.joints.groups[joint.group] ?? { ...USUAL_TENON, kind: loose ? "loose" : USUAL_TENON.kind };
  const put: Put = (what, change) =>
    set(`${joint.name}: ${what}`, ["joints", "groups", joint.group], { ...now, ...change });
  const made = joint.anyEnd && <Made now={now} put={put} any />;
  switch (joint.kind) {
    case "through-tenon":
    case "bridle":
      return (
        <FieldRow>
          <AutoLengthField
            label={joint.kind === "bridle" ? "Tongue thickness" : "Tenon thickness"}
            value={now.thickness}
            auto={joint.thickness}
            onTake={(thickness) => put("tenon thickness", { thickness })}
          />
        </FieldRow>
      );
    case "blind-tenon":
      return (
        <FieldRow>
          {made ?? <Made now={now} put={put} />}
          <TenonFields {...{ joint, now, put }} />
        </FieldRow>
      );
    case "dowelled":
      return (
        <FieldRow>
          {made}
          <DowelFields {...{ joint, now, put }} />
          <Tick label="Two rows" checked={now.twin} onTake={(twin) => put("rows of dowels", { twin })} />
        </FieldRow>
      );
    case "pocket-screwed":
      return (
        <FieldRow>
          {made}
          <PocketFields {...{ joint, now, put }} />
        </FieldRow>
      );
    default:
      return null;
  }
}

const MADE: { value: TenonChoice["kind"]; name: string }[] = [
  { value: "tenon", name: "Cut tenons" },
  { value: "loose", name: "Loose tenons" },
  { value: "dowels", name: "Dowels" },
  { value: "pockets", name: "Pocket screws" },
];

/** @param any  dowels and pocket screws fit there too */
function Made({ now, put, any = false }: { now: TenonChoice; put: Put; any?: boolean }) {
  return (
    <Choice
      label="Made"
      value={any || now.kind === "tenon" ? now.kind : "loose"}
      options={any ? MADE : MADE.slice(0, 2)}
      // sizes that were set belong to what was there
      onTake={(kind) => put("how it is made", { kind, thickness: null, length: null, tenons: null })}
    />
  );
}

interface Fields<J> {
  joint: J;
  now: Pick<TenonChoice, "thickness" | "length" | "tenons">;
  put: (what: string, change: Partial<Pick<TenonChoice, "thickness" | "length" | "tenons">>) => string | null;
}

function TenonFields({ joint, now, put }: Omit<Fields<BlindTenon>, "now" | "put"> & { now: TenonChoice; put: Put }) {
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
        auto={joint.mortiseDepth - TENON.mortiseDeeper}
        onTake={(length) => put("tenon length", { length })}
      />
      <AutoNumberField
        label="Tenons along the shoulder"
        value={now.tenons}
        auto={joint.tenons}
        onTake={(tenons) => put("tenons", { tenons })}
      />
      <Tick label="Twin, side by side" checked={now.twin} onTake={(twin) => put("twin tenons", { twin })} />
      <Tick label="Drawbored pins" checked={now.pinned} onTake={(pinned) => put("pins", { pinned })} />
      {joint.made === "tenon" && (
        <Tick label="Foxed: wedged inside" checked={now.foxed} onTake={(foxed) => put("wedges inside", { foxed })} />
      )}
    </>
  );
}

/** Of dowels, wherever they are kept. */
export function DowelFields({ joint, now, put }: Fields<Dowelled>) {
  return (
    <>
      <AutoLengthField
        label="Dowel"
        value={now.thickness}
        auto={joint.diameter}
        onTake={(thickness) => put("dowel", { thickness })}
      />
      <AutoLengthField
        label="Into each part"
        value={now.length}
        auto={joint.reach}
        onTake={(length) => put("how deep dowels go", { length })}
      />
      <AutoNumberField
        label="Dowels a row"
        value={now.tenons}
        auto={joint.dowels}
        onTake={(tenons) => put("dowels", { tenons })}
      />
    </>
  );
}

/** Of pocket screws, wherever they are kept. */
export function PocketFields({ joint, now, put }: Fields<PocketScrewed>) {
  return (
    <>
      <AutoLengthField
        label="Screw"
        value={now.length}
        auto={joint.long}
        onTake={(length) => put("screw", { length })}
      />
      <AutoNumberField
        label="Screws"
        value={now.tenons}
        auto={joint.screws}
        onTake={(tenons) => put("screws", { tenons })}
      />
    </>
  );
}
