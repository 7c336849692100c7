import { BufferAttribute, BufferGeometry, CanvasTexture, Color, RepeatWrapping } from "three";
import { Place, turned } from "../../core/assembly/place";
import type { Solid } from "../../core/assembly/solid";
import { dot, unit, Vec } from "../../core/assembly/vector";
import { creasesOf, linesOf } from "../../core/drawing/edges";

/** How much of a wood's picture is its darker colour, 0 to 1. By eye. */
const DARK_SHARE = 0.25;

/** Length and breadth of wood that one tile of the grain's picture stands for, mm. */
const TILE = { along: 1800, across: 480 };

/** Light from the window: where it comes from, how strong, and what comes from above and from the floor, red, green, blue. By eye. */
const SUN = { from: unit([-900, 2600, 1500]), share: 0.48 };
const SKY: Vec = [0.54, 0.54, 0.54];
const FLOOR: Vec = [0.43, 0.4, 0.35];

/** What a screen makes of light, from memory: brightness to this power. A product of powers is the power of the product, so wood and light are each told so once. */
const SCREEN = 1 / 2.2;

/**
 * How much light falls on a face that looks this way in the piece, as a screen shows it. Parts are drawn apart but never turned, so it can be
 * told once: the card has less to do for each picture.
 *
 * @source Lambert's cosine, and a sky that fades to the floor
 */
const lit = (way: Vec): Vec => {
  const up = 0.5 + 0.5 * way[1];
  const sun = SUN.share * Math.max(0, dot(way, SUN.from));
  return [0, 1, 2].map((i) => (SKY[i] * up + FLOOR[i] * (1 - up) + sun) ** SCREEN) as unknown as Vec;
};

/** A body as triangles in its part's own frame, with its grain running along its length and rings on its ends. */
export function geometryOf(body: Solid, place: Place): BufferGeometry {
  const [points, lights, places]: number[][] = [[], [], []];
  for (const { corners, n } of body) {
    // an end shows its rings: there the picture is squeezed so that no line runs along
    const end = Math.abs(n[0]) > 0.8;
    const light = lit(turned(place, n));
    const spot = ([x, y, z]: readonly [number, number, number]) =>
      end
        ? [y / TILE.across, z / TILE.across]
        : [x / TILE.along, (Math.abs(n[1]) > Math.abs(n[2]) ? z : y) / TILE.across];
    for (let i = 1; i + 1 < corners.length; i += 1)
      for (const corner of [corners[0], corners[i], corners[i + 1]]) {
        points.push(...corner);
        lights.push(...light);
        places.push(...spot(corner));
      }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(new Float32Array(points), 3));
  geometry.setAttribute("color", new BufferAttribute(new Float32Array(lights), 3));
  geometry.setAttribute("uv", new BufferAttribute(new Float32Array(places), 2));
  return geometry;
}

/** Bodies that stand in the piece's frame, in one, each corner in the plain colour of its wood with the light on it. */
export function draftOf(bodies: readonly { solid: Solid; colours: readonly [string, string] }[]): BufferGeometry {
  const [points, colours]: number[][] = [[], []];
  for (const { solid, colours: two } of bodies) {
    const wood = new Color(two[0]).lerp(new Color(two[1]), DARK_SHARE).convertLinearToSRGB().toArray();
    for (const { corners, n } of solid) {
      const light = lit(n);
      const colour = wood.map((each, i) => each * light[i]);
      for (let i = 1; i + 1 < corners.length; i += 1)
        for (const corner of [corners[0], corners[i], corners[i + 1]]) {
          points.push(...corner);
          colours.push(...colour);
        }
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(new Float32Array(points), 3));
  geometry.setAttribute("color", new BufferAttribute(new Float32Array(colours), 3));
  return geometry;
}

/** The edges of a body as lines, in full light wherever they look: where its faces meet at an angle, however they are split. */
export function edgesOf(body: Solid): BufferGeometry {
  const points = creasesOf(linesOf(body)).flatMap(({ from, to }) => [...from, ...to]);
  const count = points.length / 3;
  const edges = new BufferGeometry();
  edges.setAttribute("position", new BufferAttribute(new Float32Array(points), 3));
  edges.setAttribute("color", new BufferAttribute(new Float32Array(3 * count).fill(1), 3));
  edges.setAttribute("uv", new BufferAttribute(new Float32Array(2 * count), 2));
  return edges;
}

/** A tile of long grain in a wood's two colours, the same each time. */
export function grainOf([light, dark]: readonly [string, string]): CanvasTexture {
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [256, 256];
  const pen = canvas.getContext("2d")!;
  pen.fillStyle = light;
  pen.fillRect(0, 0, 256, 256);
  pen.strokeStyle = dark;
  let state = 7;
  const roll = () => (state = (state * 16807) % 2147483647) / 2147483647;
  for (let line = 0; line < 26; line += 1) {
    const y = roll() * 256;
    pen.globalAlpha = 0.25 + 0.45 * roll();
    pen.lineWidth = 0.8 + 2.4 * roll();
    pen.beginPath();
    pen.moveTo(0, y);
    pen.bezierCurveTo(80, y + 5 * roll(), 170, y - 5 * roll(), 256, y);
    pen.stroke();
  }
  const texture = new CanvasTexture(canvas);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  // seen along a long top the lines would blur into one colour
  texture.anisotropy = 8;
  return texture;
}
