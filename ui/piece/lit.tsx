"use client";
import { createContext, ReactNode, useContext, useMemo, useState } from "react";

/** What a verdict speaks of lights up on the drawing, and back. */
const Context = createContext<{ lit: readonly string[]; light: (ids: readonly string[]) => void }>({
  lit: [],
  light: () => {},
});

export function LitProvider({ children }: { children: ReactNode }) {
  const [lit, light] = useState<readonly string[]>([]);
  return <Context value={useMemo(() => ({ lit, light }), [lit])}>{children}</Context>;
}

export const useLit = () => useContext(Context);
