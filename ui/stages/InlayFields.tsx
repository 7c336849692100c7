"use client";
import { inlayKind } from "../../core/construction/top/inlays";
import { INLAY_SHAPES } from "../../core/joinery/inlaid";
import type { Form } from "../../core/piece/schema";
import { Choice, FieldRow, LengthField, NumberField, TextField } from "../fields/fields";
import { KindFields } from "../form/KindFields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

type Inlay = Form["top"]["inlays"][number];
const NAMES = { key: "Key, with a waist", plug: "Plug, round", patch: "Patch, square corners", lozenge: "Lozenge" };
/** A key over a check: two thirds of a hand, its grain across the top's. */
const USUAL: Inlay = { name: "Key", shape: "key", length: 70, width: 40, deep: 10, turn: 90, places: [{ x: 0, y: 0 }] };

/** What is let into the top's face, kind by kind: its size, its wood, where each of it lies. */
export function InlayFields() {
  const { piece, edit } = usePiece();
  const { set } = useSet();
  const { inlays } = piece.form.top;
  const path = (...rest: (string | number)[]) => ["form", "top", "inlays", ...rest];
  const change = (i: number, part: Partial<Inlay>) =>
    edit(inlays[i].name, [{ path: path(i), value: { ...inlays[i], ...part } }]);
  return (
    <section aria-label="Inlays" className="flex flex-col gap-2">
      {inlays.map((inlay, i) => (
        <fieldset key={i} className="flex flex-wrap items-end gap-x-3 gap-y-2 border-t border-hairline pt-2">
          <TextField label="Let in" value={inlay.name} onTake={(name) => change(i, { name })} />
          <Choice
            label="Its shape"
            value={inlay.shape}
            options={INLAY_SHAPES.map((value) => ({ value, name: NAMES[value] }))}
            onTake={(shape) => change(i, { shape })}
          />
          <LengthField
            label={inlay.shape === "plug" ? "Diameter" : "Along its grain"}
            value={inlay.length}
            onTake={(length) => change(i, { length })}
          />
          {inlay.shape !== "plug" && (
            <LengthField label="Across its grain" value={inlay.width} onTake={(width) => change(i, { width })} />
          )}
          <LengthField label="Deep" value={inlay.deep} onTake={(deep) => change(i, { deep })} />
          <NumberField
            label="Turned from the top’s grain, °"
            value={inlay.turn}
            onTake={(turn) => change(i, { turn })}
          />
          {inlay.places.map((place, n) => (
            <span key={n} className="flex items-end gap-1">
              <LengthField
                label={`${n + 1}: right of the middle`}
                value={place.x}
                onTake={(x) => change(i, { places: inlay.places.map((each, k) => (k === n ? { ...each, x } : each)) })}
              />
              <LengthField
                label="behind it"
                value={place.y}
                onTake={(y) => change(i, { places: inlay.places.map((each, k) => (k === n ? { ...each, y } : each)) })}
              />
            </span>
          ))}
          <button
            className="button button-plain"
            onClick={() => {
              const last = inlay.places.at(-1)!;
              change(i, { places: [...inlay.places, { ...last, x: last.x + 2 * inlay.width }] });
            }}
          >
            One more of it
          </button>
          {inlay.places.length > 1 && (
            <button className="button button-plain" onClick={() => change(i, { places: inlay.places.slice(0, -1) })}>
              One less
            </button>
          )}
          <button
            className="button button-plain"
            onClick={() =>
              set(
                `${inlay.name} taken out`,
                path(),
                inlays.filter((_, j) => j !== i),
              )
            }
          >
            Take out
          </button>
          <KindFields kind={inlayKind(i)} name={inlay.name} />
        </fieldset>
      ))}
      <FieldRow>
        <button className="button" onClick={() => edit("An inlay", [{ path: path(inlays.length), value: USUAL }])}>
          Let something into the top
        </button>
      </FieldRow>
    </section>
  );
}
