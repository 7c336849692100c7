import { pith } from "../../core/movement/coefficient";
import { seeded } from "../../core/units/seeded";

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** A planed face: its colour and a few lines of figure along the grain, always the same for the same seed. Pixels. */
export function WoodFace({
  x,
  y,
  w,
  h,
  colour,
  seed,
  grain,
  pale,
  paper,
}: Box & { colour: readonly [string, string]; seed: number; grain: "x" | "y"; pale?: boolean; paper: boolean }) {
  if (w <= 0 || h <= 0) return null;
  const next = seeded(seed + 1);
  const along = grain === "x";
  const [length, across] = along ? [w, h] : [h, w];
  const count = Math.max(1, Math.min(7, Math.round(across / 8)));
  const lines = Array.from({ length: count }, (_, i) => {
    const at = ((i + 0.25 + 0.5 * next()) / count) * across;
    const bend = (next() - 0.5) * Math.min(6, across / 4);
    const hold = (n: number) => Math.min(across - 1, Math.max(1, n));
    const points = [
      [0, at],
      [length * 0.3, hold(at + bend)],
      [length * 0.65, hold(at - bend)],
      [length, hold(at + bend / 3)],
    ].map(([a, b]) => (along ? `${r(x + a)} ${r(y + b)}` : `${r(x + b)} ${r(y + a)}`));
    return `M${points[0]} C${points[1]}, ${points[2]}, ${points[3]}`;
  });
  return (
    <g opacity={pale && !paper ? 0.55 : 1}>
      <rect x={r(x)} y={r(y)} width={r(w)} height={r(h)} fill={paper ? "#fff" : colour[0]} />
      {!paper && seed % 2 === 1 && <rect x={r(x)} y={r(y)} width={r(w)} height={r(h)} fill="#fff" opacity=".16" />}
      <path d={lines.join("")} stroke={paper ? "#ccc" : colour[1]} strokeWidth=".8" fill="none" opacity=".8" />
      <rect
        x={r(x)}
        y={r(y)}
        width={r(w)}
        height={r(h)}
        fill="none"
        stroke={paper ? "#000" : shade(colour[1])}
        strokeWidth=".8"
      />
    </g>
  );
}

/** A planed face of any outline, its figure turned with its grain; where its ends show, it is paler and has none. Pixels. */
export function WoodShape({
  points,
  more = [],
  grain,
  colour,
  seed,
  id,
  paper,
}: {
  points: readonly [number, number][];
  more?: readonly (readonly [number, number][])[];
  grain: number | "end";
  colour: readonly [string, string];
  seed: number;
  id: string;
  paper: boolean;
}) {
  const outline = [points, ...more].map((loop) => `M${loop.map(([x, y]) => `${r(x)} ${r(y)}`).join("L")}z`).join("");
  if (grain === "end")
    return (
      <path
        d={outline}
        fillRule="evenodd"
        fill={paper ? "#fff" : colour[0]}
        fillOpacity={paper ? 1 : 0.8}
        stroke="none"
      />
    );
  // figure is drawn along x and turned into place
  const turn = -grain;
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const local = [points, ...more].flat().map(([x, y]) => [x * cos + y * sin, y * cos - x * sin]);
  const [xs, ys] = [local.map(([x]) => x), local.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return (
    <>
      <clipPath id={id}>
        <path d={outline} clipRule="evenodd" />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        <g transform={`rotate(${turn.toFixed(3)})`}>
          <WoodFace
            {...{ x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y }}
            colour={colour}
            seed={seed}
            grain="x"
            paper={paper}
          />
        </g>
      </g>
    </>
  );
}

/** End grain: rings are circles round a pith below the bark side, or slanted lines where they run straight. `mm` is pixels a mm. */
export function EndGrain({
  x,
  y,
  w,
  h,
  colour,
  left,
  right,
  barkUp,
  id,
  mm,
  paper,
}: Box & {
  paper: boolean;
  colour: readonly [string, string];
  left: number;
  right: number;
  barkUp: boolean;
  id: string;
  mm: number;
}) {
  const centre = pith(w / mm, left, right);
  const clip = `rings-${id.replace(/\W/g, "-")}`;
  const step = Math.max(3.2, h / 8);
  const marks: string[] = [];
  if (centre && centre.distance * mm < 6000) {
    const cx = x + centre.offset * mm;
    const cy = barkUp ? y + centre.distance * mm : y + h - centre.distance * mm;
    const corners = [
      [x, y],
      [x + w, y],
      [x, y + h],
      [x + w, y + h],
    ].map(([a, b]) => Math.hypot(a - cx, b - cy));
    const inside = cx >= x && cx <= x + w && cy >= y && cy <= y + h;
    const nearest = inside
      ? 2
      : Math.max(
          2,
          Math.min(...corners, cx >= x && cx <= x + w ? Math.min(Math.abs(cy - y), Math.abs(cy - y - h)) : Infinity),
        );
    for (let radius = nearest; radius <= Math.max(...corners); radius += step)
      marks.push(
        `M${r(cx - radius)} ${r(cy)}a${r(radius)} ${r(radius)} 0 1 0 ${r(2 * radius)} 0a${r(radius)} ${r(radius)} 0 1 0 ${r(-2 * radius)} 0`,
      );
  } else {
    const angle = (((left + right) / 2) * Math.PI) / 180;
    const slope = Math.tan(angle) * (barkUp ? 1 : -1);
    const steep = Math.abs(slope) > 0.02;
    const gap = step / Math.max(0.15, Math.abs(Math.sin(angle)));
    if (steep)
      for (let at = x - h / Math.abs(slope) - gap; at < x + w + h / Math.abs(slope); at += gap)
        marks.push(`M${r(at)} ${r(y)}L${r(at + h / slope)} ${r(y + h)}`);
    else for (let at = y + step / 2; at < y + h; at += step) marks.push(`M${r(x)} ${r(at)}H${r(x + w)}`);
  }
  return (
    <g>
      <clipPath id={clip}>
        <rect x={r(x)} y={r(y)} width={r(w)} height={r(h)} />
      </clipPath>
      <rect x={r(x)} y={r(y)} width={r(w)} height={r(h)} fill={paper ? "#fff" : colour[0]} />
      <path
        d={marks.join("")}
        clipPath={`url(#${clip})`}
        stroke={paper ? "#555" : shade(colour[1])}
        strokeWidth={paper ? ".6" : "1.1"}
        fill="none"
        opacity=".85"
      />
      <rect x={r(x)} y={r(y)} width={r(w)} height={r(h)} fill="none" stroke={paper ? "#000" : shade(colour[1])} />
    </g>
  );
}

/** A darker tone of a colour, for edges. */
function shade(hex: string): string {
  const part = (from: number) =>
    Math.round(parseInt(hex.slice(from, from + 2), 16) * 0.78)
      .toString(16)
      .padStart(2, "0");
  return `#${part(1)}${part(3)}${part(5)}`;
}
const r = (n: number) => Math.round(n * 100) / 100;
