"use client";
import { useRef, useState } from "react";
import type { Board } from "../../core/stock/board";
import { EndGrain, WoodFace } from "../drawing/figure";
import { seedOf } from "../../core/drawing/scene";
import { useUnit } from "../frame/unit";

interface Place {
  x: number;
  y: number;
  length: number;
  width: number;
}
const [WIDTH, EDGE] = [1000, 24];
/** A press without a drag places a defect of this size, mm. */
const USUAL = 40;

/** A board's face and end grain to scale. A press places a defect, a drag gives its size; the keyboard uses the fields below. */
export function BoardPicture({
  board,
  colour,
  onPlace,
}: {
  board: Board;
  colour: [string, string];
  onPlace?: (place: Place) => void;
}) {
  const box = useRef<SVGSVGElement>(null);
  const [from, setFrom] = useState<{ x: number; y: number } | null>(null);
  const [to, setTo] = useState<{ x: number; y: number } | null>(null);
  const { length } = useUnit();
  const widest = Math.max(board.width, board.widthEnd ?? 0, 1);
  const k = Math.min(WIDTH / Math.max(1, board.length), 200 / widest);
  const end = Math.min(3, 120 / widest);
  const height = Math.max(widest * k + EDGE, board.thickness * end + 30);
  const spot = (event: React.PointerEvent) => {
    const frame = box.current!.getBoundingClientRect();
    const scale = frame.width / (WIDTH + 200);
    return {
      x: Math.max(0, Math.min(board.length, (event.clientX - frame.left) / scale / k)),
      y: Math.max(0, Math.min(widest, widest - (event.clientY - frame.top) / scale / k)),
    };
  };
  const half = (mm: number) => Math.round(mm * 2) / 2;
  const area = (a: { x: number; y: number }, b: { x: number; y: number }): Place => {
    const drag = Math.abs(a.x - b.x) > 8 || Math.abs(a.y - b.y) > 8;
    const [w, h] = drag ? [Math.max(5, Math.abs(a.x - b.x)), Math.max(5, Math.abs(a.y - b.y))] : [USUAL, USUAL];
    const [x, y] = drag ? [Math.min(a.x, b.x), Math.min(a.y, b.y)] : [a.x - USUAL / 2, a.y - USUAL / 2];
    return {
      x: half(Math.max(0, Math.min(board.length - w, x))),
      y: half(Math.max(0, Math.min(widest - h, y))),
      length: half(Math.min(w, board.length)),
      width: half(Math.min(h, widest)),
    };
  };
  const rect = (place: Place) => ({
    x: place.x * k,
    y: (widest - place.y - place.width) * k,
    width: place.length * k,
    height: place.width * k,
  });
  const ghost = from && to ? area(from, to) : null;
  return (
    <svg
      ref={box}
      viewBox={`0 0 ${WIDTH + 200} ${Math.ceil(height)}`}
      className={`block w-full touch-none select-none ${onPlace ? "cursor-crosshair" : ""}`}
      role="img"
      aria-label={`${board.id || "The board"}, ${length(board.length)} by ${length(board.width)}, with ${board.defects.length} defects`}
      data-picture="board"
      onPointerDown={
        onPlace
          ? (event) => {
              box.current!.setPointerCapture(event.pointerId);
              const at = spot(event);
              setFrom(at);
              setTo(at);
            }
          : undefined
      }
      onPointerMove={(event) => {
        if (from) setTo(spot(event));
      }}
      onPointerUp={() => {
        if (from && to) onPlace?.(area(from, to));
        setFrom(null);
        setTo(null);
      }}
    >
      <WoodFace
        x={0}
        y={0}
        w={board.length * k}
        h={widest * k}
        colour={colour}
        seed={seedOf(board.id)}
        grain="x"
        paper={false}
      />
      {board.widthEnd !== null && board.widthEnd !== board.width && (
        <path
          d={
            board.widthEnd < board.width
              ? `M0 0L${board.length * k} 0L${board.length * k} ${(board.width - board.widthEnd) * k}z`
              : `M0 0L${board.length * k} 0L0 ${(board.widthEnd - board.width) * k}z`
          }
          fill="#e9eeec"
          stroke="#51605a"
          strokeDasharray="5 4"
        />
      )}
      {board.defects.map((d, i) => (
        <g key={i}>
          <rect
            {...rect(d)}
            fill={d.kind === "sap" ? "#f3e9c8" : d.kind === "wane" ? "#e9eeec" : "#4a3a1a"}
            fillOpacity={d.kind === "sap" || d.kind === "wane" ? 0.8 : 0.55}
            stroke="#4a3a1a"
            rx={d.kind === "knot" ? Math.min(d.length, d.width) * k * 0.5 : 0}
          />
          <text x={rect(d).x + 2} y={Math.max(12, rect(d).y - 3)} fontSize="13" fill="#14201c">
            {d.kind}
          </text>
        </g>
      ))}
      {ghost && <rect {...rect(ghost)} fill="#dfe7f5" fillOpacity="0.7" stroke="#1c479f" strokeDasharray="4 3" />}
      <text x="0" y={widest * k + 17} fontSize="13" fill="#51605a">
        0
      </text>
      <text x={board.length * k} y={widest * k + 17} fontSize="13" fill="#51605a" textAnchor="end">
        {length(board.length)}
      </text>
      <EndGrain
        x={WIDTH + 195 - Math.min(150, board.width * end)}
        y={2}
        w={Math.min(150, board.width * end)}
        h={board.thickness * end}
        colour={colour}
        left={board.ringLeft}
        right={board.ringRight}
        barkUp
        id={`end-${board.id}`}
        mm={Math.min(150, board.width * end) / Math.max(1, board.width)}
        paper={false}
      />
      <text x={WIDTH + 195} y={board.thickness * end + 18} fontSize="13" fill="#51605a" textAnchor="end">
        end grain, bark up
      </text>
    </svg>
  );
}
