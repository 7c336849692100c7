"use client";
import { EXISTING_OF, ExistingPlace } from "../../core/piece/existing-choices";
import { Choice, FieldRow, LengthField, TextField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const OF: Record<(typeof EXISTING_OF)[number], string> = { wood: "Wood", steel: "Steel", masonry: "Stone or brick" };
const FRESH: ExistingPlace = {
  ...{ name: "A rail", x: 0, z: 0, length: 600, width: 40, depth: 40, low: 0, of: "wood" },
};

/** What is there already and bears the top: each place from the top's middle. */
export function ExistingFields() {
  const { piece, edit } = usePiece();
  const { set } = useSet();
  const { places, measured } = piece.form.existing;
  const put = (label: string, next: ExistingPlace[]) =>
    edit(label, [{ path: ["form", "existing", "places"], value: next }]);
  const change = (i: number, part: Partial<ExistingPlace>) =>
    put(
      places[i].name,
      places.map((each, n) => (n === i ? { ...each, ...part } : each)),
    );
  return (
    <section aria-label="What is there" className="basis-full">
      <h2>What is there</h2>
      <Tick
        label="Measured on the spot"
        checked={measured}
        onTake={(value) => set("Measured on the spot", ["form", "existing", "measured"], value)}
      />
      {places.map((place, i) => {
        const size = (label: string, key: "x" | "z" | "length" | "width" | "depth" | "low") => (
          <LengthField label={label} value={place[key]} onTake={(to) => change(i, { [key]: to })} />
        );
        return (
          <FieldRow key={i}>
            <TextField label="What" value={place.name} onTake={(name) => change(i, { name })} />
            <Choice
              label="Of"
              value={place.of}
              options={EXISTING_OF.map((value) => ({ value, name: OF[value] }))}
              onTake={(of) => change(i, { of: of as ExistingPlace["of"] })}
            />
            {size("Right of the middle", "x")}
            {size("In front of the middle", "z")}
            {size("Along the top", "length")}
            {size("Across the top", "width")}
            {size("Deep", "depth")}
            {size("Lower by", "low")}
            {places.length > 1 && (
              <button
                className="button button-plain self-end"
                onClick={() =>
                  put(
                    `${place.name} taken out`,
                    places.filter((_, n) => n !== i),
                  )
                }
              >
                Take out
              </button>
            )}
          </FieldRow>
        );
      })}
      {places.length < 12 && (
        <button className="button mt-2" onClick={() => put("Something that is there", [...places, FRESH])}>
          Add what is there
        </button>
      )}
    </section>
  );
}
