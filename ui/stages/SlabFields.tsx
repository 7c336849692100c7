"use client";
import type { Station } from "../../core/piece/slab-choices";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** Slabs as they were measured, width by width, and the glass between them. */
export function SlabFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { slabs } = piece.form;
  const at = (...path: (string | number)[]) => ["form", "slabs", ...path];
  const { between } = slabs;
  const glass = slabs.count > 1 && between.kind === "glass";
  const length = (label: string, field: keyof typeof between, value: number) => (
    <LengthField key={field} label={label} value={value} onTake={(to) => set(label, at("between", field), to)} />
  );
  return (
    <>
      <Choice
        label="Slabs"
        value={String(slabs.count)}
        options={[
          { value: "1", name: "One" },
          { value: "2", name: "Two" },
        ]}
        onTake={(value) => set("Slabs", at("count"), Number(value))}
      />
      {slabs.count > 1 && (
        <Choice
          label="Between them"
          value={between.kind}
          options={[
            { value: "glass", name: "Glass, let in level" },
            { value: "nothing", name: "Nothing" },
          ]}
          onTake={(value) => set("Between the slabs", at("between", "kind"), value)}
        />
      )}
      {glass && (
        <>
          {length("Glass thickness", "thickness", between.thickness)}
          {length("Its seat", "seat", between.seat)}
          {length("Room beside it", "clear", between.clear)}
          {length("Cutter’s radius", "radius", between.radius)}
          <NumberField
            label="Weeks it takes"
            value={between.weeks}
            onTake={(to) => set("Weeks the glass takes", at("between", "weeks"), to)}
          />
          <Tick
            label="It came, and was measured"
            checked={between.measured}
            onTake={(to) => set("The glass came", at("between", "measured"), to)}
          />
        </>
      )}
      <Stations of="front" name={slabs.count > 1 ? "Front slab" : "The slab"} />
      {slabs.count > 1 && <Stations of="back" name="Back slab" />}
    </>
  );
}

/** Where the two edges of a slab lie, place by place from the left end. */
function Stations({ of, name }: { of: "front" | "back"; name: string }) {
  const { piece } = usePiece();
  const { set } = useSet();
  const all = piece.form.slabs[of];
  const put = (label: string, next: readonly Station[]) => set(`${name}: ${label}`, ["form", "slabs", of], next);
  const change = (i: number, part: Partial<Station>) =>
    put(
      `width ${i + 1}`,
      all.map((each, k) => (k === i ? { ...each, ...part } : each)),
    );
  return (
    <section aria-label={name} className="w-full">
      <h3 className="text-[13px] text-graphite">
        {name}: measured from the left end, and back from the line along the top’s front
      </h3>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(23rem,1fr))] gap-x-6 gap-y-2">
        {all.map((station, i) => (
          <li key={i} className="flex items-end gap-2">
            <b className="w-5 pb-2 text-right text-[13px] font-[560]">{i + 1}</b>
            <LengthField label="From the left" value={station.at} onTake={(to) => change(i, { at: to })} />
            <LengthField label="Front edge" value={station.from} onTake={(from) => change(i, { from })} />
            <LengthField label="Back edge" value={station.to} onTake={(to) => change(i, { to })} />
            {all.length > 1 && (
              <button
                className="button button-plain whitespace-nowrap"
                aria-label={`Take width ${i + 1} of the ${name.toLowerCase()} out`}
                onClick={() =>
                  put(
                    `width ${i + 1} taken out`,
                    all.filter((_, k) => k !== i),
                  )
                }
              >
                Take out
              </button>
            )}
          </li>
        ))}
      </ol>
      <button
        className="button mt-2"
        disabled={all.length >= 30}
        onClick={() => put("width added", [...all, { ...all.at(-1)!, at: all.at(-1)!.at + 300 }])}
      >
        Add a width
      </button>
    </section>
  );
}
