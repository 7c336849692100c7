/** What a fastening holds by where it stands: the field that moves, or what lies across its ends. */
import { wayOf } from "../joinery/fastening";
import { set, Verdict, verdict } from "../verdict/verdict";
import type { MovementFacts } from "./movement-facts";

/** Fasteners that stand under what holds the field's ends, and not under the field. */
export function fastenedAbove({ piece, at, fasteners }: MovementFacts): Verdict | null {
  const { form } = piece;
  if (fasteners.length === 0 || form.ends === "none" || form.field === "slats") return null;
  const ends = fasteners.filter(({ under }) => under === "ends");
  const { many } = wayOf(piece.joints).names;
  if (form.ends === "frame") {
    const field = fasteners.length - ends.length;
    return verdict({
      id: "movement.above",
      stage: "movement",
      subject: fasteners.map(({ id }) => id),
      level: ends.length === 0 ? "tight" : "holds",
      text:
        ends.length === 0
          ? "Only the floating panel is fastened: the frame hangs on its tongue"
          : `${ends.length} of ${fasteners.length} hold the frame${field > 0 ? `, ${field} its panel` : ""}`,
      why: "A frame stays as it is while its panel goes in and out in the grooves: under the frame nothing needs to give, under the panel each must.",
      remedies: [],
    });
  }
  const overhang = Math.ceil(
    form.overhang.end + Math.max(0, ...ends.map(({ x }) => Math.abs(x) - at.core.shoulder / 2)) + 20,
  );
  return verdict({
    id: "movement.above",
    stage: "movement",
    subject: ends.map(({ id }) => id),
    level: ends.length > 0 ? "tight" : "holds",
    text:
      ends.length > 0 ? `${many} at the ends hold the end boards, not the panel` : `${many} all stand under the panel`,
    why:
      ends.length > 0
        ? "An end board stays as long as it is while the panel goes in and out beside it: a screw there must end short of the tongue, or it pins the panel. What holds the panel stands within its shoulders."
        : "A screw under an end board would meet the panel’s tongue.",
    remedies:
      ends.length > 0 ? [set(`Let the ends stand out ${overhang} mm`, ["form", "overhang", "end"], overhang)] : [],
  });
}
