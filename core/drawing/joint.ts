import type { LegRailJoint } from "../joinery/tenon";
import type { Plan } from "../plan";
import { dimension, Item, line, Point, Scene } from "./scene";

/** Looking down on the leg's head, cut through both tenons: reveal, cheeks, mitre, walls. Outer corner at the upper left. */
export function legSectionScene({ geometry: at, joints, species }: Plan): Scene {
  const leg = at.leg.section;
  const [long, end] = joints;
  const stub = Math.max(70, leg * 0.8);
  const { reveal, thickness: rail } = at.rail;
  const items: Item[] = [
    { kind: "wood", x: 0, y: 0, w: leg, h: leg, colour: species.colour, seed: 3, grain: "y", pale: true, id: "leg" },
    {
      kind: "wood",
      x: leg,
      y: leg - reveal - rail,
      w: stub,
      h: rail,
      colour: species.colour,
      seed: 13,
      grain: "x",
      id: "long-rail",
    },
    {
      kind: "wood",
      x: reveal,
      y: -stub,
      w: rail,
      h: stub,
      colour: species.colour,
      seed: 17,
      grain: "y",
      id: "end-rail",
    },
    { kind: "path", points: mortise(long, leg), closed: true, ink: "void" },
    { kind: "path", points: flip(mortise(end, leg), leg), closed: true, ink: "void" },
    { kind: "path", points: tenon(long, leg), closed: true, ink: "outline", id: "tenon" },
    { kind: "path", points: flip(tenon(end, leg), leg), closed: true, ink: "outline", id: "tenon" },
    line(
      [
        [leg, leg],
        [leg, 0],
        [0, 0],
      ],
      "outline",
    ),
    dimension([0, leg], [leg, leg], 18, leg, { path: ["form", "leg", "section"], name: "Leg section" }),
    dimension([leg + stub, leg], [leg + stub, leg - reveal], 12, reveal, {
      path: ["form", "apron", "reveal"],
      name: "Reveal",
    }),
    dimension([leg + stub * 0.62, leg - reveal], [leg + stub * 0.62, leg - reveal - rail], 0, rail, {
      path: ["form", "apron", "thickness"],
      name: "Apron thickness",
    }),
    dimension(
      [leg - long.length, leg - long.offset - long.thickness],
      [leg, leg - long.offset - long.thickness],
      -20,
      long.length,
      { path: ["joints", "legRail", "length"], name: "Tenon length" },
    ),
    dimension([0, leg - long.offset], [0, leg - long.offset - long.thickness], -20, long.thickness, {
      path: ["joints", "legRail", "thickness"],
      name: "Tenon thickness",
    }),
  ];
  return {
    id: "leg-section",
    title: `Leg section from above: tenons ${long.thickness} mm thick and ${long.length} mm long, ${long.walls.tip} mm of leg beyond them.`,
    bounds: { x: 0, y: -stub, w: leg + stub, h: leg + stub },
    margin: [40, 44, 10, 60],
    items,
  };
}

/** The rail's end from the side: tenons, haunch, shoulders, against the leg. */
export function tenonSideScene({ geometry: at, joints, species }: Plan, which: "long-rail" | "end-rail"): Scene {
  const joint = joints.find((each) => each.rail === which)!;
  const depth = at.rail.depth;
  const body = Math.max(60, depth * 0.8);
  const items: Item[] = [
    { kind: "wood", x: 0, y: 0, w: body, h: depth, colour: species.colour, seed: 23, grain: "x", id: which },
    { kind: "rect", x: -at.leg.section, y: -40, w: at.leg.section, h: depth + 40, ink: "hidden", id: "leg" },
  ];
  let y = depth - joint.shoulders.top;
  for (let i = 0; i < joint.tenons; i += 1) {
    items.push({
      kind: "rect",
      x: -joint.length,
      y: y - joint.tenonWidth,
      w: joint.length + (joint.kind === "loose-tenon" ? joint.length : 0),
      h: joint.tenonWidth,
      ink: joint.kind === "loose-tenon" ? "hole" : "paper",
      id: "tenon",
      round: joint.kind === "loose-tenon" ? joint.thickness / 2 : 0,
    });
    if (i === 0)
      items.push(dimension([-joint.length, y], [-joint.length, y - joint.tenonWidth], -18, joint.tenonWidth));
    y -= joint.tenonWidth + joint.gap;
  }
  if (joint.haunch)
    items.push({
      kind: "path",
      closed: true,
      ink: "paper",
      id: "tenon",
      points: [
        [0, depth],
        [0, depth - joint.haunch.width],
        [-joint.haunch.depth, depth - joint.haunch.width],
        [-joint.haunch.depth, depth],
      ],
    });
  items.push(dimension([body, depth], [body, 0], 18, depth, { path: ["form", "apron", "depth"], name: "Apron depth" }));
  items.push(dimension([-joint.length, 0], [0, 0], -12, joint.length));
  items.push(dimension([body * 0.45, depth], [body * 0.45, depth - joint.shoulders.top], 0, joint.shoulders.top));
  return {
    id: `tenon-${which}`,
    title: `Rail end: ${joint.tenons} tenon${joint.tenons > 1 ? "s" : ""} ${joint.tenonWidth.toFixed(1)} mm wide and ${joint.length} mm long.`,
    bounds: { x: -at.leg.section, y: -40, w: at.leg.section + body, h: depth + 40 },
    margin: [14, 54, 20, 20],
    items,
  };
}

/** A button in its groove, cut across a long rail: engagement and room each way. */
export function buttonScene(
  { geometry: at, species }: Plan,
  buttons: { tongue: number; engaged: number; grooveDepth: number },
): Scene {
  const t = at.top.thickness;
  const rail = at.rail.thickness;
  const drop = 12;
  const tongue = 9;
  const face = 0; // inside face of the rail; the rail stands to the left
  const shoulder = buttons.tongue - buttons.engaged;
  const items: Item[] = [
    {
      kind: "wood",
      x: -rail,
      y: -48,
      w: rail,
      h: 48,
      colour: species.colour,
      seed: 7,
      grain: "x",
      pale: true,
      id: "long-rail",
    },
    {
      kind: "rings",
      x: -rail - 35,
      y: 0,
      w: rail + 130,
      h: t,
      colour: species.colour,
      left: -15,
      right: 25,
      barkUp: true,
      id: "top",
    },
    {
      kind: "rect",
      x: -buttons.grooveDepth,
      y: -drop - tongue - 0.5,
      w: buttons.grooveDepth,
      h: tongue + 1,
      ink: "void",
    },
    {
      kind: "path",
      closed: true,
      ink: "paper",
      id: "button",
      points: [
        [face - buttons.engaged, -drop],
        [shoulder, -drop],
        [shoulder, -0.5],
        [shoulder + 45, -0.5],
        [shoulder + 45, -24],
        [shoulder, -24],
        [shoulder, -drop - tongue],
        [face - buttons.engaged, -drop - tongue],
      ],
    },
    { kind: "rect", x: shoulder + 22, y: -24, w: 4, h: 24 + t * 0.6, ink: "tool" },
    dimension([-buttons.grooveDepth, -drop - tongue], [0, -drop - tongue], -34, buttons.grooveDepth, {
      path: ["joints", "buttons", "grooveDepth"],
      name: "Button groove depth",
    }),
    dimension([-buttons.engaged, -drop - tongue], [0, -drop - tongue], -14, buttons.engaged, {
      path: ["joints", "buttons", "engaged"],
      name: "Button engagement",
    }),
    dimension([shoulder - buttons.tongue, -24], [shoulder, -24], -44, buttons.tongue, {
      path: ["joints", "buttons", "tongue"],
      name: "Button tongue",
    }),
  ];
  items.pop();
  items.push({
    kind: "text",
    x: shoulder + 50,
    y: -12,
    text: `tongue ${buttons.tongue} mm`,
    ink: "graphite",
    size: 13,
  });
  return {
    id: "button",
    title: `Button in the long rail: ${buttons.engaged} mm engaged in a groove ${buttons.grooveDepth} mm deep.`,
    bounds: { x: -rail - 35, y: -48, w: rail + 150, h: 48 + t },
    margin: [6, 40, 26, 10],
    items,
  };
}

function tenon(joint: LegRailJoint, leg: number): Point[] {
  const outer = leg - joint.offset;
  const inner = outer - joint.thickness;
  const tip = leg - joint.length;
  return [
    [leg, outer],
    [tip, outer],
    [tip + joint.mitre, inner],
    [leg, inner],
  ];
}
function mortise(joint: LegRailJoint, leg: number): Point[] {
  const outer = leg - joint.offset;
  const inner = outer - joint.thickness;
  return [
    [leg, outer],
    [leg - joint.mortiseDepth, outer],
    [leg - joint.mortiseDepth, inner],
    [leg, inner],
  ];
}
/** The same joint for the rail that runs the other way: mirrored on the diagonal through the outer corner. */
const flip = (points: Point[], leg: number): Point[] => points.map(([x, y]): Point => [leg - y, leg - x]);
