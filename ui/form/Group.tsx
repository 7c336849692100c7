import type { ReactNode } from "react";
import { FieldRow } from "../fields/fields";

/** Fields that belong together, under their name. */
export function Group({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div role="group" aria-label={name} className="w-full">
      <h2 className="text-[15px]">{name}</h2>
      <FieldRow>{children}</FieldRow>
    </div>
  );
}
