/** Doors in their openings: framed, flush with the case, hung on butt hinges; a panel in grooves. mm */
import type { CaseChoices } from "../../../piece/case-choices";
import type { Form } from "../../../piece/schema";
import type { PanelPlace } from "../../geometry";
import type { Bay, Case, Door } from "./case";
import type { Span } from "../leg-frame/place";

/** @source common practice */
export const DOOR = {
  /** a sheet or a panel’s length is left so much short in its grooves */
  short: 0.5,
  /** nothing smaller is a door */
  least: 100,
  /** butt hinges, let in on both sides; a third one from this height on */
  hinge: { long: 50, wide: 15, deep: 2, third: 1000 },
};

const HUNG = { "door-left": [-1], "door-right": [1], doors: [-1, 1] } as const;

export function doorsOf(choice: CaseChoices["doors"], bays: readonly Bay[]): Door[] {
  const sizes: string[] = [];
  const all = bays.flatMap(({ from, to, openings }, bay) =>
    openings.flatMap((opening, row): Omit<Door, "n" | "size">[] => {
      const { holds } = opening;
      if (holds === "nothing" || holds === "drawer" || holds === "drawers-through") return [];
      const hung = HUNG[holds];
      const high = { from: opening.from + choice.gap, to: opening.to - choice.gap };
      const wide = (to - from - (hung.length + 1) * choice.gap) / hung.length;
      const { thickness, stile, rail, groove, free, panel, panelThickness } = choice;
      const inside = Math.min(wide - 2 * stile, high.to - high.from - 2 * rail);
      if (inside < DOOR.least / 4 || wide < DOOR.least || groove >= Math.min(stile, rail) / 1.5) return [];
      return hung.map((way, i) => ({
        ...{ bay, row, hung: way, high, thickness, stile, rail },
        across: {
          from: from + choice.gap + i * (wide + choice.gap),
          to: from + choice.gap + i * (wide + choice.gap) + wide,
        },
        panel: {
          thickness: Math.min(panelThickness, thickness / 2),
          groove,
          free: panel === "solid" ? Math.min(free, groove - 1) : DOOR.short,
        },
      }));
    }),
  );
  return all.map((door, i) => {
    const key = [door.across, door.high].map(({ from, to }) => Math.round((to - from) * 100)).join();
    if (!sizes.includes(key)) sizes.push(key);
    return { ...door, n: i + 1, size: sizes.indexOf(key) + 1 };
  });
}

/** Between the frame, and the panel with what is in its grooves: its grain upright. */
export function panelOf({ across, high, stile, rail, panel }: Door): {
  between: { x: Span; y: Span };
  x: Span;
  y: Span;
} {
  const between = {
    x: { from: across.from + stile, to: across.to - stile },
    y: { from: high.from + rail, to: high.to - rail },
  };
  const [aside, up] = [panel.groove - panel.free, panel.groove - DOOR.short];
  return {
    between,
    x: { from: between.x.from - aside, to: between.x.to + aside },
    y: { from: between.y.from - up, to: between.y.to + up },
  };
}

/** Middles of a door's hinges: a rail's width from its ends, and one in the middle of a high one. */
export function hingesOf({ high, rail }: Door): number[] {
  const in_ = rail + DOOR.hinge.long / 2;
  const both = [high.from + in_, high.to - in_];
  return high.to - high.from > DOOR.hinge.third ? [both[0], (high.from + high.to) / 2, both[1]] : both;
}

/** `door-stile`, `door-stile-2`: parts of doors of one size. */
export const ofDoor = (kind: string, { size }: Pick<Door, "size">) => (size > 1 ? `${kind}-${size}` : kind);

/** Panels that are glued up from boards. */
export function doorPanels({ doors }: Pick<Case, "doors">, { case: { doors: choice } }: Form): PanelPlace[] {
  if (choice.panel !== "solid") return [];
  return doors.map((door) => {
    const { x, y } = panelOf(door);
    return {
      ...{ id: `door-panel-${door.n}`, kind: ofDoor("door-panel", door), part: `B${door.n}` },
      name: `panel of door ${door.n}`,
      ...{ length: y.to - y.from, width: x.to - x.from, thickness: door.panel.thickness },
      sizesAt: ["form", "case", "doors"],
    };
  });
}
