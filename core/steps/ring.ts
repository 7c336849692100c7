/** How a ring is made and screwed on: mitred, glued in halves, sawn round, then held so that the top moves over it. */
import { RING_KINDS } from "../construction/ring/parts";
import { ringOf, ringScrews } from "../construction/ring/ring";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

export function ringSteps(form: Form, before: string): TopStep[] {
  const ring = ringOf(form, form);
  if (!ring) return [];
  const parts = [RING_KINDS.held, RING_KINDS.free];
  const screws = ringScrews(ring);
  const tight = screws.filter((each) => each.tight).length;
  const degrees = 180 / ring.count;
  return [
    {
      id: "ring-mitres",
      title: "Mitre the ring’s segments",
      detail: `${ring.count} of ${fine(ring.long)} from long point to long point, both ends at ${degrees}° to a square cut, from one stop; a ring of offcuts first: what is wrong by a tenth of a degree is wrong by ${ring.count * 2} tenths when it closes. Loose tenons in every mitre, inside the line of the circle.`,
      parts,
      after: ["mill"],
      hours: 1 + 0.25 * ring.count,
      check: "All laid in a band and drawn up dry, no mitre shows light.",
      caution: "Short pieces at a tilted stop: a sled with a clamp, never the fingers.",
    },
    {
      id: "ring-glue",
      title: "Glue the ring in halves, then the halves",
      detail: `${ring.count / 2} segments each on a flat board, in a band. The two ends of each half are trued together to one straight line, so that what is left of the angle goes; then half to half.`,
      parts,
      after: ["ring-mitres"],
      hours: 1.5,
      wait: 24,
      waitFor: "the ring to cure",
      check: "Flat on the board all round.",
    },
    {
      id: "ring-round",
      title: "Saw the ring round",
      detail: `To a radius of ${fine(ring.radius)} about its middle, from a trammel; its inside stays straight, ${fine(ring.radius - ring.inner)} of it left at every mitre. No screw and no tenon lies outside that line. Then its screws: ${tight} round holes in the middle of the two segments at the ends of the grain, slots of ${mm(form.ring.slot)} across the top’s grain in all others.`,
      parts,
      after: ["ring-glue"],
      hours: 1.5,
      caution: "Grain turns from segment to segment: light cuts, downhill in each.",
    },
    {
      id: "ring-on",
      title: "Screw the ring below the top",
      detail: `Centred, no glue. First the ${tight} tight ones on the fixed line; ${screws.length - tight} more in their slots under washers, each a turn loose.`,
      parts: ["top", ...parts],
      after: [before, "ring-round"],
      hours: 0.75,
      check: `Set in by ${mm(form.ring.setIn)} all round.`,
    },
  ];
}
