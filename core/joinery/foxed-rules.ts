import type { Meeting } from "../assembly/meeting";
import type { AssemblyPart } from "../assembly/part";
import { dot } from "../assembly/vector";
import { TenonChoice, USUAL_TENON } from "../piece/base-choices";
import type { JointChoices } from "../piece/schema";
import { fine, Level, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { BlindTenon } from "./blind-tenon";
import { BENDS, Fox, FOX } from "./foxed";
import type { KindOfJoint } from "./kinds";

interface FoxedFacts {
  joints: readonly KindOfJoint[];
  choices: JointChoices;
  meetings: readonly Pick<Meeting, "joint" | "receives" | "face">[];
  parts: readonly Pick<AssemblyPart, "id" | "place">[];
}

/** Foxed tenons: whether the strip beside a kerf bends far enough, whether there is room for two kerfs, and that no pin pulls what wedges hold. */
export function foxedTenons({ joints, choices, meetings, parts }: FoxedFacts): Verdict | null {
  const all = joints.filter(
    (joint): joint is BlindTenon & { fox: Fox } => joint.kind === "blind-tenon" && joint.fox !== null,
  );
  if (all.length === 0) return null;
  const room = ({ tenonWidth, fox }: (typeof all)[number]) => tenonWidth - 2 * (FOX.strip + fox.kerf);
  const narrow = all.find((each) => room(each) < 2 * FOX.strip);
  const pinned = all.find(({ pin }) => pin);
  const splitting = all.find((joint) => splits(joint, meetings, parts));
  const least = all.reduce((a, b) => (b.fox.spread < a.fox.spread ? b : a));
  const named = narrow ?? splitting ?? pinned ?? least;
  const level: Level =
    narrow || splitting || pinned || least.fox.spread < FOX.least
      ? "fix"
      : least.fox.spread < FOX.good
        ? "tight"
        : "holds";
  const mend = (said: string, to: Partial<TenonChoice>) =>
    set(said, ["joints", "groups", named.group], { ...(choices.groups[named.group] ?? USUAL_TENON), ...to });
  return verdict({
    id: "joints.foxed",
    stage: "joints",
    subject: [named.enters, named.receives],
    level,
    text: narrow
      ? `${narrow.name}: a tenon ${mm(narrow.tenonWidth)} wide has no room for two kerfs`
      : splitting
        ? `${splitting.name}: its wedges press across the grain and split what they are let into`
        : pinned
          ? `${pinned.name}: a foxed tenon can’t be drawn in by a pin`
          : level === "holds"
            ? `Foxed, each edge spreads by ${fine(least.fox.spread)}`
            : `${least.name}: too short to be foxed, its edges spread by ${fine(least.fox.spread)} only`,
    why: `The strip of ${mm(FOX.strip)} beside a kerf ${mm(named.fox.depth)} deep breaks when it is bent further: 3 × thickness × way / 2 × length² is at most ${(100 * BENDS).toFixed(1)} %. Wedges press on end grain, along the grain of what receives them. It can’t be driven twice.`,
    limit: FOX.least,
    actual: least.fox.spread,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : pinned && !narrow && !splitting
          ? [mend("Leave the pins out", { pinned: false })]
          : [mend("Leave it without wedges", { foxed: false })],
  });
}

/** The tenon's width lies across the grain of what receives it. */
function splits(joint: BlindTenon, meetings: FoxedFacts["meetings"], parts: FoxedFacts["parts"]): boolean {
  return meetings.some(({ joint: { id }, receives, face }) => {
    const part = id === joint.id ? parts.find((each) => each.id === receives) : null;
    return part ? Math.abs(dot(face.y, part.place.x)) < Math.SQRT1_2 : false;
  });
}
