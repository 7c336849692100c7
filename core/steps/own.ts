import type { BaseWork } from "../construction/base/base";
import type { OwnStanding } from "../construction/own";
import { Step, stepOf as step, TIME } from "./step";

/** What waits until the base stands: it can be brought up to it from outside. */
const SCREWED: readonly string[] = ["screwed", "slotted", "pockets"];

/**
 * The order of a base with what a maker added to it: what enters others by tenons is in hand when the base is closed; what is screwed on waits
 * until it is closed, and is finished with it.
 */
export function withOwn(base: BaseWork, { parts, pairs }: OwnStanding, milled: readonly string[]): BaseWork {
  if (parts.length === 0) return base;
  const kinds = [...new Set(parts.map(({ kind }) => kind))];
  const joinsOf = (kind: string) => pairs.filter((pair) => pair.own === kind && pair.how !== "none");
  // what only meets the top goes on with it
  const trapped = kinds.filter((kind) =>
    joinsOf(kind).some(({ how, to }) => !SCREWED.includes(how) && to !== "top" && !kinds.includes(to)),
  );
  const later = kinds.filter((kind) => !trapped.includes(kind));
  const said = (all: readonly string[]) =>
    all.map((kind) => `${parts.find((part) => part.kind === kind)!.name} (${marks(kind)})`).join(", ");
  const marks = (kind: string) => parts.flatMap((part) => (part.kind === kind ? [part.id] : [])).join(", ");
  const hours = (all: readonly string[]) => parts.filter(({ kind }) => all.includes(kind)).length * TIME.tenon;
  const cut = step({
    id: "cut-own",
    title: "Cut the joints of what was added",
    detail: `${said(trapped)}: tried dry before anything is glued; it can't be brought in afterwards.`,
    ...{ parts: trapped, after: [...milled], hours: hours(trapped) },
    check: "The base closes dry with it, and stands square.",
  });
  const fit = step({
    id: "fit-own",
    title: "Fit what was added",
    detail: `${said(later)}: held where it goes, its pilot holes bored through it; screws last.`,
    ...{ parts: later, after: [...base.closed], hours: hours(later) },
    check: "It lies against what it touches along its whole face.",
  });
  const steps = base.steps.map((each): Step =>
    trapped.length > 0 && each.id === base.closing ? { ...each, after: [...each.after, cut.id] } : each,
  );
  return {
    ...base,
    steps: [...(trapped.length > 0 ? [cut] : []), ...steps, ...(later.length > 0 ? [fit] : [])],
    closed: later.length > 0 ? [...base.closed, fit.id] : base.closed,
  };
}
