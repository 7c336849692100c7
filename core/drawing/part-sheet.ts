/** A part by itself, as it lies on the bench: its face and its edge with every mortise, groove and hole, measured from one end and one edge. */
import { AssemblyPart, bodyOf } from "../assembly/part";
import { HOME, toPiece } from "../assembly/place";
import { solidOf } from "../assembly/shape";
import { boundsOf, stood } from "../assembly/solid";
import type { Species } from "../wood/species";
import { Drawable, projected, View } from "./projection";
import { dimension, Item, Scene, seedOf, shiftedUp } from "./scene";
import { silhouette } from "./silhouette";

const FACE: View = { right: [1, 0, 0], up: [0, 1, 0] };
/** Rolled toward the viewer: the edge that was below lies above. */
const EDGE: View = { right: [1, 0, 0], up: [0, 0, 1] };
/** Between the two views, mm for each mm of the part's length, and at least. */
const GAP = { share: 0.05, least: 60 };
/** Face above, edge below, to one scale, from the end that is marked. */
export function partSheet(part: AssemblyPart, species: Species): Scene {
  const body: Drawable = { id: part.kind, solid: bodyOf(part, FINE) };
  const [low, high] = reach(part);
  const { length, width, thickness } = part.shape;
  const gap = Math.max(GAP.least, (high - low) * GAP.share);
  const view = (of: View): Item[] => [
    ...[{ shape: part.shape, place: HOME }, ...part.adds]
      .map((piece): Item => ({
        kind: "face",
        points: silhouette(piece, stood(solidOf(piece.shape, FINE), piece.place), of),
        colour: species.colour,
        seed: seedOf(part.id),
        grain: 0,
        id: part.kind,
      }))
      .filter((item) => item.kind !== "face" || item.points.length > 2),
    ...opened(part, of),
    ...[...projected([body], of)]
      .sort((a, b) => Number(b.hidden) - Number(a.hidden))
      .map(({ from, to, hidden }): Item => ({
        kind: "path",
        points: [from, to],
        closed: false,
        ink: hidden ? "hidden" : "outline",
        id: part.kind,
      })),
  ];
  const up = thickness + gap;
  const face = [
    ...view(FACE),
    hiddenLetter(part),
    dimension([low, width], [high, width], { offset: 14, value: high - low }),
    dimension([high, width], [high, 0], { offset: 16, value: width }),
    ...(high - low > length + 0.5 ? [dimension([0, 0], [length, 0], { offset: -16, value: length })] : []),
  ];
  return {
    id: `part-${part.id}`,
    title: `${part.name} ${part.id} by itself: ${Math.round(high - low)} by ${Math.round(width)} by ${Math.round(thickness)} mm, face above, edge below.`,
    bounds: { x: low, y: 0, w: high - low, h: width + up },
    margin: [34, 54, 14, 20],
    items: [
      ...face.map((item) => shiftedUp(item, up)),
      ...view(EDGE),
      dimension([high, thickness], [high, 0], { offset: 16, value: thickness }),
    ],
  };
}

/** Its mark where the closed piece hides it: on its first tenon's cheek, or beside what is first cut into it; else by its marked end. */
function hiddenLetter({ id, shape, adds, cuts }: AssemblyPart): Item {
  const [first] = [...adds, ...jointCuts({ cuts })];
  const { least, most } = first
    ? boundsOf(stood(solidOf({ ...first.shape, planes: [] }, FINE), first.place))
    : { least: [0, 0, 0], most: [Math.min(60, shape.length), shape.width, 0] };
  return {
    ...{ kind: "text", x: (least[0] + most[0]) / 2, y: (least[1] + most[1]) / 2, text: id },
    ...{ ink: "graphite", size: 13, anchor: "middle", dy: 4 },
  };
}

/** Mortises, grooves and holes that open on the face a view looks at, shaded: which face is which is seen before a line is read. */
function opened({ kind, shape, cuts }: AssemblyPart, view: View): Item[] {
  const near = view === FACE ? shape.thickness : 0;
  const axis = view === FACE ? 2 : 1;
  return jointCuts({ cuts }).flatMap((cut): Item[] => {
    const solid = stood(solidOf(cut.shape, FINE), cut.place);
    const { least, most } = boundsOf(solid);
    const opens = view === FACE ? most[axis] > near - 0.01 : least[axis] < near + 0.01;
    const points = opens ? silhouette(cut, solid, view) : [];
    return points.length > 2 ? [{ kind: "path", points, closed: true, ink: "void", id: kind }] : [];
  });
}

/** Arcs of a part are drawn so fine, mm. */
const FINE = 0.1;

function reach({ shape, adds }: AssemblyPart): [number, number] {
  const ends = adds.flatMap(({ shape: one, place }) => [
    place.at[0],
    toPiece(place, [one.length, one.width, one.thickness])[0],
  ]);
  return [Math.min(0, ...ends), Math.max(shape.length, ...ends)];
}

/** One thing cut into a part: from its marked end, from its lower edge, from its face; and how long, wide and deep it is there. mm */
export interface CutPlace {
  by: string;
  markedFrom?: string;
  end: number;
  edge: number;
  face: number;
  long: number;
  wide: number;
  deep: number;
}

/** What joints take from a part: an edge that is eased is seen, not measured. */
const jointCuts = ({ cuts }: Pick<AssemblyPart, "cuts">) => cuts.filter(({ by }) => by !== "edge");

/** Everything that is cut into a part, from the marked end on. */
export function cutPlaces(part: AssemblyPart): CutPlace[] {
  const [low] = reach(part);
  const all = jointCuts(part).map(({ by, shape, place, markedFrom }): CutPlace => {
    const corners = [0, shape.length].flatMap((a) =>
      [0, shape.width].flatMap((b) => [0, shape.thickness].map((c) => toPiece(place, [a, b, c]))),
    );
    const span = (i: 0 | 1 | 2, most: number) => {
      const values = corners.map((corner) => corner[i]);
      const from = i === 0 ? Math.min(...values) : Math.max(0, Math.min(...values));
      return { from, size: Math.min(most, Math.max(...values)) - from };
    };
    const [x, y, z] = [span(0, Infinity), span(1, part.shape.width), span(2, part.shape.thickness)];
    return {
      ...{ by, end: x.from - low, edge: y.from, face: z.from, long: x.size, wide: y.size, deep: z.size },
      ...(markedFrom ? { markedFrom } : {}),
    };
  });
  return all.sort((a, b) => a.end - b.end || a.edge - b.edge);
}
