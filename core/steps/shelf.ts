import type { BaseWork } from "../construction/base/base";
import type { Standing } from "../construction/geometry";
import type { Part } from "../layout/cut-list";
import { GluedPanel, panelSteps, PanelWork, sizeStep } from "./panel";
import { Step, stepOf as step } from "./step";

const HOUSE = "shelf-house";
const SIZE = sizeStep("shelf");

/** What a shelf asks for: its gluings, its size, its housings. */
export function shelfSteps(
  parts: readonly Part[],
  panels: readonly GluedPanel[],
  { seats }: Standing,
  work: Omit<PanelWork, "length">,
): Step[] {
  const shelf = parts.find((part) => part.id === "shelf");
  if (!shelf) return [];
  const made = panelSteps(
    shelf,
    panels.filter(({ place }) => place.kind === "shelf"),
    { ...work, length: ({ length }) => `Length from the dry frame, ${Math.round(length)} mm by the list.` },
  );
  const holders = [...new Set(seats.flatMap((seat) => seat.holders))].filter((kind) =>
    parts.some(({ id }) => id === kind),
  );
  return [...made, ...(holders.length > 0 ? [housings(holders, parts)] : [])];
}

/** Kinds of part that the shelf is let into. */
const housings = (holders: string[], parts: readonly Part[]): Step =>
  step({
    id: HOUSE,
    title: "Cut the housings for the shelf",
    detail: "While each part is square and by itself: no router reaches them when the base is closed.",
    parts: holders,
    // panels have their size before anything is cut into them
    after: holders.flatMap((kind) =>
      parts.find(({ id }) => id === kind)?.role === "panel" ? [sizeStep(kind)] : ["mortise"],
    ),
    hours: 1.5,
  });

/** A shelf on stretchers, or its slats, goes on when the base stands. */
export function shelfOnStretchers(parts: readonly Part[], { seats }: Standing, closed: readonly string[]): Step[] {
  const slats = parts.find(({ id }) => id === "shelf-slat");
  if (slats)
    return [
      step({
        id: "shelf-slats",
        title: "Screw the shelf’s slats on",
        detail: `${slats.count} slats from spacers, the middle ones first: one screw in the middle of each end, from below.`,
        parts: ["shelf-slat"],
        after: [...closed, "mill"],
        hours: 0.5 + 0.15 * slats.count,
      }),
    ];
  const lies = parts.some(({ id }) => id === "shelf") && seats.every(({ letIn }) => letIn === 0);
  return lies
    ? [
        step({
          id: "shelf-lay",
          ...(seats.every(({ on }) => on === "brackets")
            ? {
                title: "Screw the shelf to its brackets",
                detail:
                  "Cut to what the legs leave it, measured at its own height. In front the screws are tight, behind they stand in the middle of their slots, a turn loose.",
              }
            : {
                title: "Lay the shelf on its stretchers",
                detail:
                  "In from an end; one screw in the middle of each end from below, so that it may move both ways.",
              }),
          parts: ["shelf"],
          after: [...closed, SIZE],
          hours: 0.5,
          check: "The same gap at the legs on both sides.",
        }),
      ]
    : [];
}

/** The base's steps round a shelf: housings before any part is glued to another, the shelf in hand before the base is closed. */
export function roundShelf({ steps, apart, closing }: BaseWork): Step[] {
  return steps.map((each) =>
    each.id === closing
      ? {
          ...each,
          detail: `${each.detail} The shelf goes in with them, dry: it can't be put in afterwards.`,
          parts: [...each.parts, "shelf"],
          after: [...each.after, SIZE],
        }
      : apart.includes(each.id)
        ? { ...each, after: [...each.after, HOUSE] }
        : each,
  );
}
