/** The plan of what a run of the list left: what failed is empty, and told. */
import { allJudged, JUDGED } from "./judged";
import { recordsOf } from "../learning/records";
import { NOTHING_CUT, NOTHING_HELD } from "./nothing";
import { PlannedPanel, plannedPanel } from "../panels/planned";
import type { Stood } from "../stages";
import { faultVerdicts } from "../verdict/faults";
import type { Plan } from "./derived";
import { PlanFailed } from "./failed";

type Values = ReturnType<ReturnType<typeof JUDGED.runner>>["values"];
/** Without these there is no plan. */
const NEEDED = ["species", "proposal", "geometry", "year", "delivered", "topCourse", "top", "adhesive"] as const;
function plannedPanels({ others, otherTops }: Pick<Partial<Values>, "others" | "otherTops">): PlannedPanel[] {
  return [...(others?.values() ?? [])].flatMap((each): PlannedPanel[] => {
    const top = otherTops?.get(each)?.top;
    return top ? [plannedPanel(each, top)] : [];
  });
}

/** The plan of what stands; what failed is empty, and told. */
export function asPlan({ values: at, failures, waiting }: Stood<Required<Values>>): Plan {
  if (!isWhole(at)) throw new PlanFailed(failures);
  const {
    species,
    proposal,
    geometry,
    year,
    delivered,
    topCourse,
    courses = { top: topCourse },
    top,
    adhesive,
    cutting = NOTHING_CUT,
  } = at;
  const judged = allJudged(at);
  const all = [...failures, ...judged.flatMap((each) => each.failures)];
  return {
    species,
    woods: at.woods ?? {},
    proposal,
    geometry,
    year,
    top,
    courses,
    delivered,
    adhesive,
    cutting,
    ...(at.held ?? NOTHING_HELD),
    sheets: at.sheets ?? [],
    fasteners: at.fasteners ?? [],
    insets: at.insets ?? [],
    stopped: at.stopped ?? [],
    joints: at.joints ?? [],
    meetings: at.meetings ?? [],
    small: at.small ?? [],
    cards: at.cards ?? [],
    parts: at.made ?? [],
    assembly: at.assembly ?? { parts: [] },
    ownPairs: at.own?.pairs ?? [],
    weight: at.weight ?? 0,
    glueUp: [...(at.glueUp ?? []), ...[...(at.otherGlue?.values() ?? [])].flat()],
    panels: plannedPanels(at),
    blanks: at.blanks ?? [],
    steps: at.steps ?? [],
    learned: at.learned ?? [],
    partMoves: at.partMoves ?? [],
    records: at.records ?? recordsOf(top, [], [], []),
    panel: {
      laid: at.lay?.laid ?? [],
      lines: cutting.lines,
      candidates: at.names?.candidates ?? [],
      unfit: at.names?.unfit ?? [],
    },
    verdicts: [...faultVerdicts(all, waiting), ...judged.flatMap((each) => each.verdicts)],
    failures: all,
  };
}

const isWhole = (at: Values): at is Values & Required<Pick<Values, (typeof NEEDED)[number]>> =>
  NEEDED.every((name) => at[name] !== undefined);
