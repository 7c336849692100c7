"use client";
import { useDeferredValue, useMemo } from "react";
import { choiceScene, topChoiceScene } from "../../core/drawing/elevations";
import { preview } from "../../core/construction/preview";
import type { Scene } from "../../core/drawing/scene";
import { BASE_LIST } from "../../core/construction/base";
import { CONSTRUCTION_NAMES, CONSTRUCTIONS } from "../../core/piece/movement-choices";
import type { Form } from "../../core/piece/schema";
import { SceneView } from "../drawing/SceneView";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** Size of a small drawing, pixels. */
const SMALL = { base: { width: 236, height: 104 }, top: { width: 128, height: 74 } };

/** What stands below and what lies on top, each as it would look on this piece, to one scale. */
export function BySmallDrawing() {
  const { piece, plan, shop } = usePiece();
  const { set } = useSet();
  // seven more drawings may come a moment after the piece itself
  const { form, joints } = useDeferredValue(piece);
  const { species } = plan;
  const drawn = (changed: Form, scene: typeof choiceScene): Scene =>
    scene({ ...preview(changed, joints, shop), species, form: changed });
  const bases = useMemo(
    () =>
      BASE_LIST.map(({ kind, name }) => ({
        ...{ value: kind, name },
        scene: drawn({ ...form, kind }, choiceScene),
      })),
    [form, joints, shop, species],
  );
  const tops = useMemo(
    () =>
      CONSTRUCTIONS.map((value) => ({
        ...{ value, name: CONSTRUCTION_NAMES[value] },
        scene: drawn({ ...form, construction: value }, topChoiceScene),
      })),
    [form, joints, shop, species],
  );
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-3">
      <Choose
        label="What stands below"
        size={SMALL.base}
        choices={bases}
        chosen={piece.form.kind}
        onChoose={(value, name) => set(`Stand it on: ${name.toLowerCase()}`, ["form", "kind"], value)}
      />
      <Choose
        label="What lies on top"
        size={SMALL.top}
        choices={tops}
        chosen={piece.form.construction}
        onChoose={(value, name) => set(`Top: ${name.toLowerCase()}`, ["form", "construction"], value)}
      />
    </div>
  );
}

function Choose({
  label,
  size,
  choices,
  chosen,
  onChoose,
}: {
  label: string;
  size: { width: number; height: number };
  choices: readonly { value: string; name: string; scene: Scene }[];
  chosen: string;
  onChoose: (value: string, name: string) => void;
}) {
  return (
    <div role="radiogroup" aria-label={label}>
      <p className="text-[13px] text-graphite">{label}</p>
      <div className="flex flex-wrap gap-1.5">
        {choices.map(({ value, name, scene }) => (
          <button
            key={value}
            role="radio"
            aria-checked={value === chosen}
            className={`flex flex-col items-center border px-1 pb-0.5 ${value === chosen ? "border-layout bg-wash" : "border-hairline bg-white hover:border-graphite"}`}
            onClick={() => value !== chosen && onChoose(value, name)}
          >
            <SceneView scene={scene} {...size} />
            <span className="text-[13px]">{name}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
