/** Whether what ends at a leg stays inside the face it ends at. */
import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Form } from "../../../piece/schema";
import type { BaseRuleFacts } from "../base";
import { mending } from "../../mending";
import { innerAt, outerAt, Way } from "./legs";
import { placeSplayedFrame, SplayedFrame, waysOf } from "./place";
import { levelOf, Stick } from "./sticks";

type Facts = BaseRuleFacts<SplayedFrame>;

/** A rail's cheek stays so far inside the leg it enters, mm. @source common practice */
const INSIDE = 3;

/** Where everything would stand by another form; legs that are made have the section they have. */
const placed = (then: Form, { at, form }: Pick<Facts, "at" | "form">) => {
  const made = at.choices.section;
  const section = made === form.splayedFrame.section ? then.splayedFrame.section : made;
  return placeSplayedFrame({ ...then, splayedFrame: { ...then.splayedFrame, section } }, []);
};
const path = (...rest: string[]) => ["form", "splayedFrame", ...rest];

/** What stands of a leg beside a rail's faces, where it is least: upright rails stay behind while the legs go out. */
const besideRail = ({ legs }: SplayedFrame, stick: Stick, way: Way): number =>
  Math.min(
    ...[stick.lower, stick.upper].flatMap((y) => {
      const out = stick.outer + stick.slope * (stick.upper - y);
      return [outerAt(legs, way, y) - out, out - levelOf(stick) - innerAt(legs, way, y)];
    }),
  );

/** The one of several that has least of its leg beside it. */
function leastInLeg(at: SplayedFrame, sticks: readonly Stick[]): { stick: Stick; left: number; level: Level } | null {
  const all = sticks
    .filter(({ holders }) => holders[0].startsWith("L"))
    .map((stick) => ({ stick, left: besideRail(at, stick, waysOf(at.legs, stick)[0]) }));
  if (all.length === 0) return null;
  const least = all.reduce((a, b) => (b.left < a.left ? b : a));
  return { ...least, level: grade(least.left, "at least", INSIDE, 0) };
}

const levelAfter = (at: SplayedFrame, which: "rails" | "lows"): Level => leastInLeg(at, at[which])?.level ?? "holds";

/** The lean that takes a leg away from what stands upright. */
const leanWhy = ({ legs }: SplayedFrame, stick: Stick): string =>
  `over its ${mm(stick.upper - stick.lower)} the leg goes out ${mm(waysOf(legs, stick)[0].tan * (stick.upper - stick.lower))} past it`;
const letLean = ({ rail }: SplayedFrame): Remedy[] =>
  rail.leaning ? [] : [set("Let the rails lean with the legs", path("rail", "stands"), "leaning")];

export function railInLeg({ at, form }: Facts): Verdict {
  const { stick, left, level } = leastInLeg(at, at.rails)!;
  const thinner = Math.floor(at.rail.thickness - (INSIDE - left));
  // a planed face is as wide as a leg makes it
  const section = at.legs.ring ? Math.ceil(at.legs.section + 2 * at.legs.ring.sin * (INSIDE - left)) : Infinity;
  const remedies: Remedy[] = [
    ...letLean(at),
    ...(at.rail.reveal < INSIDE ? [set(`Set the rails ${INSIDE} mm back`, path("rail", "reveal"), INSIDE)] : []),
    ...(thinner >= 12 ? [set(`Make the rails ${thinner} mm thick`, path("rail", "thickness"), thinner)] : []),
    ...(section <= 200 ? [set(`Make the legs ${section} mm square`, path("section"), section)] : []),
  ];
  return verdict({
    id: "form.rail-in-leg",
    stage: "form",
    subject: [stick.kind, "splayed-leg"],
    level,
    text:
      left < 0
        ? `The rail stands ${mm(-left)} out of the leg it enters`
        : `${mm(left)} of the leg stand beside the rail’s faces`,
    why: at.rail.leaning
      ? `The rail leans as the legs do, ${mm(at.rail.reveal)} behind their faces and ${mm(at.rail.thickness)} thick.`
      : `The rail stands upright while the leg leans: ${leanWhy(at, stick)}.`,
    limit: INSIDE,
    actual: Math.round(left * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies: mending(form, level, remedies, (then) => levelAfter(placed(then, { at, form }), "rails")),
  });
}

/** Low down legs are tapered: a stretcher as thick as they are there stands out of them, or into the one beside it. */
export function lowInLeg({ at, form }: Facts): Verdict | null {
  const least = leastInLeg(at, at.lows);
  if (!least) return null;
  const { stick, left, level } = least;
  const thinner = Math.floor(at.choices.low.thickness - 2 * (INSIDE - left));
  return verdict({
    id: "form.stretcher-in-leg",
    stage: "form",
    subject: [stick.kind, "splayed-leg"],
    level,
    text:
      left < 0
        ? `The stretcher stands ${mm(-left)} out of the leg it enters`
        : `${mm(left)} of the leg stand beside the stretcher’s faces`,
    why: `It lies in the middle of the face it enters, ${mm(at.choices.low.thickness)} thick${at.rail.leaning ? " and leaning as the legs do" : `, upright: ${leanWhy(at, stick)}`}.`,
    limit: INSIDE,
    actual: Math.round(left * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies: mending(
      form,
      level,
      [
        ...letLean(at),
        ...(thinner >= 8
          ? [set(`Make the stretchers ${thinner} mm thick`, path("low", "thickness"), thinner)]
          : [set("Leave them out", path("low", "kind"), "none")]),
      ],
      (then) => levelAfter(placed(then, { at, form }), "lows"),
    ),
  });
}
