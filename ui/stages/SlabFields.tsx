"use client";
import type { Station } from "../../core/piece/slab-choices";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { LengthRows } from "../fields/LengthRows";
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

const COLUMNS = [
  ["at", "From the left"],
  ["from", "Front edge"],
  ["to", "Back edge"],
] as const satisfies readonly (readonly [keyof Station, string])[];

/** Where the two edges of a slab lie, place by place from the left end. */
function Stations({ of, name }: { of: "front" | "back"; name: string }) {
  const { piece } = usePiece();
  const { set } = useSet();
  const all = piece.form.slabs[of];
  return (
    <section aria-label={name} className="w-full">
      <h3 className="text-[13px] text-graphite">
        {name}: measured from the left end, and back from the line along the top’s front
      </h3>
      <LengthRows
        rows={all}
        columns={COLUMNS}
        what="width"
        of={name}
        least={1}
        most={30}
        onPut={(label, next) => set(`${name}: ${label}`, ["form", "slabs", of], next)}
        more={() => [...all, { ...all.at(-1)!, at: all.at(-1)!.at + 300 }]}
      />
    </section>
  );
}
