"use client";
import { useState } from "react";
import { parseLength } from "../../core/units/length";
import { useUnit } from "../frame/unit";

/** The field that opens where a dimension stands. Enter takes the value, Escape leaves it; what is wrong is said beneath. */
export function DimensionField({
  at,
  name,
  value,
  onDone,
}: {
  at: [number, number];
  name: string;
  value: number;
  onDone: (mm: number | null) => string | null;
}) {
  const { unit, length } = useUnit();
  const [typed, setTyped] = useState(length(value));
  const [fault, setFault] = useState<string | null>(null);
  const take = () => {
    if (typed === length(value)) {
      onDone(null);
      return;
    }
    const read = parseLength(typed, unit);
    setFault(read.ok ? onDone(read.mm) : read.message);
  };
  return (
    <div className="absolute z-10" style={{ left: Math.max(2, at[0] - 46), top: at[1] - 17 }}>
      <input
        autoFocus
        aria-label={name}
        aria-invalid={fault !== null}
        className="input w-[92px] border-layout text-center font-semibold text-layout"
        value={typed}
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          setTyped(event.target.value);
          setFault(null);
        }}
        onBlur={() => {
          if (fault === null) take();
          else onDone(null);
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            event.preventDefault();
            take();
          }
          if (event.key === "Escape") onDone(null);
          event.stopPropagation();
        }}
      />
      {fault && (
        <p
          role="alert"
          className="absolute top-full left-0 z-20 w-64 border border-fix bg-white p-2 text-[13px] text-fix"
        >
          {fault.startsWith(name) ? fault : `${name}: ${fault}`}
        </p>
      )}
    </div>
  );
}
