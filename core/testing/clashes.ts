import { shared } from "../assembly/carve";
import { Assembly, AssemblyPart, bodyOf, posed } from "../assembly/part";
import { boundsOf, bulkOf, Solid, stood } from "../assembly/solid";

/** Every part as a body where it stands. */
export const bodiesOfParts = (parts: readonly AssemblyPart[]): Map<string, Solid> =>
  new Map(parts.map((part) => [part.id, stood(bodyOf(part), part.place)]));

/** Pairs of parts that fill the same room, with how much of it, mm³. */
export function clashes(parts: readonly AssemblyPart[], bodies = bodiesOfParts(parts)): string[] {
  const boxes = new Map([...bodies].map(([id, body]) => [id, boundsOf(body)]));
  return parts.flatMap((a, i) =>
    parts.slice(i + 1).flatMap((b) => {
      const [p, q] = [boxes.get(a.id)!, boxes.get(b.id)!];
      if ([0, 1, 2].some((axis) => p.most[axis] <= q.least[axis] || q.most[axis] <= p.least[axis])) return [];
      const both = bulkOf(shared(bodies.get(a.id)!, bodies.get(b.id)!)).volume;
      return both > 0.5 ? [`${a.id} and ${b.id} share ${both.toFixed(0)} mm³`] : [];
    }),
  );
}

/** The same as it stands and in every pose it can be in. */
export const clashesInPoses = ({ assembly: { parts, poses = [] } }: { assembly: Assembly }): string[] =>
  [parts, ...poses.map((pose) => posed(parts, pose))].flatMap((each) => clashes(each));

export const partOf = ({ assembly }: { assembly: Assembly }, id: string): AssemblyPart =>
  assembly.parts.find((each) => each.id === id)!;

/** The box round a part where it stands, without what joints add to it or take. */
export function boxOfPart(plan: { assembly: Assembly }, id: string) {
  const part = partOf(plan, id);
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
}
