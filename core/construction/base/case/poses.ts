import type { AssemblyPart, Pose } from "../../../assembly/part";
import { add, Vec } from "../../../assembly/vector";
import type { Case, Drawer } from "./case";

/** A drawer is drawn out by so much of its depth; of several each lower one further, so that all are looked into. Ours. */
const OUT = { one: 0.75, first: 0.3, last: 0.8 };

/** Which parts are a drawer's, by their marks. */
const partsOf = ({ n }: Pick<Drawer, "n">) => [`C${n}`, `VF${n}`, `V${2 * n - 1}`, `V${2 * n}`, `VB${n}`, `X${n}`];

/** The case with its drawers drawn out, all of them and each by itself, and with its doors open. */
export function casePoses(at: Case, parts: readonly AssemblyPart[]): Pose[] {
  return [...drawnOut(at, parts), ...opened(at, parts)];
}

/** Doors turned a right angle about the edge they hang on. */
function opened({ doors, deep }: Case, parts: readonly AssemblyPart[]): Pose[] {
  if (doors.length === 0) return [];
  const byId = new Map(parts.map((part) => [part.id, part]));
  const places = Object.fromEntries(
    doors.flatMap(({ n, hung, across, overlay, thickness, face }) => {
      const hinge = hung < 0 ? across.from : across.to;
      // what points right turns to the front when it hangs left, to the back when it hangs right
      const turn = ([x, y, z]: Vec): Vec => [hung * z + 0, y, -hung * x + 0];
      const about = (spot: Vec): Vec => {
        const back = overlay ? face - thickness : deep.to;
        const [x, y, z] = turn([spot[0] - hinge, spot[1], spot[2] - back]);
        // a cup hinge keeps the open door within its own width
        return [x + hinge - (overlay ? hung * thickness : 0), y, z + back];
      };
      return [
        `RS${2 * n - 1}`,
        `RS${2 * n}`,
        `R${2 * n - 1}`,
        `R${2 * n}`,
        `B${n}`,
        ...[2, 1, 0].map((i) => `RB${3 * n - i}`),
      ].flatMap((id) => {
        const part = byId.get(id);
        if (!part) return [];
        const { at, x, y } = part.place;
        return [[id, { at: about(at), x: turn(x), y: turn(y) }] as const];
      });
    }),
  );
  return [{ id: "doors", name: doors.length > 1 ? "all doors open" : "its door open", places }];
}

function drawnOut({ drawers, bays }: Case, parts: readonly AssemblyPart[]): Pose[] {
  if (drawers.length === 0) return [];
  const byId = new Map(parts.map((part) => [part.id, part]));
  const out = (drawer: Drawer, share: number): Pose["places"] =>
    Object.fromEntries(
      partsOf(drawer).flatMap((id) => {
        const part = byId.get(id);
        const far = (drawer.turned ? -share : share) * (drawer.deep.to - drawer.deep.from);
        return part ? [[id, { ...part.place, at: add(part.place.at, [0, 0, far]) }]] : [];
      }),
    );
  const share = ({ bay, row }: Drawer) => {
    const rows = bays[bay].openings.length;
    return rows === 1 ? OUT.one : OUT.first + ((OUT.last - OUT.first) * row) / (rows - 1);
  };
  const each = drawers.map((drawer): Pose => ({
    id: `drawer-${drawer.n}`,
    name: `drawer ${drawer.n} out`,
    places: out(drawer, OUT.one),
  }));
  if (drawers.length === 1) return each;
  const all = Object.assign({}, ...drawers.map((drawer) => out(drawer, share(drawer)))) as Pose["places"];
  return [{ id: "drawers", name: "all drawers out", places: all }, ...each];
}
