"use client";
import type { Shop } from "../../core/piece/shop";
import { AutoLengthField } from "../fields/auto";
import { LengthField } from "../fields/fields";

type Dowel = Shop["dowels"][number];

/** Dowels as they are sold, with what they measure: a hole is bored to that. */
export function DowelList({ dowels, onTake }: { dowels: Dowel[]; onTake: (dowels: Dowel[]) => string | null }) {
  const change = (i: number, part: Partial<Dowel>) =>
    onTake(dowels.map((one, j) => (j === i ? { ...one, ...part } : one)));
  return (
    <section>
      <h2>Dowels</h2>
      <div className="mt-2 flex flex-col gap-2">
        {dowels.map((dowel, i) => (
          <div key={i} className="flex flex-wrap items-end gap-4">
            <LengthField label="Sold as" value={dowel.diameter} onTake={(diameter) => change(i, { diameter })} />
            <AutoLengthField
              label="Measures"
              value={dowel.measured}
              auto={dowel.diameter}
              none="as sold"
              onTake={(measured) => change(i, { measured })}
            />
            <LengthField label="Long" value={dowel.length} onTake={(length) => change(i, { length })} />
            <button className="button button-plain" onClick={() => onTake(dowels.filter((_, j) => j !== i))}>
              Take out
            </button>
          </div>
        ))}
        <button
          className="button self-start"
          onClick={() => onTake([...dowels, { diameter: 8, measured: null, length: 40 }])}
        >
          Add dowels
        </button>
      </div>
    </section>
  );
}
