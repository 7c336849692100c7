import { dimension, Item, line, Point, Scene } from "../../../drawing/scene";
import type { Species } from "../../../wood/species";
import type { RailTenon } from "../../../joinery/rail-tenon";
import type { LegAndApron } from "./place";

/** What a section is drawn from. */
interface SectionFacts {
  at: LegAndApron;
  joints: readonly RailTenon[];
  species: Species;
}

/** Looking down on the leg's head, cut through both tenons: reveal, cheeks, mitre, walls. Outer corner at the upper left. */
export function legSectionScene({ at, joints, species }: SectionFacts): Scene {
  const { section: leg, across } = at.leg;
  const [long, end] = joints;
  const stub = Math.max(70, leg * 0.8);
  const turned = (points: Point[]) => flip(points, leg, across);
  const { reveal, thickness: rail } = at.rail;
  const items: Item[] = [
    { kind: "wood", x: 0, y: 0, w: leg, h: across, colour: species.colour, seed: 3, grain: "y", pale: true, id: "leg" },
    {
      kind: "wood",
      x: leg,
      y: across - reveal - rail,
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
    { kind: "path", points: mortise(long, leg, across), closed: true, ink: "void" },
    { kind: "path", points: turned(mortise(end, across, leg)), closed: true, ink: "void" },
    { kind: "path", points: tenon(long, leg, across), closed: true, ink: "outline", id: "tenon" },
    { kind: "path", points: turned(tenon(end, across, leg)), closed: true, ink: "outline", id: "tenon" },
    line(
      [
        [leg, across],
        [leg, 0],
        [0, 0],
      ],
      "outline",
    ),
    dimension([0, across], [leg, across], {
      offset: 18,
      value: leg,
      edit: { path: ["form", "leg", "section"], name: "Leg section" },
    }),
    dimension([leg + stub, across], [leg + stub, across - reveal], {
      offset: 12,
      value: reveal,
      edit: {
        path: ["form", "apron", "reveal"],
        name: "Reveal",
      },
    }),
    dimension([leg + stub * 0.62, across - reveal], [leg + stub * 0.62, across - reveal - rail], {
      offset: 0,
      value: rail,
      edit: {
        path: ["form", "apron", "thickness"],
        name: "Apron thickness",
      },
    }),
    dimension([leg - long.reach, across - long.offset - long.thickness], [leg, across - long.offset - long.thickness], {
      offset: -20,
      value: long.reach,
      edit: { path: ["joints", "legRail", "length"], name: "Tenon length" },
    }),
    dimension([0, across - long.offset], [0, across - long.offset - long.thickness], {
      offset: -20,
      value: long.thickness,
      edit: {
        path: ["joints", "legRail", "thickness"],
        name: "Tenon thickness",
      },
    }),
  ];
  return {
    id: "leg-section",
    title: `Leg section from above: tenons ${long.thickness} mm thick and ${long.reach} mm long, ${long.left.tip} mm of leg beyond them.`,
    bounds: { x: 0, y: -stub, w: leg + stub, h: across + stub },
    margin: [40, 44, 10, 60],
    items,
  };
}

/** `leg` is how much of it lies before the tenon, `across` how much beside. */
function tenon(joint: RailTenon, leg: number, across: number): Point[] {
  const outer = across - joint.offset;
  const inner = outer - joint.thickness;
  const tip = leg - joint.reach;
  return [
    [leg, outer],
    [tip, outer],
    [tip + joint.mitre, inner],
    [leg, inner],
  ];
}
function mortise(joint: RailTenon, leg: number, across: number): Point[] {
  const outer = across - joint.offset;
  const inner = outer - joint.thickness;
  return [
    [leg, outer],
    [leg - joint.mortiseDepth, outer],
    [leg - joint.mortiseDepth, inner],
    [leg, inner],
  ];
}
/** The same joint for the rail that runs the other way: mirrored on the diagonal through the outer corner. */
const flip = (points: Point[], leg: number, across: number): Point[] =>
  points.map(([x, y]): Point => [leg - y, across - x]);
