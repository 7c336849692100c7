/** What a panel beside the top asks for before the base is closed: its gluings, its size. */
import type { PanelPlace } from "../construction/geometry";
import type { GlueStage } from "../glueup/stages";
import type { Part } from "../layout/cut-list";
import { flattening } from "../layout/strip-thickness";
import type { Shop } from "../piece/shop";
import { kindsOf, rowSaid } from "../panels/row";
import { fine } from "../verdict/verdict";
import { Step, stepOf as step, TIME } from "./step";

/** A panel and its gluings in order. */
export interface GluedPanel {
  place: PanelPlace;
  stages: readonly GlueStage[];
}

export interface PanelWork {
  clampHours: number;
  shop: Shop;
  /** its upper face stays as it was sawn */
  sawn: boolean;
  /** how it is cut to length */
  length: (finished: Part["finished"]) => string;
}

/** The step at which a kind of panel has its size. */
export const sizeStep = (kind: string) => `${kind}-size`;

/** How panels that stand by themselves are brought to their size. */
export const sizedTo =
  (panels: readonly GluedPanel[]): PanelWork["length"] =>
  ({ length, width }) =>
    panels.some(({ place }) => place.endsLong)
      ? `Jointed to ${Math.round(width)} mm; its ends stay long until it is trimmed with what it is glued to.`
      : `Squared to ${Math.round(length)} by ${Math.round(width)} mm, all alike.`;

/** Gluing and sizing of all panels of a kind; nothing where there are none. */
export function panelSteps(part: Part | undefined, panels: readonly GluedPanel[], work: PanelWork): Step[] {
  if (!part) return [];
  const several = part.count > 1;
  const said = (several ? (part.plural ?? `${part.name}s`) : part.name).toLowerCase();
  const glue = panels.flatMap(({ stages }) =>
    stages.map((stage, i) =>
      step({
        id: `glue-${stage.id}`,
        title: `Glue the ${stage.name[0].toLowerCase()}${stage.name.slice(1)}`,
        detail: `Boards ${stage.strips.join(", ")}; ${stage.clamps.places.length} clamps, ${Math.ceil(stage.grams)} g of glue.`,
        parts: [part.id],
        // the last seam closes what the others glued
        after: i > 0 && i === stages.length - 1 ? stages.slice(0, i).map((each) => `glue-${each.id}`) : ["mill"],
        hours: 0.5 + stage.minutes / 60,
        wait: TIME.seam,
        waitFor: "seams to stop sinking",
        clamps: stage.clamps.places.length + stage.clamps.cauls,
        clampHours: work.clampHours,
        once: true,
      }),
    ),
  );
  const { finished } = part;
  const row = panels.find(({ place }) => place.row)?.place;
  if (row?.row)
    return [
      ...glue,
      step({
        id: sizeStep(part.id),
        title: `Flatten the ${row.name} and true its edges`,
        detail: `${work.sawn ? "Its upper face stays as it was sawn: below only, where it bears" : `To ${fine(finished.thickness)} ${flattening(finished.width, work.shop)}`}. Ripped to ${fine(finished.width)}; it stays ${Math.ceil(row.length)} mm long until its corners part it: ${rowSaid(row.row)}.`,
        parts: kindsOf(part.id, row.row),
        after: glue.length > 0 ? glue.map((each) => each.id) : ["mill"],
        hours: 1.5,
      }),
    ];
  return [
    ...glue,
    step({
      id: sizeStep(part.id),
      title: `Flatten the ${said} and cut ${several ? "them" : "it"} to size`,
      detail: `${work.sawn ? "Its upper face stays as it was sawn: below only, where it bears" : `To ${fine(finished.thickness)} ${flattening(finished.width, work.shop)}`}. ${work.length(finished)}`,
      parts: [part.id],
      after: glue.length > 0 ? glue.map((each) => each.id) : ["mill"],
      hours: Math.max(1, part.count),
    }),
  ];
}
