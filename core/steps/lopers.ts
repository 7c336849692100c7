/** How bearers of leaves are let into the frame, and fitted. */
import type { PieceGeometry } from "../construction/geometry";
import { LOPER } from "../construction/dropping/lopers";
import type { Form } from "../piece/schema";
import { fine, listed, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

const NOTCH = "loper-notches";

/** The rails are notched while each is by itself. @param milled  the steps that leave them so */
export function loperNotchSteps(form: Form, { drop, bearers }: PieceGeometry, milled: string[]): Step[] {
  const lopers = drop?.lopers ?? [];
  const [first] = lopers;
  if (!drop || !first) return [];
  const rail = bearers.find(({ part }) => part === first.rail)!;
  const { width, height } = form.drop.lopers;
  const mine = lopers.filter(({ rail: each }) => each === first.rail);
  const places = listed(
    mine.map(({ x }) => mm(Math.round(x.from - LOPER.notch + rail.length / 2 - (rail.middle ?? 0)))),
  );
  return [
    stepOf({
      id: NOTCH,
      title: "Notch the rails for the bearers and their guides",
      detail: `Both rails together, inner faces apart. Notches through the upper edge, ${fine(width + 2 * LOPER.notch)} wide and ${fine(height + LOPER.below + LOPER.notch)} deep: in ${first.rail} they begin ${places} from its left shoulder${drop.sides.length > 1 ? ", in the other as many, on the other side of each guide" : ""}. Beside each a housing for its guide in the inner face, ${mm(LOPER.guide)} wide, open above.`,
      parts: [first.kind],
      after: milled,
      hours: 0.3 * lopers.length + 0.5,
      check: "An offcut of the bearers’ stock slides through both without a rattle.",
    }),
  ];
}

/** Nothing of the frame is glued before its rails are notched. */
export const afterNotches = (steps: readonly Step[], first: string, notched: readonly Step[]): Step[] =>
  notched.length === 0
    ? [...steps]
    : steps.map((each) => (each.id === first ? { ...each, after: [...each.after, NOTCH] } : each));

/** Guides and bearers go in once the frame stands, before its top is on. @param closed  the steps that leave it so */
export function loperSteps(form: Form, { drop }: PieceGeometry, closed: readonly string[]): Step[] {
  const lopers = drop?.lopers ?? [];
  if (lopers.length === 0) return [];
  const guides = new Set(lopers.map(({ guide }) => guide)).size;
  const { out, height } = form.drop.lopers;
  return [
    stepOf({
      id: "lopers",
      title: "Set the guides, and fit the bearers on them",
      detail: `${guides} guide${guides > 1 ? "s" : ""}, a tongue of ${mm(LOPER.tongue)} in the middle of each side, dropped into the housings from above, a screw in the middle of each end. ${lopers.length} bearers with a groove ${fine(LOPER.tongue + 2 * LOPER.air)} wide, ${fine(LOPER.below)} below the rails’ upper edges; waxed. A screw up into each, in front of the rail when ${mm(out)} are out: it is its stop, and it can be taken out again. A pad of leather ${fine(LOPER.below)} thick or more on the outer end, until the leaf lies level.`,
      parts: ["loper-guide", "loper"],
      after: ["mill", ...closed],
      hours: 0.5 * guides + 0.4 * lopers.length,
      check: `Drawn out, an end leant on goes down by a hair and no more; ${mm(height)} are the same from end to end.`,
    }),
  ];
}
