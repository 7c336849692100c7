"use client";
import { parseLength } from "../../core/units/length";
import { useUnit } from "../frame/unit";
import { Take, Typed } from "./fields";

/** A length that may be left to Taller: an empty field means it chooses. */
export function AutoLengthField({
  label,
  value,
  auto,
  none,
  onTake,
}: {
  label: string;
  value: number | null;
  auto: number;
  /** what stands there where nothing is typed, instead of the size Taller takes */
  none?: string;
  onTake: Take<number | null>;
}) {
  const { unit, length } = useUnit();
  return (
    <Typed
      label={label}
      shown={value === null ? (none ?? `auto, ${length(auto)}`) : length(value)}
      width="w-24"
      suffix={unit === "mm" ? "mm" : "in"}
      take={(typed) => {
        if (typed.trim() === "" || typed === none || /^auto/i.test(typed)) return onTake(null);
        const read = parseLength(typed, unit);
        return read.ok ? onTake(read.mm) : read.message;
      }}
    />
  );
}

/** A number that Taller gives where none is typed. */
export function AutoNumberField({
  label,
  value,
  auto,
  suffix,
  onTake,
}: {
  label: string;
  value: number | null;
  auto: number;
  suffix?: string;
  onTake: Take<number | null>;
}) {
  return (
    <Typed
      label={label}
      shown={value === null ? `auto, ${auto}` : String(value)}
      width="w-24"
      suffix={suffix}
      take={(typed) => {
        if (typed.trim() === "" || /^auto/i.test(typed)) return onTake(null);
        const read = Number(typed.replace(",", "."));
        return Number.isFinite(read) ? onTake(read) : "type a number.";
      }}
    />
  );
}
