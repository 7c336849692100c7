import type { Ink, Item } from "../../core/drawing/scene";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { EndGrain, WoodFace, WoodShape } from "./figure";
import { hundredth, Scale } from "./scale";

const INKS: Record<Ink, { fill: string; stroke: string; dash?: string; width?: number; opacity?: number }> = {
  outline: { fill: "none", stroke: "#14201c", width: 1.2 },
  hidden: { fill: "none", stroke: "#51605a", dash: "5 4" },
  faint: { fill: "none", stroke: "#9aa8a1", dash: "10 4 2 4" },
  layout: { fill: "none", stroke: "#1c479f", dash: "5 4", width: 1.2 },
  wash: { fill: "#dfe7f5", stroke: "#1c479f", opacity: 0.85 },
  hole: { fill: "#f8faf9", stroke: "#51605a" },
  peg: { fill: "#4a3a1a", stroke: "#4a3a1a" },
  tool: { fill: "#51605a", stroke: "#33403a", opacity: 0.85 },
  void: { fill: "#f8faf9", stroke: "#9aa8a1" },
  fix: { fill: "#f8faf9", stroke: "#ab2018", width: 2 },
  cut: { fill: "none", stroke: "#14201c", width: 2 },
  room: { fill: "#f8faf9", stroke: "#14201c", width: 3 },
  paper: { fill: "#f1e7d2", stroke: "#6d5c36", width: 1 },
};
const TEXT = { ink: "#14201c", graphite: "#51605a", layout: "#1c479f", grain: "#4a3a1a" };

/** One item of a scene as pixels, on the screen or on paper; dimensions are lines of their own. */
export function Drawn({
  item,
  scale,
  name,
  lit,
  paper,
}: {
  item: Exclude<Item, { kind: "dimension" }>;
  scale: Scale;
  name: string;
  lit: boolean;
  paper: boolean;
}) {
  const inkOf = (ink: Ink) =>
    paper
      ? {
          ...INKS[ink],
          fill: ["peg", "tool"].includes(ink) ? "#000" : INKS[ink].fill === "none" ? "none" : "#fff",
          stroke: "#000",
          opacity: ink === "tool" ? 0.55 : 1,
        }
      : INKS[ink];
  const { x, y, k } = scale;
  const { say } = useUnit();
  if (item.kind === "text") {
    return (
      <text
        x={x(item.x) + (item.dx ?? 0)}
        y={y(item.y) + (item.dy ?? 0)}
        textAnchor={item.anchor ?? "start"}
        fill={paper ? "#000" : TEXT[item.ink ?? "ink"]}
        fontSize={Math.max(13, item.size ?? 13)}
        fontWeight={item.ink === "grain" || item.ink === "graphite" ? 450 : 560}
        pointerEvents="none"
      >
        {fractions(say(item.text), "tspan")}
      </text>
    );
  }
  if (item.kind === "circle") {
    const ink = inkOf(item.ink);
    return (
      <circle
        cx={x(item.x)}
        cy={y(item.y)}
        r={hundredth(Math.max(1.5, item.r * k))}
        fill={item.ink === "fix" ? "none" : ink.fill}
        stroke={ink.stroke}
        strokeDasharray={item.ink === "fix" ? "3 2" : undefined}
      />
    );
  }
  if (item.kind === "path") {
    const ink = inkOf(item.ink);
    return (
      <path
        d={`M${item.points.map((point) => scale.at(point).join(" ")).join("L")}${item.closed ? "z" : ""}`}
        fill={(!paper && item.fill) || (item.closed ? ink.fill : "none")}
        stroke={lit ? "#1c479f" : ink.stroke}
        strokeDasharray={ink.dash}
        strokeWidth={lit ? 2 : (ink.width ?? 1)}
        opacity={ink.opacity}
      />
    );
  }
  if (item.kind === "face") {
    const points = item.points.map((point) => scale.at(point));
    return (
      <>
        <WoodShape
          {...item}
          points={points}
          more={item.more?.map((loop) => loop.map((point) => scale.at(point)))}
          id={`face-${name.replace(/\W/g, "-")}`}
          paper={paper}
        />
        {lit && (
          <path
            d={`M${points.map((point) => point.join(" ")).join("L")}z`}
            fill="none"
            stroke="#1c479f"
            strokeWidth="2.5"
          />
        )}
      </>
    );
  }
  const px = {
    x: x(item.x),
    y: y(item.y + item.h),
    w: hundredth(Math.max(0, item.w * k)),
    h: hundredth(Math.max(0, item.h * k)),
  };
  const edge = lit && (
    <rect x={px.x} y={px.y} width={px.w} height={px.h} fill="none" stroke="#1c479f" strokeWidth="2.5" />
  );
  if (item.kind === "wood")
    return (
      <>
        <WoodFace {...px} colour={item.colour} seed={item.seed} grain={item.grain} pale={item.pale} paper={paper} />
        {edge}
      </>
    );
  if (item.kind === "rings")
    return (
      <g
        transform={
          item.turn
            ? `rotate(${(-item.turn).toFixed(3)} ${(px.x + px.w / 2).toFixed(2)} ${(px.y + px.h / 2).toFixed(2)})`
            : undefined
        }
      >
        <EndGrain
          {...px}
          colour={item.colour}
          left={item.left}
          right={item.right}
          barkUp={item.barkUp}
          id={name}
          mm={k}
          paper={paper}
        />
        {edge}
      </g>
    );
  if (item.kind === "hatch") {
    const id = `hatch-${name.replace(/\W/g, "-")}`;
    return (
      <>
        <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="#9aa8a1" />
        </pattern>
        <rect x={px.x} y={px.y} width={px.w} height={px.h} fill={`url(#${id})`} stroke="#9aa8a1" />
      </>
    );
  }
  const ink = inkOf(item.ink);
  return (
    <rect
      x={px.x}
      y={px.y}
      width={px.w}
      height={px.h}
      rx={hundredth(Math.min((item.round ?? 0) * k, px.w / 2, px.h / 2))}
      fill={ink.fill}
      stroke={lit ? "#1c479f" : ink.stroke}
      strokeDasharray={ink.dash}
      strokeWidth={lit ? 2.2 : (ink.width ?? 1)}
      opacity={ink.opacity}
    />
  );
}
