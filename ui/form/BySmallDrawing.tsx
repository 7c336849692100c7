"use client";
import { useDeferredValue, useEffect, useMemo, useState } from "react";
import { choiceScene, topChoiceScene } from "../../core/drawing/elevations";
import { looksAlike, preview } from "../../core/construction/preview";
import type { Scene } from "../../core/drawing/scene";
import { slabsFor } from "../../core/construction/top/slabs";
import { BASE_LIST } from "../../core/construction/base";
import { ENDS, FIELDS, TOP_NAMES } from "../../core/piece/movement-choices";
import type { BaseName } from "../../core/piece/base-choices";
import type { Form } from "../../core/piece/schema";
import { SceneView } from "../drawing/SceneView";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** Size of a small drawing, pixels. */
const SMALL = { base: { width: 194, height: 88 }, top: { width: 128, height: 74 } };

/** What was drawn of a base, and what it was drawn from. */
interface Known {
  form: Form;
  rest: readonly unknown[];
  scene: Scene;
}

/** What stands below and what lies on top, each as it would look on this piece, to one scale. */
export function BySmallDrawing() {
  const { piece, plan, shop, edit } = usePiece();
  const { set } = useSet();
  // so many more drawings may come a moment after the piece itself, and after the page
  const [open, setOpen] = useState(false);
  useEffect(() => setOpen(true), []);
  const [known] = useState(() => new Map<string, Known>());
  const { form, joints } = useDeferredValue(piece);
  const { species, woods } = plan;
  const drawn = (changed: Form, scene: typeof choiceScene): Scene =>
    scene({ ...preview(changed, joints, shop), species, woods, form: changed });
  /** The drawing of a base is made again when something it reads has changed. */
  const remembered = (kind: BaseName): Scene => {
    const rest = [joints, shop, species, woods];
    const before = known.get(kind);
    if (before && looksAlike(kind, before.form, form) && rest.every((each, i) => each === before.rest[i]))
      return before.scene;
    const scene = drawn({ ...form, kind }, choiceScene);
    known.set(kind, { form, rest, scene });
    return scene;
  };
  const bases = useMemo(
    () =>
      BASE_LIST.map(({ kind, name }) => ({
        ...{ value: kind, name },
        scene: open ? remembered(kind) : null,
      })),
    [open, form, joints, shop, species, woods],
  );
  const tops = useMemo(() => {
    const drawnTop = (changed: Partial<Form>) => (open ? drawn({ ...form, ...changed }, topChoiceScene) : null);
    return {
      fields: FIELDS.map((field) => ({
        value: field,
        name: TOP_NAMES.field[field],
        scene: drawnTop(laid(field, form)),
      })),
      ends: ENDS.map((ends) => ({ value: ends, name: TOP_NAMES.ends[ends], scene: drawnTop({ ends }) })),
    };
  }, [open, form, joints, shop, species, woods]);
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
        choices={tops.fields}
        chosen={piece.form.field}
        onChoose={(value, name) =>
          edit(
            `Top: ${name.toLowerCase()}`,
            Object.entries(laid(value, piece.form)).map(([key, to]) => ({ path: ["form", key], value: to })),
          )
        }
      />
      <Choose
        label="At its ends"
        size={SMALL.top}
        choices={tops.ends}
        chosen={piece.form.ends}
        onChoose={(value, name) => set(`Ends: ${name.toLowerCase()}`, ["form", "ends"], value)}
      />
    </div>
  );
}

/** What goes with a field: slabs begin as wide as the top they are to make. */
const laid = (field: Form["field"], form: Form): Partial<Form> =>
  field === "slabs" ? { field, slabs: slabsFor(form) } : { field };

function Choose<T extends string>({
  label,
  size,
  choices,
  chosen,
  onChoose,
}: {
  label: string;
  size: { width: number; height: number };
  choices: readonly { value: T; name: string; scene: Scene | null }[];
  chosen: T;
  onChoose: (value: T, name: string) => void;
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
            {scene ? <SceneView scene={scene} {...size} /> : <span className="block" style={size} />}
            <span className="text-[13px]">{name}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
