/** The ways legs lean, as choices say them and rules judge them: toward the ends and the sides, or straight out from the middle. */
import type { Form } from "../../../piece/schema";
import { footIn, Way } from "./legs";
import type { SplayedFrame } from "./place";

export interface Toward {
  /** of its verdict */
  id: string;
  /** after a verb: " toward the ends", or nothing */
  toward: string;
  /** what heads are set in from, and by how much, mm */
  from: string;
  setIn: number;
  /** which rails are between legs this way, and where those run */
  kind: string;
  along: string;
  /** how a leg leans, and how its rails have it */
  lean: Way;
  rails: Way;
  /** how far in from the outside of its square a foot stands, mm */
  footIn: number;
  /** how far a leg’s inner face goes along its rails for each mm the head is set in */
  share: number;
  splayAt: string[];
  setInAt: string[];
}

const at = (...path: string[]) => ["form", "splayedFrame", ...path];

export function towardsOf({ splayedFrame }: Form, { legs }: Pick<SplayedFrame, "legs">): Toward[] {
  if (legs.ring)
    return [
      {
        ...{
          id: "form.splay",
          toward: "",
          from: "the rim",
          setIn: splayedFrame.ring.setIn,
          kind: "splay-rail",
          along: "",
        },
        ...{ lean: legs.ring.lean, rails: legs.end, share: legs.ring.sin, footIn: footIn(legs, legs.ring.lean) },
        ...{ splayAt: at("ring", "splay"), setInAt: at("ring", "setIn") },
      },
    ];
  return (["end", "side"] as const).map((way) => ({
    ...{ id: `form.splay-${way}`, toward: ` toward the ${way}s`, from: `the ${way}s`, setIn: splayedFrame.setIn[way] },
    kind: way === "end" ? "splay-rail" : "splay-end-rail",
    along: way === "end" ? " along the top" : " across the top",
    ...{ lean: legs[way], rails: legs[way], share: 1, footIn: footIn(legs, legs[way]) },
    ...{ splayAt: at("splay", way), setInAt: at("setIn", way) },
  }));
}
