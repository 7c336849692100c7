/** What dowels and pocket screws are judged by, beside the walls that every joint has. The worst of each is named. */
import type { JointChoices } from "../piece/schema";
import { USUAL_TENON } from "../piece/base-choices";
import { fine, grade, mm, Remedy, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { DOWEL, Dowelled } from "./dowelled";
import type { KindOfJoint } from "./kinds";
import type { PocketScrewed } from "./pocket-screwed";

interface Facts {
  joints: readonly KindOfJoint[];
  choices: JointChoices;
}

/** A dowel goes so many of its diameters into each part, and at least so many. @source common practice */
const REACH = { good: 2, least: 1.5 };
/** Of a pocket screw so much bites behind the face, and at least so much, mm. @source common practice, from memory */
const BITE = { good: 15, least: 10 };

/** A change to what a joint's group was set to, wherever that is kept. */
const setting = (joint: KindOfJoint, { choices }: Facts, label: string, change: object): Remedy =>
  joint.setAt
    ? set(label, [...joint.setAt], { ...choices.legRail, ...change })
    : set(label, ["joints", "groups", joint.group], {
        ...(choices.groups[joint.group] ?? USUAL_TENON),
        ...change,
      });
/** Cut tenons in their place; the two places where joints are kept call them by names of their own. */
const tenonIt = (joint: KindOfJoint, facts: Facts): Remedy =>
  setting(joint, facts, "Tenon it", { kind: joint.setAt ? "mortise-tenon" : "tenon", thickness: null, length: null });

const times = (all: readonly { count: number }[], each: (joint: never) => number) =>
  all.reduce((sum, joint) => sum + joint.count * each(joint as never), 0);

export function dowels(facts: Facts): Verdict | null {
  const all = facts.joints.filter((each): each is Dowelled => each.kind === "dowelled");
  if (all.length === 0) return null;
  const without = all.find(({ tool }) => tool.kind === "none");
  const single = all.find((each) => each.dowels * each.rows < DOWEL.least);
  const share = ({ reach, diameter }: Dowelled) => reach / diameter;
  const worst = without ?? single ?? all.reduce((a, b) => (share(b) < share(a) ? b : a));
  const deep = grade(share(worst), "at least", REACH.good, REACH.least);
  const level = without ? "fix" : single && deep === "holds" ? "tight" : deep;
  const whole = times(all, (joint: Dowelled) => joint.dowels * joint.rows);
  return verdict({
    id: "joints.dowels",
    stage: "joints",
    subject: [worst.enters, worst.receives],
    level,
    text: without
      ? `${worst.name}: the shop has no dowels of ${mm(worst.diameter)}`
      : single && deep === "holds"
        ? `${worst.name}: a single dowel lets it turn`
        : deep === "holds"
          ? `${whole} dowels hold, ${fine(worst.reach)} or more in each part`
          : `${worst.name}: dowels of ${mm(worst.diameter)} only ${fine(worst.reach)} deep`,
    why: `A dowel goes ${REACH.good} of its diameters into each part; two keep a part from turning. Its sides meet long grain in one part only half way round: it holds less than a tenon.`,
    limit: REACH.good * worst.diameter,
    actual: round1(worst.reach),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(without ? [setting(worst, facts, "Let Taller choose the dowels", { thickness: null })] : []),
            ...(deep !== "holds" ? [setting(worst, facts, "Let Taller choose the length", { length: null })] : []),
            ...(single ? [setting(worst, facts, "Set two dowels", { tenons: 2 })] : []),
            tenonIt(worst, facts),
          ],
  });
}

export function pocketScrews(facts: Facts): Verdict | null {
  const all = facts.joints.filter((each): each is PocketScrewed => each.kind === "pocket-screwed");
  if (all.length === 0) return null;
  const without = all.find(({ tool }) => tool.kind === "none");
  const worst = without ?? all.reduce((a, b) => (b.bite < a.bite ? b : a));
  const level = without ? "fix" : grade(worst.bite, "at least", BITE.good, BITE.least);
  return verdict({
    id: "joints.pocket-screws",
    stage: "joints",
    subject: [worst.enters, worst.receives],
    level,
    text: without
      ? "The shop has no pocket screws"
      : level === "holds"
        ? `${times(all, (joint: PocketScrewed) => joint.screws)} pocket screws bite ${fine(worst.bite)} or more`
        : `${worst.name}: its pocket screws bite only ${fine(worst.bite)}`,
    why: `${worst.name}: a screw of ${mm(worst.long)}, ${fine(worst.seat)} of it before the face. It holds by its thread in long grain, and draws the shoulder tight; the glue on end grain adds little. Pockets show on the inside.`,
    limit: BITE.good,
    actual: round1(worst.bite),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(without ? [] : [setting(worst, facts, "Let Taller choose the screws", { length: null })]),
            tenonIt(worst, facts),
          ],
  });
}
