"use client";
import { Plus } from "lucide-react";
import { insetScene } from "../../core/drawing/inset";
import type { Inset } from "../../core/piece/schema";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow, LengthField, TextField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const NAMES: Record<Inset["kind"], string> = { drawer: "Drawer", door: "Door", panel: "Panel" };
/** Usual sizes to begin from, mm. @source common practice */
const USUAL: Record<Inset["kind"], () => Omit<Inset, "id" | "name">> = {
  drawer: () => ({ kind: "drawer", width: 420, height: 90, gap: 1 }),
  door: () => ({ kind: "door", width: 450, height: 700, gap: 2, build: "framed", stile: 60 }),
  panel: () => ({ kind: "panel", width: 380, height: 600, gap: 3, groove: 10, thickness: 12 }),
};

/** Drawers, doors and panels that sit in an opening: their gaps in the dry and the wet season. */
export function Insets() {
  const { piece, plan, edit } = usePiece();
  const { set } = useSet();
  const add = (kind: Inset["kind"]) => {
    const number = piece.insets.filter((each) => each.kind === kind).length + 1;
    edit(`${NAMES[kind]} added`, [
      {
        path: ["insets", piece.insets.length],
        value: { ...USUAL[kind](), id: crypto.randomUUID(), name: `${NAMES[kind]} ${number}` },
      },
    ]);
  };
  return (
    <section aria-label="Drawers, doors and panels">
      {piece.insets.map((inset, i) => {
        const moved = plan.insets[i];
        const change = (label: string, field: string, value: number) => set(label, ["insets", i, field], value);
        return (
          <div
            key={inset.id}
            className="mt-2 grid grid-cols-[216px_minmax(0,1fr)] items-end gap-3 max-md:grid-cols-1"
            data-inset={inset.kind}
          >
            <SceneView scene={insetScene(inset, moved, plan.species)} height={130} />
            <FieldRow>
              <TextField
                label="Name"
                value={inset.name}
                onTake={(value) => set("Name", ["insets", i, "name"], value)}
              />
              <LengthField
                label="Opening width"
                value={inset.width}
                onTake={(value) => change("Opening width", "width", value)}
              />
              <LengthField
                label="Opening height"
                value={inset.height}
                onTake={(value) => change("Opening height", "height", value)}
              />
              <LengthField
                label={inset.kind === "drawer" ? "Gap above" : "Gap at each edge"}
                value={inset.gap}
                onTake={(value) => change("Gap", "gap", value)}
              />
              {inset.kind === "door" && (
                <>
                  <Choice
                    label="Built"
                    value={inset.build}
                    options={[
                      { value: "framed", name: "Frame and panel" },
                      { value: "solid", name: "Solid boards" },
                    ]}
                    onTake={(value) => set("Door", ["insets", i, "build"], value)}
                  />
                  <LengthField label="Stile" value={inset.stile} onTake={(value) => change("Stile", "stile", value)} />
                </>
              )}
              {inset.kind === "panel" && (
                <LengthField
                  label="Groove"
                  value={inset.groove}
                  onTake={(value) => change("Groove", "groove", value)}
                />
              )}
              <button
                className="button button-plain"
                onClick={() =>
                  edit(`${inset.name} taken out`, [{ path: ["insets"], value: piece.insets.filter((_, j) => j !== i) }])
                }
              >
                Take out
              </button>
            </FieldRow>
          </div>
        );
      })}
      <p className="mt-2 flex flex-wrap gap-2">
        {(Object.keys(NAMES) as Inset["kind"][]).map((kind) => (
          <button key={kind} className="button button-plain" onClick={() => add(kind)}>
            <Plus size={14} />
            {NAMES[kind]}
          </button>
        ))}
      </p>
    </section>
  );
}
