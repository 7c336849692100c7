import type { AssemblyPart, Pose } from "../../../assembly/part";
import { add } from "../../../assembly/vector";
import type { Case, Drawer } from "./case";

/** A drawer is drawn out by so much of its depth; of several each lower one further, so that all are looked into. Ours. */
const OUT = { one: 0.75, first: 0.3, last: 0.8 };

/** Which parts are a drawer's, by their marks. */
const partsOf = ({ n }: Pick<Drawer, "n">) => [`F${n}`, `V${2 * n - 1}`, `V${2 * n}`, `G${n}`, `X${n}`];

/** The case with its drawers drawn out: all of them, and each by itself. */
export function casePoses({ drawers, bays }: Case, parts: readonly AssemblyPart[]): Pose[] {
  if (drawers.length === 0) return [];
  const byId = new Map(parts.map((part) => [part.id, part]));
  const out = (drawer: Drawer, share: number): Pose["places"] =>
    Object.fromEntries(
      partsOf(drawer).flatMap((id) => {
        const part = byId.get(id);
        const far = share * (drawer.deep.to - drawer.deep.from);
        return part ? [[id, { ...part.place, at: add(part.place.at, [0, 0, far]) }]] : [];
      }),
    );
  const share = ({ bay, row }: Drawer) => {
    const rows = bays[bay].openings.length;
    return rows === 1 ? OUT.one : OUT.first + ((OUT.last - OUT.first) * row) / (rows - 1);
  };
  const each = drawers.map((drawer): Pose => ({
    id: `drawer-${drawer.n}`,
    name: `drawer ${drawer.n} drawn out`,
    places: out(drawer, OUT.one),
  }));
  if (drawers.length === 1) return each;
  const all = Object.assign({}, ...drawers.map((drawer) => out(drawer, share(drawer)))) as Pose["places"];
  return [{ id: "drawers", name: "all drawers drawn out", places: all }, ...each];
}
