import type { Form } from "../../piece/schema";
import { fine, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { outlineOff, scribed, scribedFrom, scribeRound } from "./scribe";

/** A pencil's line, mm. Ours. */
const LINE = 0.6;

/** A scribed outline still runs round what the top lies on; measured anew, that has moved. */
export function outlineFollows({ form, at }: { form: Form; at: PieceGeometry }): Verdict | null {
  const { outline, around, points } = form.top;
  if (outline !== "points" || around === null || around === undefined) return null;
  const now = scribed(scribedFrom(at, form), around);
  if (now.length === 0) return null;
  const off = outlineOff(points, now);
  const holds = off <= LINE;
  return verdict({
    id: "form.scribed",
    stage: "form",
    subject: ["top"],
    level: holds ? "holds" : "tight",
    text: holds
      ? `The outline runs ${mm(around)} round what the top lies on`
      : Number.isFinite(off)
        ? `What the top lies on stands elsewhere than when its outline was scribed: ${fine(off)}`
        : "What the top lies on has other corners than when its outline was scribed",
    why: `The line a disc of ${mm(around)} leaves that is rolled round legs and rails as they stand: straight beside them, an arc of its own radius at each corner.`,
    remedies: holds
      ? []
      : [
          { label: "Scribe it again", patches: scribeRound(at, form, around) },
          set("Keep its points as they are", ["form", "top", "around"], null),
        ],
  });
}
