/** Glue-ups of frames and cases: how many joints are spread before the last clamp is on, how long that takes, how much glue they want. */
import type { Meeting } from "../assembly/meeting";
import type { AssemblyPart } from "../assembly/part";
import type { Step } from "../steps/step";
import { grade, listed, set, Verdict, verdict } from "../verdict/verdict";
import { Adhesive, ADHESIVES, GLUE_GRAMS } from "./adhesives";
import { MOVE } from "./stages";

/** A joint's two parts brought together, minutes; a seam's line is about so wide, m. @source common practice */
const JOINT = { home: 0.3, line: 0.025 };
/** What glue holds in a frame; screws and bolts wait for no glue. */
const DRY: readonly string[] = ["screwed", "bolted", "lag"];

/** One of them: the step, its joints by what they are called, the glued faces together mm², and minutes by oneself. */
export interface Closing {
  step: string;
  title: string;
  joints: { name: string; count: number }[];
  area: number;
  minutes: number;
}

/** Each joint is glued at the first step that brings one of its parts to the other. */
export function closingsOf(
  steps: readonly Pick<Step, "id" | "title" | "parts" | "clamps">[],
  meetings: readonly Meeting[],
  parts: readonly Pick<AssemblyPart, "id" | "kind">[],
): Closing[] {
  const kinds = new Map(parts.map(({ id, kind }) => [id, kind]));
  const gluing = steps.filter(({ id, clamps }) => id.startsWith("glue-") && clamps > 0);
  const left = new Set(meetings.filter(({ joint }) => joint.glueArea > 0 && !DRY.includes(joint.kind)));
  // what was glued before is in hand
  const inHand = new Set<string>();
  return gluing.flatMap(({ id, title, parts: glued, clamps }): Closing[] => {
    for (const kind of glued) inHand.add(kind);
    const mine = [...left].filter(({ enters, receives }) =>
      [enters, receives].every((part) => inHand.has(kinds.get(part) ?? "")),
    );
    if (mine.length === 0) return [];
    for (const each of mine) left.delete(each);
    const area = mine.reduce((sum, { joint }) => sum + joint.glueArea, 0);
    const names = [...new Set(mine.map(({ joint }) => joint.name))];
    return [
      {
        ...{ step: id, title, area },
        joints: names.map((name) => ({ name, count: mine.filter(({ joint }) => joint.name === name).length })),
        minutes: (area / 1e6 / JOINT.line) * MOVE.spreadPerMetre + mine.length * JOINT.home + clamps * MOVE.clamp,
      },
    ];
  });
}

interface ClosingFacts {
  closings: readonly Closing[];
  adhesive: Adhesive;
  hands: number;
}

const whole = (minutes: number) => `${Math.round(minutes)} min`;
/** A share of the open time is for what goes wrong; so much more glue than lies in the joints. @source common practice, as for panels */
const SURE = 0.8;
const SPARE = 1.2;

/** The longest of them against the adhesive's open time; how much of it to have ready, and in how many batches. */
export function closesInTime({ closings, adhesive, hands }: ClosingFacts): Verdict | null {
  const [first] = closings;
  if (!first) return null;
  const worst = closings.reduce((a, b) => (b.minutes > a.minutes ? b : a));
  const minutes = worst.minutes / hands;
  const level = grade(minutes, "at most", SURE * adhesive.open, adhesive.open);
  const grams = 5 * Math.max(1, Math.ceil(((worst.area / 1e6) * GLUE_GRAMS * SPARE) / 5));
  const batches = Math.max(1, Math.ceil(minutes / (SURE * adhesive.open)));
  const slower = ADHESIVES.find((each) => each.open * SURE >= minutes && each.outdoors >= adhesive.outdoors);
  return verdict({
    id: "glueup.closing",
    stage: "glue-up",
    subject: [worst.step],
    level,
    text:
      level === "holds"
        ? `${worst.title}: ${whole(minutes)} of work, ${adhesive.open} min open`
        : `${worst.title} takes ${whole(minutes)}: the first glue skins over after ${adhesive.open}`,
    why: `${listed(worst.joints.map(({ name, count }) => `${count} × ${name.toLowerCase()}`))}, all open until the last clamp is on, with ${hands === 1 ? "one pair of hands" : `${hands} pairs of hands`}. Have ${grams} g of glue ready${batches > 1 ? `, or go in ${batches} batches: what lies inside first, and let each set before the next` : ""}.`,
    limit: adhesive.open,
    actual: Math.round(minutes * 10) / 10,
    sense: "at most",
    unit: "min",
    source: "derived: glued faces and joints, times as for panels, common practice",
    remedies:
      level === "holds"
        ? []
        : [
            ...(slower
              ? [set(`Use ${slower.name[0].toLowerCase()}${slower.name.slice(1)}`, ["glueUp", "adhesive"], slower.id)]
              : []),
            ...(hands < 2 && worst.minutes / 2 <= SURE * adhesive.open
              ? [set("Get a second pair of hands", ["glueUp", "hands"], 2)]
              : []),
          ],
  });
}
