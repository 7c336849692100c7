/** The piece from above, from the front and from its end: projections of its parts, with the dimensions a maker may type. */
import { toPiece } from "../assembly/place";
import { useOf } from "../brief/uses";
import { baseOf } from "../construction/base";
import { TOP_NAMES } from "../piece/movement-choices";
import { TOP_KINDS } from "../construction/top/part";
import { View, VIEWS } from "./projection";
import { dimension, Item, line, Scene, shifted } from "./scene";
import { Drawable, viewItems } from "./views";

/** Where the floor lies in a view: feet keep the wood off it. */
const floorOf = ({ lifted }: Drawable["geometry"]) => -(lifted?.by ?? 0);

/** How far a view must reach along and across: over the top, and over what stands past it. */
const reachOf = ({ top, frame }: Drawable["geometry"]) => ({
  long: Math.max(top.length, frame.length),
  wide: Math.max(top.width, frame.width),
});

/** From above: the top, and what is below it dashed. */
export function planScene(drawable: Drawable): Scene {
  const { geometry: at, form } = drawable;
  const { length, width } = at.top;
  const { long, wide } = reachOf(at);
  return {
    id: "plan",
    title: `Plan: top ${length} by ${width} mm, what bears it below.`,
    bounds: { x: -long / 2, y: -wide / 2, w: long, h: wide },
    margin: [38, 58, 46, 58],
    items: [
      ...viewItems(drawable, VIEWS.plan, true),
      ...marksOnEnds(drawable.assembly, long),
      ...baseOf(form.kind).dimensions(form, at).plan,
      dimension([-length / 2, width / 2], [length / 2, width / 2], {
        offset: 22,
        value: length,
        edit: { path: ["form", "top", "length"], name: "Top length" },
      }),
      dimension([length / 2, width / 2], [length / 2, -width / 2], {
        offset: 22,
        value: width,
        edit: { path: ["form", "top", "width"], name: "Top width" },
      }),
    ],
  };
}

/** Marks of what stands upright as they are read from above, beside it toward the middle: on it they would lie among its lines. */
const marksOnEnds = ({ parts }: Drawable["assembly"], long: number): Item[] =>
  parts
    .filter(({ role, place }) => (role === "leg" || role === "post") && Math.abs(place.x[1]) > 0.9)
    .map(({ id, shape, place }): Item => {
      const [x, , z] = toPiece(place, [shape.length, shape.width / 2, shape.thickness / 2]);
      const off = Math.max(shape.width, shape.thickness) / 2 + Math.min(BESIDE, long * BESIDE_SHARE);
      // two that stand near the middle would be written over each other
      const crowded = x !== 0 && Math.abs(x) - off < long * CROWDED;
      const inward = x > 0 === crowded ? 1 : -1;
      const beside = x + inward * off;
      return {
        kind: "text",
        x: beside,
        y: -z + Math.sign(z) * ASIDE,
        text: id,
        ink: "graphite",
        size: 13,
        anchor: inward > 0 ? "start" : "end",
        dy: 4,
      };
    });
/** Clear of a corner block, and of the lines of a rail, mm. */
const BESIDE = 130;
/** and no more than this share of a short piece */
const BESIDE_SHARE = 0.07;
const ASIDE = 35;
/** So near the middle a mark is written on the other side, as a share of the piece's length. */
const CROWDED = 0.1;

/** From the front. */
export function frontScene(drawable: Drawable): Scene {
  const { geometry: at, form } = drawable;
  const high = at.under + at.top.thickness;
  const half = at.top.length / 2;
  const floor = floorOf(at);
  return {
    id: "front",
    title: `Front: ${form.height} mm high, ${Math.round(at.kneeRoom)} mm of knee room. ${baseOf(form.kind).describe(form, at)}`,
    bounds: { x: -half, y: floor, w: at.top.length, h: high - floor },
    margin: [14, 58, 34, 58],
    items: [
      ...elevation(drawable, VIEWS.front, at.top.length, true),
      dimension([half, high], [half, floor], {
        offset: 22,
        value: form.height,
        edit: { path: ["form", "height"], name: "Height" },
      }),
      ...baseOf(form.kind).dimensions(form, at).front,
      dimension([-half, high], [-half, at.under], {
        offset: -22,
        value: at.top.thickness,
        edit: { path: ["form", "top", "thickness"], name: "Top thickness" },
      }),
    ],
  };
}

/** From the right-hand end. */
export function sideScene(drawable: Drawable): Scene {
  const { geometry: at, form } = drawable;
  const { wide } = reachOf(at);
  const floor = floorOf(at);
  return {
    id: "side",
    title: `End: top ${at.top.width} mm wide.`,
    bounds: { x: -wide / 2, y: floor, w: wide, h: at.under + at.top.thickness - floor },
    margin: [14, 62, 44, 20],
    items: [...elevation(drawable, VIEWS.side, at.top.width, true), ...baseOf(form.kind).dimensions(form, at).side],
  };
}

/** Front and end side by side, to one scale. */
export function elevationsScene(drawable: Drawable): Scene {
  const [front, side] = [frontScene(drawable), sideScene(drawable)];
  const { long: length, wide: width } = reachOf(drawable.geometry);
  const between = 320;
  const dx = length / 2 + between + width / 2;
  return {
    id: "elevations",
    title: `${front.title} ${side.title}`,
    margin: [18, 66, 44, 64],
    bounds: { ...front.bounds, x: -length / 2, w: length + between + width },
    items: [...front.items, ...side.items.map((item) => shifted(item, dx))],
  };
}

/** The whole table small, for the bench. */
export function thumbScene(drawable: Drawable): Scene {
  const { geometry: at } = drawable;
  const floor = floorOf(at);
  return {
    id: "thumb",
    title: `A ${useOf(drawable.form).noun} ${at.top.length} mm long and ${drawable.form.height} mm high`,
    margin: [2, 2, 2, 2],
    bounds: { x: -at.top.length / 2, y: floor, w: at.top.length, h: at.under + at.top.thickness - floor },
    items: elevation(drawable, VIEWS.front, at.top.length, false),
  };
}

/** Front and end small, side by side, for choosing by. */
export function choiceScene(drawable: Drawable): Scene {
  const { geometry: at } = drawable;
  const { long: length, wide: width } = reachOf(at);
  const between = 0.12 * length;
  const dx = length / 2 + between + width / 2;
  const floor = floorOf(at);
  const high = at.under + at.top.thickness - floor;
  return {
    id: "choice",
    title: baseOf(drawable.form.kind).name,
    margin: [4, 4, 4, 4],
    bounds: { x: -length / 2, y: floor, w: length + between + width, h: high },
    items: [
      ...viewItems(drawable, VIEWS.front, false),
      ...viewItems(drawable, VIEWS.side, false).map((item) => shifted(item, dx)),
    ],
  };
}

/** The top small from above. */
export function topChoiceScene(drawable: Drawable): Scene {
  const { length, width } = drawable.geometry.top;
  const parts = drawable.assembly.parts.filter((part) => TOP_KINDS.includes(part.kind));
  return {
    id: "top-choice",
    title: `${TOP_NAMES.field[drawable.form.field]}, at its ends ${TOP_NAMES.ends[drawable.form.ends].toLowerCase()}`,
    margin: [4, 4, 4, 4],
    bounds: { x: -length / 2, y: -width / 2, w: length, h: width },
    items: viewItems({ ...drawable, assembly: { parts }, small: [] }, VIEWS.plan, false),
  };
}

/** A view over the floor's line, with what the top's edge shows. */
function elevation(drawable: Drawable, view: View, wide: number, hidden: boolean): Item[] {
  const { geometry: at } = drawable;
  const floor = line(
    [
      [-wide / 2 - 40, floorOf(at)],
      [wide / 2 + 40, floorOf(at)],
    ],
    "faint",
  );
  return [...viewItems(drawable, view, hidden), floor];
}
