/** The small parts that joints bring with them: loose tenons, pins, wedges, screws. They are counted and drawn, and come from no board of their own. */
import { bodiesOf } from "../joinery/kinds";
import type { Brought } from "../joinery/joint";
import { Meeting, settled } from "./meeting";
import type { AssemblyPart } from "./part";
import { seenFrom, within } from "./place";
import { add, times } from "./vector";

/** One of them where it stands. */
export interface SmallPart extends Pick<AssemblyPart, "id" | "name" | "shape" | "place" | "opens"> {
  /** the joint it belongs to */
  by: string;
  of: Brought["of"];
  sold?: Brought["sold"];
  plural: string;
  /** the part it is fixed to outside, where it is seen however the piece stands */
  on?: string;
  /** lies away with the part it is on, see `AssemblyPart` */
  away?: true | undefined;
  /** lies in the wood of the part it goes with: nothing of it is seen from outside */
  within?: true;
  /** belongs to another that is counted: both are bought as one */
  comesWith?: true;
}

/** The same small parts with parts elsewhere: what is fixed to one has gone with it. */
export function goneWith(
  small: readonly SmallPart[],
  from: readonly Pick<AssemblyPart, "id" | "place">[],
  to: readonly Pick<AssemblyPart, "id" | "place">[],
): SmallPart[] {
  const places = (parts: typeof from) => new Map(parts.map(({ id, place }) => [id, place]));
  const [before, after] = [places(from), places(to)];
  return small.flatMap((each) => {
    if (each.away && !after.has(each.on ?? "")) return [];
    const [was, is] = [before.get(each.on ?? ""), after.get(each.on ?? "")];
    return was && is && was !== is ? { ...each, place: within(is, seenFrom(was, each.place)), away: undefined } : each;
  });
}

/** What is fixed to parts outside, as bodies that are drawn with them. */
export const fixedOutside = (small: readonly SmallPart[]): AssemblyPart[] =>
  small.flatMap(({ id, name, shape, place, opens, on, within: inside }) =>
    on === undefined || inside
      ? []
      : [
          {
            ...{ id, name, shape, place, opens, kind: "fixed", letter: "", role: "bought", make: "solid", note: "" },
            ...{ adds: [], cuts: [], bought: { mass: 0, weeks: 0, measured: false } },
          },
        ],
  );

/** Everything the joints of these meetings bring; pulled apart, it stays halfway between what it holds. */
export function smallParts(meetings: readonly Meeting[], parts: readonly AssemblyPart[]): SmallPart[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return meetings.flatMap(({ joint, face, enters, receives, outward }, n) =>
    (bodiesOf(joint, outward).brings ?? []).map(
      ({ name, plural = `${name}s`, of, sold, shape, place }, i): SmallPart => {
        const [one, other] = [enters, receives].map((id) => byId.get(id)?.opens ?? ([0, 0, 0] as const));
        return {
          id: `${joint.id}-${n + 1}-${i + 1}`,
          ...{ name, plural, of, shape, ...(sold ? { sold } : {}) },
          place: settled(within(face, place)),
          opens: times(add(one, other), 0.5),
          by: joint.id,
          // with the part it holds
          ...(byId.get(enters)?.away ? { on: enters, away: true as const, within: true as const } : {}),
        };
      },
    ),
  );
}

/** Small parts that are alike. Sizes in mm, to a tenth: its length, its width or diameter, and its thickness where it isn't round. */
export interface SmallRow {
  name: string;
  of: Brought["of"];
  /** it is not made from offcuts */
  bought: boolean;
  count: number;
  length: number;
  width: number;
  thickness: number | null;
}

/** Small parts as they are made or bought: alike ones counted together, in the order in which joints bring them. @param times  the piece is made */
export function smallList(parts: readonly SmallPart[], times = 1): SmallRow[] {
  const rows = new Map<string, SmallRow & { plural: string }>();
  for (const { name, plural, of, sold, shape } of parts.filter(({ comesWith }) => !comesWith)) {
    const sizes = sold ? [sold.length, sold.diameter, sold.diameter] : [shape.length, shape.width, shape.thickness];
    const [length, width, thick] = sizes.map((each) => Math.round(each * 10) / 10);
    const thickness = shape.end ? null : thick;
    const key = [name, length, width, thickness].join();
    const row = rows.get(key) ?? {
      name,
      plural,
      of,
      bought: of !== "wood" || sold !== undefined,
      count: 0,
      length,
      width,
      thickness,
    };
    rows.set(key, { ...row, count: row.count + times });
  }
  return [...rows.values()].map(({ plural, ...row }) => ({ ...row, name: row.count > 1 ? plural : row.name }));
}
