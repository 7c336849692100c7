"use client";
import { ReactNode, useEffect, useId, useState } from "react";
import { parseDay } from "../../core/units/date";
import { parseLength } from "../../core/units/length";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";

export type Take<T> = (value: T) => string | null;

/** A label over its field, with what is wrong beneath; fields stand in one row under the drawing. */
function Labelled({
  label,
  fault,
  id,
  children,
  wide,
}: {
  label: string;
  fault?: string | null;
  id: string;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <div className={`relative ${wide ? "min-w-0 flex-1 basis-48" : ""}`}>
      <label htmlFor={id} className="block text-[13px] text-graphite">
        {label}
      </label>
      {children}
      {fault && (
        <p
          role="alert"
          id={`${id}-fault`}
          className="absolute top-full left-0 z-10 w-60 border border-fix bg-white p-2 text-[13px] text-fix"
        >
          {label}: {fault}
        </p>
      )}
    </div>
  );
}

/** Text that is read when it is left: `read` gives a value or a sentence; what was typed stays until it makes sense. */
export function Typed({
  label,
  shown,
  take,
  width,
  wide,
  suffix,
}: {
  label: string;
  shown: string;
  take: (typed: string) => string | null;
  width: string;
  wide?: boolean;
  suffix?: string;
}) {
  const id = useId();
  const [typed, setTyped] = useState(shown);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    setTyped(shown);
    setFault(null);
  }, [shown]);
  const leave = () => {
    if (typed !== shown) setFault(take(typed));
  };
  return (
    <Labelled label={label} fault={fault} id={id} wide={wide}>
      <span className="flex items-center gap-1">
        <input
          id={id}
          className={`input ${width}`}
          value={typed}
          aria-invalid={fault !== null}
          aria-describedby={fault ? `${id}-fault` : undefined}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => {
            if (event.key === "Enter") leave();
            if (event.key === "Escape") {
              setTyped(shown);
              setFault(null);
            }
          }}
        />
        {suffix && <span className="text-[13px] text-graphite">{suffix}</span>}
      </span>
    </Labelled>
  );
}

export function LengthField({ label, value, onTake }: { label: string; value: number; onTake: Take<number> }) {
  const { unit, length } = useUnit();
  return (
    <Typed
      label={label}
      shown={length(value, needsTenths(value))}
      width="w-20"
      suffix={unit === "mm" ? "mm" : "in"}
      take={(typed) => {
        const read = parseLength(typed, unit);
        return read.ok ? onTake(read.mm) : read.message;
      }}
    />
  );
}

/** Allowances such as 0.8 mm are shown as they are, not rounded to the half that a rule can mark. */
const needsTenths = (mm: number) => Math.abs(mm) < 20 && Math.abs(mm * 2 - Math.round(mm * 2)) > 1e-6;

export function NumberField({
  label,
  value,
  suffix,
  onTake,
}: {
  label: string;
  value: number;
  suffix?: string;
  onTake: Take<number>;
}) {
  return (
    <Typed
      label={label}
      shown={String(value)}
      suffix={suffix}
      width="w-16"
      take={(typed) => {
        const number = Number(typed.trim().replace(",", "."));
        return typed.trim() === "" || !Number.isFinite(number)
          ? `“${typed}” is not a number. Type it in digits.`
          : onTake(number);
      }}
    />
  );
}

export function TextField({
  label,
  value,
  onTake,
  wide,
}: {
  label: string;
  value: string;
  onTake: Take<string>;
  wide?: boolean;
}) {
  return <Typed label={label} shown={value} width={wide ? "w-full" : "w-44"} wide={wide} take={onTake} />;
}

/** A day in words, as everywhere on the screen; typed as the reader writes it. An empty field means none. */
export function DateField({
  label,
  value,
  onTake,
}: {
  label: string;
  value: string | null;
  onTake: Take<string | null>;
}) {
  return (
    <Typed
      label={label}
      shown={value === null ? "" : dayName(value)}
      width="w-40"
      take={(typed) => {
        if (typed.trim() === "") return onTake(null);
        const read = parseDay(typed, orderOfDates(), new Date().toISOString().slice(0, 10));
        return read.ok ? onTake(read.day) : read.message;
      }}
    />
  );
}

/** Which number of a date the reader writes first, by the language of the browser. */
function orderOfDates(): "day first" | "month first" {
  const parts = new Intl.DateTimeFormat(navigator.language).formatToParts(0).map(({ type }) => type);
  return parts.indexOf("month") < parts.indexOf("day") && parts[0] !== "year" ? "month first" : "day first";
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onTake,
}: {
  label: string;
  value: T;
  options: readonly { value: T; name: string }[];
  onTake: (value: T) => void;
}) {
  const id = useId();
  return (
    <Labelled label={label} id={id}>
      <select
        id={id}
        className="input max-w-64 pr-6"
        value={value}
        onChange={(event) => onTake(event.target.value as T)}
      >
        {options.map((each) => (
          <option key={each.value} value={each.value}>
            {each.name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

export function Tick({
  label,
  checked,
  onTake,
}: {
  label: string;
  checked: boolean;
  onTake: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-8 items-center gap-2 self-end">
      <input
        type="checkbox"
        className="size-4 accent-layout"
        checked={checked}
        onChange={(event) => onTake(event.target.checked)}
      />
      {label}
    </label>
  );
}

/** The one row of fields under a drawing. */
export function FieldRow({ children }: { children: ReactNode }) {
  return <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-hairline pt-3">{children}</div>;
}
