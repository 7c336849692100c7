"use client";
import Link from "next/link";
import { useMemo } from "react";
import { dovetailScene, readPin } from "../../core/drawing/dovetail";
import type { Edit } from "../../core/drawing/scene";
import { Dovetail, pinMoved } from "../../core/joinery/dovetail";
import { DovetailRow, USUAL_ROW } from "../../core/piece/dovetail-choices";
import { SceneView } from "../drawing/SceneView";
import { AutoLengthField } from "../fields/auto";
import { FieldRow, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";

/** A row of dovetails from the face of its board: pins are dragged or typed, or left to be spread evenly. */
export function DovetailFields({ joint }: { joint: Dovetail }) {
  const { id, piece, edit } = usePiece();
  const now = piece.joints.dovetails[joint.group] ?? USUAL_ROW;
  const scene = useMemo(() => dovetailScene(joint), [joint]);
  const put = (what: string, change: Partial<DovetailRow>) =>
    edit(`${joint.name}: ${what}`, [{ path: ["joints", "dovetails", joint.group], value: { ...now, ...change } }]);
  /** What is typed on the drawing: a pin moves by itself, all others stay where they are drawn. */
  const typed = ({ path, name }: Edit, mm: number) => {
    const [what, i] = path.slice(3);
    if (what !== "middles") return put(name.toLowerCase(), { [what]: mm });
    const middle = mm + (joint.pins[Number(i) - 1] ?? 0);
    return put(name.toLowerCase(), { middles: joint.pins.map((each, n) => (n === Number(i) ? middle : each)) });
  };
  const dragged = (what: string, to: { x: number }, done: boolean) => {
    const i = readPin(what);
    if (i === null || !done) return;
    put(`pin ${i + 1} moved`, { middles: pinMoved(joint, i, to.x) });
  };
  return (
    <section aria-label="Spacing of the dovetails" className="mt-2">
      <SceneView scene={scene} height={190} onEdit={typed} onDrag={dragged} />
      <FieldRow>
        <Tick
          label="Spread evenly"
          checked={!joint.set}
          onTake={(even) => put("spacing", { middles: even ? null : [...joint.pins] })}
        />
        {!joint.set && (
          <NumberField label="Tails" value={joint.tails} onTake={(tails) => put("tails", { tails, middles: null })} />
        )}
        <AutoLengthField
          label="Pin, narrow side"
          value={now.pin}
          auto={joint.pin}
          onTake={(pin) => put("pin", { pin })}
        />
        <AutoLengthField
          label="Half pin"
          value={now.half}
          auto={joint.half}
          onTake={(half) => put("half pin", { half })}
        />
        <Link className="button button-plain self-end" href={`/pieces/${id}/strips`}>
          Print strips to mark from
        </Link>
      </FieldRow>
    </section>
  );
}
