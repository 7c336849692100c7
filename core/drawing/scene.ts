/**
 * Drawings as data. A scene is in mm, x to the right and y up; texts and the distance of dimension lines are in pixels, so
 * that they read the same at every scale. One component renders scenes on the screen and on paper.
 */
import type { Stage } from "../verdict/verdict";

export type Point = [x: number, y: number];

/** How a line or an area is meant, not how it looks. */
export type Ink =
  | "outline"
  | "hidden"
  | "faint"
  | "layout"
  | "wash"
  | "hole"
  | "peg"
  | "tool"
  | "void"
  | "fix"
  | "room"
  | "paper"
  | "cut";

interface Drawn {
  id?: string;
  label?: string;
}

export type Item =
  | (Drawn & { kind: "rect"; x: number; y: number; w: number; h: number; ink: Ink; round?: number })
  | (Drawn & { kind: "path"; points: Point[]; closed: boolean; ink: Ink; fill?: string })
  | (Drawn & { kind: "circle"; x: number; y: number; r: number; ink: Ink })
  | (Drawn & {
      kind: "wood";
      x: number;
      y: number;
      w: number;
      h: number;
      colour: readonly [string, string];
      seed: number;
      grain: "x" | "y";
      pale?: boolean;
    })
  | (Drawn & {
      kind: "rings";
      x: number;
      y: number;
      w: number;
      h: number;
      colour: readonly [string, string];
      left: number;
      right: number;
      barkUp: boolean;
      turn?: number;
    })
  /** a planed face of any outline; its grain is turned by so many degrees from the right, or shows its ends */
  | (Drawn & {
      kind: "face";
      points: Point[];
      /** other outlines of the same face: holes in it, or pieces beside it */
      more?: Point[][];
      colour: readonly [string, string];
      seed: number;
      grain: number | "end";
    })
  | (Drawn & { kind: "hatch"; x: number; y: number; w: number; h: number })
  | {
      kind: "text";
      x: number;
      y: number;
      text: string;
      anchor?: "start" | "middle" | "end";
      ink?: "ink" | "graphite" | "layout" | "grain";
      size?: number;
      dx?: number;
      dy?: number;
    }
  | { kind: "dimension"; from: Point; to: Point; offset: number; value: number; fine?: boolean; edit?: Edit };

/** A dimension that can be typed over: which input it is, and its name for whoever can't see the drawing. */
export interface Edit {
  path: (string | number)[];
  name: string;
}

/** A dimension that a maker may type over: what it is called, and where in the form it stands. */
export const formEdit = (name: string, ...path: string[]): Edit => ({ path: ["form", ...path], name });

export interface Scene {
  id: string;
  /** what it shows, for whoever can't see it */
  title: string;
  bounds: { x: number; y: number; w: number; h: number };
  /** pixels kept free round the bounds for dimensions and notes: top, right, bottom, left */
  margin: [number, number, number, number];
  items: Item[];
  stage?: Stage;
}

/** A rectangle from one corner to the other, whichever way they lie: a rail between legs that overlap is drawn where they do. */
export const rect = ({ x, y, w, h }: { x: number; y: number; w: number; h: number }, ink: Ink, id?: string): Item => ({
  kind: "rect",
  x: Math.min(x, x + w),
  y: Math.min(y, y + h),
  w: Math.abs(w),
  h: Math.abs(h),
  ink,
  id,
});
export const line = (points: Point[], ink: Ink): Item => ({ kind: "path", points, closed: false, ink });
export const dimension = (
  from: Point,
  to: Point,
  { offset, value, edit }: { offset: number; value: number; edit?: Edit },
): Item => ({
  kind: "dimension",
  from,
  to,
  offset,
  value,
  edit,
});

/** The same item further to the right by `dx` mm. */
export const shifted = (item: Item, dx: number): Item => moved(item, dx, 0);
/** The same item further up by `dy` mm. */
export const shiftedUp = (item: Item, dy: number): Item => moved(item, 0, dy);

function moved(item: Item, dx: number, dy: number): Item {
  const point = ([x, y]: Point): Point => [x + dx, y + dy];
  switch (item.kind) {
    case "path":
      return { ...item, points: item.points.map(point) };
    case "face":
      return {
        ...item,
        points: item.points.map(point),
        ...(item.more ? { more: item.more.map((each) => each.map(point)) } : {}),
      };
    case "dimension":
      return { ...item, from: point(item.from), to: point(item.to) };
    default:
      return { ...item, x: item.x + dx, y: item.y + dy };
  }
}

/** A whole number from a name, so that a board's figure is always its own. */
export function seedOf(name: string): number {
  let seed = 7;
  for (const letter of name) seed = (seed * 31 + letter.charCodeAt(0)) % 100003;
  return seed;
}
