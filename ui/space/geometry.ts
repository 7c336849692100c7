import { BufferAttribute, BufferGeometry, CanvasTexture, RepeatWrapping, SRGBColorSpace } from "three";
import { AssemblyPart, bodyOf } from "../../core/assembly/part";

/** Length and breadth of wood that one tile of the grain's picture stands for, mm. */
const TILE = { along: 1800, across: 480 };

/** A part's body as triangles in its own frame, with its grain running along its length and rings on its ends. */
export function geometryOf(part: AssemblyPart): BufferGeometry {
  const [points, normals, places]: number[][] = [[], [], []];
  for (const { corners, n } of bodyOf(part)) {
    // an end shows its rings: there the picture is squeezed so that no line runs along
    const end = Math.abs(n[0]) > 0.8;
    const place = ([x, y, z]: readonly [number, number, number]) =>
      end
        ? [y / TILE.across, z / TILE.across]
        : [x / TILE.along, (Math.abs(n[1]) > Math.abs(n[2]) ? z : y) / TILE.across];
    for (let i = 1; i + 1 < corners.length; i += 1)
      for (const corner of [corners[0], corners[i], corners[i + 1]]) {
        points.push(...corner);
        normals.push(...n);
        places.push(...place(corner));
      }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(new Float32Array(points), 3));
  geometry.setAttribute("normal", new BufferAttribute(new Float32Array(normals), 3));
  geometry.setAttribute("uv", new BufferAttribute(new Float32Array(places), 2));
  return geometry;
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
  texture.colorSpace = SRGBColorSpace;
  return texture;
}
