import { mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { at, CaseFacts } from "./facts";
import { SKIRTING } from "./place";

/** The skirting behind it: sides are notched round it, what is closed behind lies above it, or all stands before it. */
export function skirtingClears({
  at: { skirting, lift, corners, foot, legs, plinth, cornered },
  form,
}: CaseFacts): Verdict | null {
  const { height, depth } = form.case.skirting;
  if (height <= 0 || depth <= 0 || form.case.stands === "wall") return null;
  const meets = skirting !== null && skirting.height > lift;
  const raise = Math.ceil(height + SKIRTING.above);
  const behind = Math.ceil(depth + SKIRTING.behind);
  return verdict({
    id: "form.skirting",
    stage: "form",
    subject: ["case-side", "case-bottom"],
    level: meets ? "fix" : "holds",
    text: meets
      ? `The skirting of ${mm(height)} stands higher than the bottom at ${mm(lift)}`
      : skirting === null
        ? "The case stands before the skirting: the top reaches over it to the wall"
        : cornered
          ? `The back posts are notched round the skirting, ${mm(skirting.height)} by ${mm(skirting.depth)}`
          : foot > 0
            ? `The ${legs ? "frame" : plinth ? "plinth" : "foot"} stands before the skirting, the case above it`
            : `The sides are notched round the skirting, ${mm(skirting.height)} by ${mm(skirting.depth)}`,
    why: `A skirting ${mm(height)} high and ${mm(depth)} thick keeps a case off its wall: below the bottom sides are notched, higher up the back meets it.`,
    limit: height + SKIRTING.above,
    actual: lift,
    sense: "at least",
    unit: "mm",
    remedies: meets
      ? [
          set(`Raise the bottom to ${raise} mm`, at("lift"), raise),
          ...(corners === "rails" && behind <= 300
            ? [set(`Let the top overhang by ${behind} mm behind`, at("behind"), behind)]
            : []),
        ]
      : [],
  });
}
