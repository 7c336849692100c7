import type { Form } from "../../piece/schema";
import { grade, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { useOf } from "../../brief/uses";

interface Above {
  /** what knees meet: its kind, and how a sentence calls one and several */
  kind: string;
  one: string;
  many: string;
  /** what makes room */
  remedies: (good: number) => Remedy[];
}

/** Room for knees under what a base has below its top; what is sat on, stood at or looked at has none. */
export function kneeRoomUnder(
  form: Pick<Form, "use">,
  at: Pick<PieceGeometry, "kneeRoom">,
  { kind, one, many, remedies }: Above,
): Verdict | null {
  const { kneeRoom } = useOf(form);
  if (!kneeRoom) return null;
  const level = grade(at.kneeRoom, "at least", kneeRoom.good, kneeRoom.least);
  return verdict({
    id: "form.knee-room",
    stage: "form",
    subject: [kind],
    level,
    text:
      level === "holds"
        ? `${mm(at.kneeRoom)} of knee room under the ${many}`
        : `Knees meet the ${one} at ${mm(at.kneeRoom)}`,
    why: `Sitting at a 450 mm seat wants ${mm(kneeRoom.good)}; under ${mm(kneeRoom.least)} a tall guest can't cross legs.`,
    limit: kneeRoom.good,
    actual: at.kneeRoom,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : remedies(kneeRoom.good),
  });
}
