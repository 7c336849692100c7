"use client";
import { LengthField } from "./fields";

/** Lengths that belong together, row by row in their order: typed, added, taken out. @param what  what a row is, "point" */
export function LengthRows<Key extends string>({
  rows,
  columns,
  what,
  of,
  least,
  most,
  onPut,
  more,
}: {
  rows: readonly Readonly<Record<Key, number>>[];
  columns: readonly (readonly [Key, string])[];
  what: string;
  /** whose rows they are, where several lists stand on one page */
  of?: string;
  least: number;
  most: number;
  onPut: (label: string, next: readonly Record<Key, number>[]) => string | null;
  /** them all, and one more */
  more: () => readonly Record<Key, number>[];
}) {
  return (
    <>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-x-6 gap-y-2">
        {rows.map((row, i) => (
          <li key={i} className="flex items-end gap-2">
            <b className="w-6 pb-2 text-right text-[13px] font-[560]">{i + 1}</b>
            {columns.map(([key, label]) => (
              <LengthField
                key={key}
                label={label}
                value={row[key]}
                onTake={(to) =>
                  onPut(
                    `${what} ${i + 1}`,
                    rows.map((each, k) => (k === i ? { ...each, [key]: to } : each)),
                  )
                }
              />
            ))}
            {rows.length > least && (
              <button
                className="button button-plain whitespace-nowrap"
                aria-label={`Take ${what} ${i + 1}${of ? ` of the ${of.toLowerCase()}` : ""} out`}
                onClick={() =>
                  onPut(
                    `${what} ${i + 1} taken out`,
                    rows.filter((_, k) => k !== i),
                  )
                }
              >
                Take out
              </button>
            )}
          </li>
        ))}
      </ol>
      <button className="button mt-2" disabled={rows.length >= most} onClick={() => onPut(`${what} added`, more())}>
        Add a {what}
      </button>
    </>
  );
}
