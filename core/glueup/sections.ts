/** A striped top is glued in sections that pass the planer and close within the glue's open time, then the sections to one another. */
import type { PieceGeometry } from "../construction/geometry";
import type { Stripe } from "../construction/top/stripes";
import { GlueFacts, GluePiece, GlueStage, glueStage } from "./stages";

/** A glue-up should be closed when so much of the open time is gone. @source common practice, from memory */
const OF_OPEN = 0.8;

/**
 * The gluings of a striped top, in order.
 *
 * @param sections  how many; null: the fewest of which each passes the planer and is closed in time
 */
export function sectionStages(
  stripes: readonly Stripe[],
  sections: number | null,
  { core }: Pick<PieceGeometry, "core">,
  facts: GlueFacts,
): GlueStage[] {
  if (stripes.length < 2) return [];
  const stage = (id: string, name: string, groups: readonly GluePiece[][]) =>
    glueStage({ id, name, thickness: core.thickness, length: core.length, aids: [], groups }, facts);
  const apart = (count: number) => {
    const groups = evenly(stripes, count).map((group) =>
      group.map(({ mark, from, width }): GluePiece => ({ id: mark, from, full: width })),
    );
    const first = groups
      .filter((group) => group.length > 1)
      .map((group, i) =>
        stage(
          `section-${i + 1}`,
          `Section ${i + 1}`,
          group.map((each) => [each]),
        ),
      );
    return { groups, first };
  };
  const most = Math.floor(stripes.length / 2);
  const whole = stage(
    "panel",
    "The whole panel",
    stripes.map(({ mark, from, width }) => [{ id: mark, from, full: width }]),
  );
  const inTime = ({ minutes }: GlueStage) => minutes <= OF_OPEN * facts.adhesive.open;
  const fits = ({ width }: GlueStage) => width <= facts.shop.planerWidth;
  if (sections === 1 || (sections === null && fits(whole) && inTime(whole)) || most < 2) return [whole];
  const counts = sections === null ? range(2, most) : [Math.min(most, sections)];
  const tried = counts.map(apart);
  // where no number of sections is closed in time, as few as pass the planer
  const best =
    tried.find(({ first }) => first.every((each) => fits(each) && inTime(each))) ??
    tried.find(({ first }) => first.every(fits)) ??
    tried.at(-1)!;
  return [...best.first, stage("last", best.groups.length === 2 ? "The last seam" : "The last seams", best.groups)];
}

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** In so many groups of neighbours, as many in each as can be. */
function evenly<T>(all: readonly T[], count: number): T[][] {
  return Array.from({ length: count }, (_, i) =>
    all.slice(Math.round((i * all.length) / count), Math.round(((i + 1) * all.length) / count)),
  );
}
