import { fractions } from "../frame/fractions";
import type { Item, Point } from "../../core/drawing/scene";
import type { Scale } from "./scale";

/** Where a dimension falls, in pixels: its line, its extension lines, and where its number stands. */
export interface DimensionPlace {
  from: Point;
  to: Point;
  extensions: [Point, Point][];
  label: Point;
  turned: boolean;
  wide: number;
}

export function dimensionPlace(item: Extract<Item, { kind: "dimension" }>, scale: Scale, text: string): DimensionPlace {
  const [a, b] = [scale.at(item.from), scale.at(item.to)];
  const run = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const n: Point = [(b[1] - a[1]) / run, -(b[0] - a[0]) / run];
  const off = (p: Point, by: number): Point => [p[0] + n[0] * by, p[1] + n[1] * by];
  const [from, to] = [off(a, item.offset), off(b, item.offset)];
  const wide = text.length * 7.4 + 10;
  const upright = Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]);
  const room = upright ? run > 30 : run > wide + 14;
  const side = Math.sign(item.offset) || 1;
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  // a number that does not fit between its ticks stands outside them
  const label: Point = room
    ? middle
    : upright
      ? [middle[0] + (side * n[0] >= 0 ? 1 : -1) * (wide / 2 + 4), middle[1]]
      : [middle[0], middle[1] + (side * n[1] >= 0 ? 1 : -1) * 13];
  const reach = Math.sign(item.offset) * 5;
  return {
    from,
    to,
    label,
    turned: false,
    wide,
    extensions:
      item.offset === 0
        ? []
        : [
            [off(a, Math.sign(item.offset) * 3), off(a, item.offset + reach)],
            [off(b, Math.sign(item.offset) * 3), off(b, item.offset + reach)],
          ],
  };
}

/** A layout-blue dimension with slashes for ticks; its number is a button where it can be typed over. */
export function DimensionLine({
  from,
  to,
  extensions,
  label,
  wide,
  text,
  name,
  onOpen,
  hidden,
  paper,
}: DimensionPlace & { paper: boolean; text: string; name: string; onOpen?: () => void; hidden: boolean }) {
  const ink = paper ? "#000" : "#1c479f";
  const tick = ([x, y]: Point) => `M${x - 4} ${y + 4}l8-8`;
  return (
    <g>
      <path
        d={`M${from.join(" ")}L${to.join(" ")}${extensions.map(([p, q]) => `M${p.join(" ")}L${q.join(" ")}`).join("")}`}
        stroke={ink}
        fill="none"
        strokeWidth=".9"
      />
      <path d={tick(from) + tick(to)} stroke={ink} strokeWidth="1.4" />
      {!hidden && (
        <g
          role={onOpen ? "button" : undefined}
          tabIndex={onOpen ? 0 : undefined}
          aria-label={onOpen ? `${name}: ${text}. Press Enter to change it.` : undefined}
          className={onOpen ? "group cursor-text outline-none" : undefined}
          onClick={onOpen}
          onKeyDown={
            onOpen
              ? (event) => {
                  if (event.key === "Enter" || event.key === " ") {
                    event.preventDefault();
                    onOpen();
                  }
                }
              : undefined
          }
        >
          <rect x={label[0] - wide / 2} y={label[1] - 16} width={wide} height="32" fill="transparent" />
          <rect
            x={label[0] - wide / 2}
            y={label[1] - 10}
            width={wide}
            height="20"
            rx="3"
            fill={paper ? "#fff" : "#e9eeec"}
            fillOpacity=".88"
            className={
              onOpen
                ? "group-hover:fill-wash group-focus-visible:stroke-layout group-focus-visible:stroke-2"
                : undefined
            }
          />
          <text
            x={label[0]}
            y={label[1] + 4.5}
            textAnchor="middle"
            fontSize="13"
            fontWeight={onOpen ? 600 : 450}
            fill={ink}
            textDecoration={onOpen ? "underline" : undefined}
            style={{ textDecorationStyle: "dotted", textUnderlineOffset: 3 }}
          >
            {fractions(text, "tspan")}
          </text>
        </g>
      )}
    </g>
  );
}
