import { straight } from "../../../assembly/outline";
import type { AssemblyPart, Worked } from "../../../assembly/part";
import { placeOf, seenFrom } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Vec } from "../../../assembly/vector";
import type { BaseFacts } from "../base";
import type { Bought, Stand } from "./stand";
import { Welded, weldedBody } from "./welded";

/** How far a stand is drawn off the top when the piece is pulled apart, mm. */
const PULL = 220;
const NAMES = {
  frames: "Frame",
  hairpins: "Hairpin leg",
  pedestal: "Pedestal",
  lift: "Lifting column",
  welded: "Welded frame",
};

const box = (length: number, width: number, thickness: number): Shape => ({ length, width, thickness });

/** What is bought, where it stands: metal as boxes and bars, near enough to see what it clears. */
export function boughtParts({ at }: BaseFacts<Bought>): AssemblyPart[] {
  const { choices, stands } = at;
  if (at.welded) return [weldedPart(at, at.welded)];
  return stands.map((stand, i): AssemblyPart => {
    const { shape, place, more } = bodyOfStand(at, stand);
    const { u, v } = axesOf(stand);
    const plate: Worked = {
      by: "bought",
      shows: true,
      shape: box(choices.plate.length, choices.plate.width, choices.plate.thickness),
      // flat under the top, its thickness up to the underside
      place: seenFrom(place, {
        at: [
          stand.x - (u.x * choices.plate.length) / 2 + (v.x * choices.plate.width) / 2,
          at.under - choices.plate.thickness,
          stand.z - (u.z * choices.plate.length) / 2 + (v.z * choices.plate.width) / 2,
        ],
        x: [u.x, 0, u.z],
        y: [-v.x, 0, -v.z],
      }),
    };
    return { ...known(at, i + 1), ...{ shape, place }, adds: [plate, ...more] };
  });
}

/** What every part that is bought shares. */
const known = (
  { choices: { kind, mass, weeks, measured, welded } }: Bought,
  n: number,
): Omit<AssemblyPart, "shape" | "place" | "adds"> => ({
  ...{ id: `Y${n}`, kind: "bought-leg", name: NAMES[kind], letter: "Y", role: "bought", make: "solid", note: "" },
  bought: { mass, weeks: weeks + (kind === "welded" ? welded.coatingWeeks : 0), measured },
  cuts: [],
  opens: [0, -PULL, 0],
});

const weldedPart = (at: Bought, welded: Welded): AssemblyPart => ({ ...known(at, 1), ...weldedBody(welded) });

/** A plate's own axes: along it and across it, as it lies under the top. */
export const axesOf = ({ turned = { x: 0, z: 1 } }: Pick<Stand, "turned">) => ({
  u: { x: turned.z, z: -turned.x },
  v: turned,
});

interface Body {
  shape: Shape;
  place: AssemblyPart["place"];
  more: Worked[];
}

/** One that stands by itself. */
function bodyOfStand(at: Bought, stand: Stand): Body {
  const { choices, height } = at;
  const { bar, width } = choices;
  const high = Math.max(1, height);
  const { x, z } = stand;
  const shown = (shape: Shape, place: Worked["place"]): Worked => ({ by: "bought", shows: true, shape, place });
  switch (choices.kind) {
    case "frames": {
      // a closed frame seen from the end: upright its length, across the top its width
      const inside = Math.min(bar, width / 3, high / 3);
      const shape: Shape = {
        ...box(high, width, bar),
        face: {
          outer: straight([
            [0, 0],
            [high, 0],
            [high, width],
            [0, width],
          ]),
          holes: [
            straight([
              [inside, inside],
              [high - inside, inside],
              [high - inside, width - inside],
              [inside, width - inside],
            ]),
          ],
        },
      };
      return { shape, place: { at: [x - bar / 2, 0, z - width / 2], x: [0, 1, 0], y: [0, 0, 1] }, more: [] };
    }
    case "hairpins": {
      const foot: Vec = [x + stand.out.x * choices.spread, 0, z + stand.out.z * choices.spread];
      const { u } = axesOf(stand);
      const heads = [-1, 1].map((side): Vec => {
        const off = side * (choices.plate.length / 2 - bar);
        const head: Vec = [x + u.x * off, high, z + u.z * off];
        const aside = Math.hypot(head[0] - foot[0], head[2] - foot[2]);
        // its end is square to it: the corner that rises stays inside the plate
        const rises = (bar * Math.SQRT1_2 * aside) / Math.hypot(aside, Math.max(1, high - bar));
        return [head[0], high - Math.max(0, rises - choices.plate.thickness), z];
      });
      const rods = heads.map((head) => rodOf(foot, head, bar));
      const [first, second] = rods;
      return {
        shape: first.shape,
        place: first.place,
        more: [shown(second.shape, seenFrom(first.place, second.place))],
      };
    }
    case "welded":
    case "pedestal":
    case "lift": {
      const foot = choices.kind === "pedestal" ? { long: width, wide: width } : { long: bar, wide: width };
      const low = Math.min(20, high / 4);
      const place = placeOf([x - bar / 2, low, z - bar / 2], [0, 1, 0], [0, 0, 1]);
      return {
        shape: box(high - low, bar, bar),
        place,
        more: [
          shown(
            box(foot.long, foot.wide, low),
            seenFrom(place, { at: [x - foot.long / 2, 0, z + foot.wide / 2], x: [1, 0, 0], y: [0, 0, -1] }),
          ),
        ],
      };
    }
  }
}

/** A bar from one point to another, level at its foot. */
function rodOf(from: Vec, to: Vec, bar: number): { shape: Shape; place: Worked["place"] } {
  const way: Vec = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const length = Math.hypot(...way);
  const place = placeOf(from, way, Math.abs(way[2]) > Math.abs(way[0]) ? [1, 0, 0] : [0, 0, 1]);
  const half = bar / 2;
  const across = [place.x, place.y];
  const third: Vec = [
    across[0][1] * across[1][2] - across[0][2] * across[1][1],
    across[0][2] * across[1][0] - across[0][0] * across[1][2],
    across[0][0] * across[1][1] - across[0][1] * across[1][0],
  ];
  return {
    shape: { length, width: bar, thickness: bar, planes: [] },
    place: { ...place, at: from.map((each, i) => each - place.y[i] * half - third[i] * half) as unknown as Vec },
  };
}
