import { cornerBlock } from "../form/leg-and-apron";
import { USUAL } from "../form/rules";
import type { Plan } from "../plan";
import type { Form } from "../piece/schema";
import { dimension, Item, line, Point, rect, Scene, shifted } from "./scene";

type Drawable = Pick<Plan, "geometry" | "species"> & { form: Form };

/** The table from above: top, legs and rails hidden below it. */
export function planScene({ geometry: at, species, form }: Drawable): Scene {
  const { length, width } = at.top;
  const [hx, hz] = [at.frame.length / 2, at.frame.width / 2];
  const leg = at.leg.section;
  const items: Item[] = topFromAbove(at, form, species.colour);
  for (const x of [-hx, hx - leg]) for (const y of [-hz, hz - leg]) items.push(rect(x, y, leg, leg, "hidden", "leg"));
  for (const side of [-1, 1]) {
    items.push(
      rect(
        -at.longRail.shoulder / 2,
        side * at.longRail.z - at.rail.thickness / 2,
        at.longRail.shoulder,
        at.rail.thickness,
        "hidden",
        "long-rail",
      ),
    );
    items.push(
      rect(
        side * at.endRail.x - at.rail.thickness / 2,
        -at.endRail.shoulder / 2,
        at.rail.thickness,
        at.endRail.shoulder,
        "hidden",
        "end-rail",
      ),
    );
  }
  for (const cross of at.crossRails)
    items.push(
      rect(
        cross.x - at.rail.thickness / 2,
        -cross.shoulder / 2,
        at.rail.thickness,
        cross.shoulder,
        "hidden",
        "cross-rail",
      ),
    );
  if (form.cornerBlocks)
    for (const sx of [-1, 1])
      for (const sz of [-1, 1])
        items.push({
          kind: "path",
          closed: true,
          ink: "hidden",
          id: "corner-block",
          points: blockFromAbove(at).map(([x, y]): Point => [sx * x, sz * y]),
        });
  items.push(
    dimension([-length / 2, width / 2], [length / 2, width / 2], 22, length, {
      path: ["form", "top", "length"],
      name: "Top length",
    }),
  );
  items.push(
    dimension([length / 2, width / 2], [length / 2, -width / 2], 22, width, {
      path: ["form", "top", "width"],
      name: "Top width",
    }),
  );
  items.push(
    dimension([-length / 2, -width / 2], [-hx, -width / 2], -20, form.overhang.end, {
      path: ["form", "overhang", "end"],
      name: "End overhang",
    }),
  );
  items.push(
    dimension([-length / 2, -hz], [-length / 2, -width / 2], -24, form.overhang.side, {
      path: ["form", "overhang", "side"],
      name: "Side overhang",
    }),
  );
  return {
    id: "plan",
    title: `Plan: top ${length} by ${width} mm, legs and rails below.`,
    bounds: { x: -length / 2, y: -width / 2, w: length, h: width },
    margin: [38, 58, 46, 58],
    items,
  };
}

/** The top as it is made: one panel, with end boards, in a frame, or slat by slat. */
function topFromAbove(at: Plan["geometry"], form: Form, colour: [string, string]): Item[] {
  const { length, width } = at.top;
  const wood = (x: number, y: number, w: number, h: number, grain: "x" | "y", id: string, seed: number): Item => ({
    kind: "wood",
    x,
    y,
    w: Math.max(0, w),
    h: Math.max(0, h),
    colour,
    seed,
    grain,
    id,
  });
  const [l, f] = [length / 2, width / 2];
  switch (form.construction) {
    case "solid":
    case "channel":
      return [wood(-l, -f, length, width, "x", "top", 5)];
    case "slatted":
      return Array.from({ length: at.core.count }, (_, i) =>
        wood(-l, -f + i * (at.core.width + form.slats.gap), length, at.core.width, "x", "slat", 61 + i),
      );
    case "breadboard": {
      const b = form.breadboard.width;
      return [
        wood(-l + b, -f, length - 2 * b, width, "x", "top", 5),
        wood(-l, -f, b, width, "y", "end-board", 76),
        wood(l - b, -f, b, width, "y", "end-board", 78),
      ];
    }
    case "framed": {
      const b = form.frame.width;
      return [
        wood(-l + b, -f + b, length - 2 * b, width - 2 * b, "x", "top", 5),
        ...[-f, f - b].map((y, i) => wood(-l, y, length, b, "x", "frame-long", 82 + i)),
        ...[-l, l - b].map((x, i) => wood(x, -f + b, b, width - 2 * b, "y", "frame-end", 86 + i)),
      ];
    }
  }
}

/** From the front: long rail, two legs. */
export function frontScene(drawable: Drawable): Scene {
  const { geometry: at, form } = drawable;
  const items = elevation(drawable, at.top.length, at.frame.length, at.longRail.shoulder, "long-rail");
  const right = at.top.length / 2;
  items.push(
    dimension([right, at.leg.length + at.top.thickness], [right, 0], 22, form.height, {
      path: ["form", "height"],
      name: "Height",
    }),
  );
  const x = -at.longRail.shoulder / 2;
  items.push(
    dimension(
      [x + 0.22 * at.longRail.shoulder, at.rail.upperEdge],
      [x + 0.22 * at.longRail.shoulder, at.rail.lowerEdge],
      0,
      at.rail.depth,
      { path: ["form", "apron", "depth"], name: "Apron depth" },
    ),
  );
  items.push(dimension([0, at.rail.lowerEdge], [0, 0], 0, at.kneeRoom));
  items.push(dimension([x, at.rail.lowerEdge - 70], [-x, at.rail.lowerEdge - 70], 0, at.longRail.shoulder));
  items.push(
    dimension(
      [-at.top.length / 2, at.leg.length + at.top.thickness],
      [-at.top.length / 2, at.leg.length],
      -22,
      at.top.thickness,
      { path: ["form", "top", "thickness"], name: "Top thickness" },
    ),
  );
  return {
    id: "front",
    title: `Front: ${form.height} mm high, ${Math.round(at.kneeRoom)} mm of knee room, long rails ${Math.round(at.longRail.shoulder)} mm between the legs.`,
    bounds: { x: -at.top.length / 2, y: 0, w: at.top.length, h: at.leg.length + at.top.thickness },
    margin: [14, 58, 34, 58],
    items,
  };
}

/** From the end: end rail, two legs. */
export function sideScene(drawable: Drawable): Scene {
  const { geometry: at, form } = drawable;
  const items = elevation(drawable, at.top.width, at.frame.width, at.endRail.shoulder, "end-rail");
  const hz = at.frame.width / 2;
  items.push(
    dimension(
      [-hz, 0],
      [-hz + at.leg.section, 0],
      -18,
      at.leg.section,
      form.leg.taper === "none" ? { path: ["form", "leg", "section"], name: "Leg section" } : undefined,
    ),
  );
  if (form.leg.taper !== "none") {
    items.pop();
    items.push(
      dimension([-hz, at.rail.lowerEdge], [-hz + at.leg.section, at.rail.lowerEdge], -24, at.leg.section, {
        path: ["form", "leg", "section"],
        name: "Leg section",
      }),
    );
    const foot = legOutline(form, at.leg, at.rail.lowerEdge, hz - at.leg.section, 1);
    items.push(
      dimension([foot[3][0], 0], [foot[4][0], 0], -18, at.leg.foot, {
        path: ["form", "leg", "foot"],
        name: "Leg foot",
      }),
    );
  }
  return {
    id: "side",
    title: `End: top ${at.top.width} mm wide, end rails ${Math.round(at.endRail.shoulder)} mm between the legs.`,
    bounds: { x: -at.top.width / 2, y: 0, w: at.top.width, h: at.leg.length + at.top.thickness },
    margin: [14, 20, 44, 20],
    items,
  };
}

/** Front and end side by side, to one scale. */
export function elevationsScene(drawable: Drawable): Scene {
  const [front, side] = [frontScene(drawable), sideScene(drawable)];
  const { length, width } = drawable.geometry.top;
  const between = 320;
  const dx = length / 2 + between + width / 2;
  return {
    id: "elevations",
    title: `${front.title} ${side.title}`,
    margin: [18, 20, 44, 64],
    bounds: { ...front.bounds, w: length + between + width },
    items: [...front.items, ...side.items.map((item) => shifted(item, dx))],
  };
}

/** The whole table small, for the bench. */
export function thumbScene(drawable: Drawable): Scene {
  const { geometry: at } = drawable;
  return {
    id: "thumb",
    title: `A table ${at.top.length} mm long and ${drawable.form.height} mm high`,
    margin: [2, 2, 2, 2],
    bounds: { x: -at.top.length / 2, y: 0, w: at.top.length, h: at.leg.length + at.top.thickness },
    items: elevation(drawable, at.top.length, at.frame.length, at.longRail.shoulder, "long-rail"),
  };
}

function elevation(
  { geometry: at, species, form }: Drawable,
  top: number,
  frame: number,
  rail: number,
  railId: string,
): Item[] {
  const items: Item[] = [
    {
      kind: "wood",
      x: -rail / 2,
      y: at.rail.lowerEdge,
      w: Math.max(0, rail),
      h: at.rail.depth,
      colour: species.colour,
      seed: 21,
      grain: "x",
      id: railId,
    },
  ];
  for (const side of [-1, 1] as const) {
    const points = legOutline(form, at.leg, at.rail.lowerEdge, frame / 2 - at.leg.section, side);
    items.push({ kind: "path", points, closed: true, ink: "paper", fill: species.colour[0], id: "leg" });
    if (form.leg.taper === "none")
      items.push({
        kind: "wood",
        x: side < 0 ? -frame / 2 : frame / 2 - at.leg.section,
        y: 0,
        w: at.leg.section,
        h: at.leg.length,
        colour: species.colour,
        seed: 31 + side,
        grain: "y",
        id: "leg",
      });
    else
      items.push({
        kind: "wood",
        x: side < 0 ? -frame / 2 : frame / 2 - at.leg.section,
        y: at.rail.lowerEdge - USUAL.taperBelow,
        w: at.leg.section,
        h: at.rail.depth + USUAL.taperBelow,
        colour: species.colour,
        seed: 31 + side,
        grain: "y",
        id: "leg",
      });
  }
  items.push({
    kind: "wood",
    x: -top / 2,
    y: at.leg.length,
    w: top,
    h: at.top.thickness,
    colour: species.colour,
    seed: 41,
    grain: "x",
    id: "top",
  });
  const edge = form.top.edge;
  if (edge.kind === "bevel-below" && edge.size > 0)
    for (const side of [-1, 1])
      items.push(
        line(
          [
            [(side * top) / 2, at.leg.length + at.top.thickness * 0.4],
            [side * (top / 2 - edge.size), at.leg.length],
          ],
          "outline",
        ),
      );
  items.push(
    line(
      [
        [-top / 2 - 40, 0],
        [top / 2 + 40, 0],
      ],
      "faint",
    ),
  );
  return items;
}

/** Outline of a leg seen from one side, from its upper outer corner round; tapered ones have a point where the taper begins. */
function legOutline(
  form: Form,
  leg: { section: number; foot: number; length: number },
  lowerEdge: number,
  inner: number,
  side: 1 | -1,
): Point[] {
  const from = lowerEdge - USUAL.taperBelow;
  const outer = inner + leg.section;
  const lost = leg.section - leg.foot;
  const inset = form.leg.taper === "four-faces" ? lost / 2 : 0;
  const points: Point[] = [
    [outer, leg.length],
    [inner, leg.length],
    [inner + lost - inset, 0],
    [outer - inset, 0],
  ];
  const full: Point[] =
    form.leg.taper === "none"
      ? [points[0], points[1], [inner, 0], [outer, 0]]
      : [points[0], points[1], [inner, from], points[2], points[3], [outer, from]];
  return full.map(([x, y]): Point => [side * x, y]);
}

/** A corner block seen from above in the corner where x and y are positive. */
function blockFromAbove(at: Plan["geometry"]): Point[] {
  const x = at.endRail.x - at.rail.thickness / 2;
  const y = at.longRail.z - at.rail.thickness / 2;
  const { near, far } = cornerBlock(at);
  return [
    [x - far, y],
    [x - near, y],
    [x, y - near],
    [x, y - far],
  ];
}
