import type { BaseWork } from "../construction/base/base";
import type { Standing } from "../construction/geometry";
import type { GlueStage } from "../glueup/stages";
import type { Part } from "../layout/cut-list";
import { flattening } from "../layout/strip-thickness";
import type { Shop } from "../piece/shop";
import { fine } from "../verdict/verdict";
import { Step, stepOf as step, TIME } from "./step";

const [HOUSE, SIZE] = ["shelf-house", "shelf-size"];

/**
 * What a shelf asks for: its gluings, its size, its housings.
 *
 * @param gluings  of each shelf, in order
 */
export function shelfSteps(
  parts: readonly Part[],
  gluings: readonly GlueStage[][],
  { seats }: Standing,
  { clampHours, shop, sawn }: { clampHours: number; shop: Shop; sawn: boolean },
): Step[] {
  const shelf = parts.find((part) => part.id === "shelf");
  if (!shelf) return [];
  const glue = gluings.flatMap((stages) =>
    stages.map((stage, i) =>
      step({
        id: `glue-${stage.id}`,
        title: `Glue the ${stage.name[0].toLowerCase()}${stage.name.slice(1)}`,
        detail: `Boards ${stage.strips.join(", ")}; ${stage.clamps.places.length} clamps, ${Math.ceil(stage.grams)} g of glue.`,
        parts: ["shelf"],
        // the last seam closes what the others glued
        after: i > 0 && i === stages.length - 1 ? stages.slice(0, i).map((each) => `glue-${each.id}`) : ["mill"],
        hours: 0.5 + stage.minutes / 60,
        wait: TIME.seam,
        waitFor: "seams to stop sinking",
        clamps: stage.clamps.places.length + stage.clamps.cauls,
        clampHours,
      }),
    ),
  );
  const holders = [...new Set(seats.flatMap((seat) => seat.holders))].filter((kind) =>
    parts.some(({ id }) => id === kind),
  );
  return [
    ...glue,
    step({
      id: SIZE,
      title: "Flatten the shelf and cut it to size",
      detail: `${sawn ? "Its upper face stays as it was sawn: below only, where it bears" : `To ${fine(shelf.finished.thickness)} ${flattening(shelf.finished.width, shop)}`}. Length from the dry frame, ${Math.round(shelf.finished.length)} mm by the list.`,
      parts: ["shelf"],
      after: glue.length > 0 ? glue.map((each) => each.id) : ["mill"],
      hours: 1,
    }),
    ...(holders.length > 0 ? [housings(holders)] : []),
  ];
}

/** Kinds of part that the shelf is let into. */
const housings = (holders: string[]): Step =>
  step({
    id: HOUSE,
    title: "Cut the housings for the shelf",
    detail: "While each part is square and by itself: no router reaches them when the base is closed.",
    parts: holders,
    after: ["mortise"],
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
          title: "Lay the shelf on its stretchers",
          detail: "In from an end; one screw in the middle of each end from below, so that it may move both ways.",
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
