import type { ReactNode } from "react";
import { Planned } from "../../../../ui/piece/Planned";

/** Pages that show the plan; the history beside them needs none. */
export default function PlannedLayout({ children }: { children: ReactNode }) {
  return <Planned>{children}</Planned>;
}
