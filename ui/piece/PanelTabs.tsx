"use client";
import type { PlannedPanel } from "../../core/panels/planned";

/** Which of a piece's panels is looked at: the top, or another by its name. Nothing where there is the top alone. */
export function PanelTabs({
  panels,
  at,
  onLook,
}: {
  panels: readonly PlannedPanel[];
  at: string;
  onLook: (id: string) => void;
}) {
  if (panels.length === 0) return null;
  return (
    <nav aria-label="Panels" className="flex flex-wrap gap-1">
      {[{ id: "top", name: "top" }, ...panels.map(({ place }) => place)].map(({ id, name }) => (
        <button
          key={id}
          className={`button ${id === at ? "bg-wash" : "button-plain"}`}
          aria-pressed={id === at}
          onClick={() => onLook(id)}
        >
          {`The ${name}`}
        </button>
      ))}
    </nav>
  );
}
