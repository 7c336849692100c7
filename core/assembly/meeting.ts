/** Where parts meet: a joint's bodies laid on the face they share, as each of the two has them in its own frame. */
import { bodiesOf, KindOfJoint } from "../joinery/kinds";
import type { JointBody } from "../joinery/joint";
import type { AssemblyPart, Worked } from "./part";
import { Place, seenFrom, within } from "./place";
import type { Vec } from "./vector";

/** One part enters another. */
export interface Meeting {
  joint: KindOfJoint;
  /** parts by their ids */
  enters: string;
  receives: string;
  /** a second part that the same tenon passes, such as the other half of a lap */
  also?: string;
  /** the face they share, from the corner of the section that enters: x into the part that receives, y along the section's width */
  face: Place;
  /** the side of the face that looks outward, where the joint's two sides differ: 1 far along z (as when it isn't said), −1 at z 0 */
  outward?: 1 | -1;
}

/** Places to a billionth of a mm, so that a part that is only moved keeps its joints to the last digit. */
export const settled = ({ at, x, y }: Place): Place => ({ at: rounded(at), x: rounded(x), y: rounded(y) });
const rounded = (v: Vec): Vec => v.map((each) => Math.round(each * 1e9) / 1e9 + 0) as unknown as Vec;

/** The same parts with the joints of every meeting worked: what each adds and what is taken from it. @throws Error when a part isn't there */
export function joined(parts: readonly AssemblyPart[], meetings: readonly Meeting[]): AssemblyPart[] {
  const adds = new Map<string, Worked[]>();
  const cuts = new Map<string, Worked[]>();
  const byId = new Map(parts.map((part) => [part.id, part]));
  const put = (into: Map<string, Worked[]>, id: string, { joint, face }: Meeting, bodies: readonly JointBody[]) => {
    const part = byId.get(id);
    if (!part) throw new Error(`${joint.id} names ${id}, which is no part.`);
    const mine = bodies.map(({ place, ...body }) => ({
      ...body,
      by: joint.group,
      place: settled(seenFrom(part.place, within(face, place))),
    }));
    into.set(id, [...(into.get(id) ?? []), ...mine]);
  };
  for (const meeting of meetings) {
    const bodies = bodiesOf(meeting.joint, meeting.outward);
    put(adds, meeting.enters, meeting, bodies.adds);
    put(cuts, meeting.enters, meeting, bodies.own);
    put(cuts, meeting.receives, meeting, bodies.cuts);
    if (meeting.also !== undefined) put(cuts, meeting.also, meeting, bodies.cuts);
  }
  return parts.map((part) => ({
    ...part,
    adds: [...part.adds, ...(adds.get(part.id) ?? [])],
    cuts: [...part.cuts, ...(cuts.get(part.id) ?? [])],
  }));
}
