"use client";
import type { Thing } from "../../core/piece/brief-choices";
import { Choice, FieldRow, LengthField, TextField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";

const WAYS: { value: Thing["how"]; name: string }[] = [
  { value: "under-side", name: "goes under, from a long side" },
  { value: "under-end", name: "goes under, from an end" },
  { value: "on", name: "stands on the top" },
  { value: "down", name: "comes down over the top" },
];
const FRESH: Thing = { name: "A thing", how: "under-side", length: 400, width: 300, height: 300, gap: 10 };

/** What must pass under the piece, stand on it or come down over it: each with its size and the gap it wants. */
export function Things() {
  const { piece, edit } = usePiece();
  const { things } = piece.brief;
  const put = (label: string, next: Thing[]) => edit(label, [{ path: ["brief", "things"], value: next }]);
  const change = (i: number, part: Partial<Thing>) =>
    put(
      things[i].name,
      things.map((each, n) => (n === i ? { ...each, ...part } : each)),
    );
  return (
    <section aria-label="What it makes room for">
      <h2>What it makes room for</h2>
      {things.map((thing, i) => (
        <FieldRow key={i}>
          <TextField label="What" value={thing.name} onTake={(name) => change(i, { name })} />
          <Choice label="Where it goes" value={thing.how} options={WAYS} onTake={(how) => change(i, { how })} />
          {thing.how !== "down" && (
            <>
              <LengthField label="Long" value={thing.length} onTake={(length) => change(i, { length })} />
              <LengthField
                label={thing.how === "on" ? "Wide" : "Deep"}
                value={thing.width}
                onTake={(width) => change(i, { width })}
              />
            </>
          )}
          {thing.how !== "on" && (
            <LengthField
              label={thing.how === "down" ? "Down to" : "High"}
              value={thing.height}
              onTake={(height) => change(i, { height })}
            />
          )}
          <LengthField
            label={thing.how === "down" ? "Gap over the top" : "Gap around it"}
            value={thing.gap}
            onTake={(gap) => change(i, { gap })}
          />
          <button
            className="button button-plain self-end"
            onClick={() =>
              put(
                `${thing.name} taken out`,
                things.filter((_, n) => n !== i),
              )
            }
          >
            Take out
          </button>
        </FieldRow>
      ))}
      {things.length < 12 && (
        <button className="button mt-2" onClick={() => put("A thing to make room for", [...things, FRESH])}>
          Add a thing
        </button>
      )}
    </section>
  );
}
