"use client";
import { useEffect, useState } from "react";
import type { Thing } from "../../core/piece/brief-choices";
import type { Companion } from "../../core/summary";
import { Choice, FieldRow, LengthField, TextField } from "../fields/fields";
import { ask } from "../frame/ask";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

const WAYS: { value: Thing["how"]; name: string }[] = [
  { value: "under-side", name: "goes under, from a long side" },
  { value: "under-end", name: "goes under, from an end" },
  { value: "on", name: "stands on the top" },
  { value: "down", name: "comes down over the top" },
];
const FRESH: Thing = { name: "A thing", how: "under-side", length: 400, width: 300, height: 300, gap: 10, of: null };

/** What must pass under the piece, stand on it or come down over it: each with its size and the gap it wants. */
export function Things() {
  const { id, piece, edit } = usePiece();
  const { say } = useUnit();
  const { things } = piece.brief;
  const company = useCompany(id, piece.commission);
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
          <Now thing={thing} company={company} onTake={(part) => change(i, part)} />
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
        <div className="mt-2 flex flex-wrap gap-2">
          <button className="button" onClick={() => put("A thing to make room for", [...things, FRESH])}>
            Add a thing
          </button>
          {company
            .filter((each) => !things.some(({ of }) => of === each.id))
            .map((each) => (
              <button
                key={each.id}
                className="button button-plain"
                onClick={() => put(each.name, [...things, { ...FRESH, name: each.name, of: each.id, ...sizeOf(each) }])}
              >
                {say(`${each.name}, ${each.size[0]} by ${each.size[1]} mm, ${each.size[2]} mm high`)}
              </button>
            ))}
        </div>
      )}
    </section>
  );
}

const sizeOf = ({ size: [length, width, height] }: Companion) => ({ length, width, height });

/** What a thing that is a piece of ours measures now, where that is no longer what is written here. */
function Now({
  thing,
  company,
  onTake,
}: {
  thing: Thing;
  company: readonly Companion[];
  onTake: (part: Partial<Thing>) => void;
}) {
  const { say } = useUnit();
  const now = company.find(({ id }) => id === thing.of);
  if (!now) return null;
  const { length, width, height } = sizeOf(now);
  if (length === thing.length && width === thing.width && height === thing.height) return null;
  return (
    <button className="button self-end" data-company="changed" onClick={() => onTake(sizeOf(now))}>
      {say(`It is now ${length} by ${width} mm, ${height} mm high: take that`)}
    </button>
  );
}

/** The other pieces of the commission; none while nothing answers. */
function useCompany(id: string, commission: string): readonly Companion[] {
  const [company, setCompany] = useState<readonly Companion[]>([]);
  useEffect(() => {
    let here = true;
    if (commission === "") {
      setCompany([]);
      return undefined;
    }
    void ask<{ pieces: Companion[] }>("GET", `/api/pieces/${id}/company`).then((answer) => {
      if (here) setCompany(answer.ok ? answer.json.pieces : []);
    });
    return () => {
      here = false;
    };
  }, [id, commission]);
  return company;
}
