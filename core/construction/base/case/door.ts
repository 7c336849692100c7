/** Doors in their openings: framed with a panel in grooves or of boards with battens, flush with the case on butt hinges or before it. mm */
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
  /** cup hinges: the cup, how deep it is, its middle from the door's edge; a bumper's gap behind a door; what of the case's edges shows beside it */
  cup: { across: 35, deep: 12.5, from: 22, bumper: 1, shows: 2 },
};

const HUNG = { "door-left": [-1], "door-right": [1], doors: [-1, 1] } as const;

interface Round {
  /** thickness of what stands and lies round the bays: the sides, and everything between them; the case's front */
  side: number;
  inner: number;
  front: number;
}

/** How far a door covers what is beside, above and below its opening: half of what it shares with another, less half their gap. */
function covers(
  choice: CaseChoices["doors"],
  { side, inner }: Round,
  on: { left: boolean; right: boolean; up: boolean; down: boolean },
) {
  if (choice.mount === "inset") return { left: -choice.gap, right: -choice.gap, up: -choice.gap, down: -choice.gap };
  const { shows } = DOOR.cup;
  const shared = (inner - choice.gap) / 2;
  return {
    left: on.left ? side - shows : shared,
    right: on.right ? side - shows : shared,
    up: on.up ? inner - shows : shared,
    down: on.down ? inner - shows : shared,
  };
}

export function doorsOf(choice: CaseChoices["doors"], bays: readonly Bay[], round: Round): Door[] {
  const overlay = choice.mount === "overlay";
  const sizes: string[] = [];
  const all = bays.flatMap(({ from, to, openings }, bay) =>
    openings.flatMap((opening, row): Omit<Door, "n" | "size">[] => {
      const { holds } = opening;
      if (holds === "nothing" || holds === "drawer" || holds === "drawers-through") return [];
      const hung = HUNG[holds];
      const over = covers(choice, round, {
        ...{ left: bay === 0, right: bay === bays.length - 1 },
        ...{ up: row === 0, down: row === openings.length - 1 },
      });
      const high = { from: opening.from - over.down, to: opening.to + over.up };
      const whole = to - from + over.left + over.right;
      const wide = (whole - (hung.length - 1) * choice.gap) / hung.length;
      const { thickness, stile, rail, groove, free, panel, panelThickness } = choice;
      const battened = choice.build === "battened";
      const inside = Math.min(wide - 2 * stile, high.to - high.from - 2 * rail);
      const framed = inside >= DOOR.least / 4 && groove < Math.min(stile, rail) / 1.5;
      const boards = high.to - high.from >= 2 * (DOOR.least + choice.batten.width);
      if (wide < DOOR.least || !(battened ? boards : framed)) return [];
      return hung.map((way, i) => ({
        ...{ bay, row, hung: way, high, thickness, stile, rail },
        across: {
          from: from - over.left + i * (wide + choice.gap),
          to: from - over.left + i * (wide + choice.gap) + wide,
        },
        overlay,
        battens: battened ? choice.batten : null,
        latch: overlay ? "none" : choice.latch,
        upper: opening.to,
        face: round.front + (overlay ? DOOR.cup.bumper + thickness : 0),
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
  if (choice.build === "battened")
    return doors.map(({ across, high, ...door }) => ({
      ...{ id: `door-panel-${door.n}`, kind: ofDoor("door-panel", door), part: `B${door.n}`, name: `door ${door.n}` },
      ...{ length: high.to - high.from, width: across.to - across.from, thickness: door.thickness },
      sizesAt: ["form", "case", "doors"],
    }));
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
