import { fractions } from "../frame/fractions";
import type { ReactNode } from "react";

/** What this stage asks, in one line, and a sentence of where it stands; actions at its right. */
export function StageHead({ title, children, actions }: { title: string; children: ReactNode; actions?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-3">
      <div className="min-w-0">
        <h1>{title}</h1>
        <p className="lede">{typeof children === "string" ? fractions(children) : children}</p>
      </div>
      {actions && <div className="flex flex-wrap gap-2">{actions}</div>}
    </div>
  );
}
