"use client";
import { createContext, ReactNode, useContext, useEffect, useMemo, useState } from "react";
import { formatLength, Unit } from "../../core/units/length";
import { toUnit } from "./sentences";

interface UnitContext {
  unit: Unit;
  swap: (unit: Unit) => void;
  length: (mm: number, fine?: boolean) => string;
  withUnit: (mm: number, fine?: boolean) => string;
  say: (sentence: string) => string;
}
const Context = createContext<UnitContext | null>(null);

/** The unit on the screen: a cookie keeps it, U swaps it. Inside, everything stays in mm. */
export function UnitProvider({ first, children }: { first: Unit; children: ReactNode }) {
  const [unit, setUnit] = useState(first);
  const value = useMemo<UnitContext>(
    () => ({
      unit,
      swap: (next) => {
        document.cookie = `unit=${next}; path=/; max-age=31536000; samesite=lax`;
        setUnit(next);
      },
      length: (mm, fine) => formatLength(mm, unit, fine),
      withUnit: (mm, fine) => `${formatLength(mm, unit, fine)} ${unit === "mm" ? "mm" : "in"}`,
      say: (sentence) => toUnit(sentence, unit),
    }),
    [unit],
  );
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() === "u" && !isTyping(event)) value.swap(unit === "mm" ? "inch" : "mm");
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [unit, value]);
  return <Context value={value}>{children}</Context>;
}

export function useUnit(): UnitContext {
  const context = useContext(Context);
  if (!context) throw new Error("useUnit needs a UnitProvider above it.");
  return context;
}

/** Whether a key press is typing into a field. */
export function inField(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement;
  return target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName);
}

/** Whether a key press belongs to a field or to a shortcut of the browser's. */
export function isTyping(event: KeyboardEvent): boolean {
  return event.ctrlKey || event.metaKey || event.altKey || inField(event);
}
