"use client";
import { ReactNode, useEffect, useId, useRef, useState } from "react";
import type { Edit, Scene } from "../../core/drawing/scene";
import { useUnit } from "../frame/unit";
import { useLit } from "../piece/lit";
import { DimensionField } from "./DimensionField";
import { DimensionLine, dimensionPlace } from "./DimensionLine";
import { Drawn } from "./Drawn";
import { fit, Scale } from "./scale";

interface Given {
  scene: Scene;
  /** pixels, or as much as the width calls for, so that scenes of one width share one scale */
  height: number | "to-width";
  width?: number;
  /** black on white, for sheets that are printed */
  paper?: boolean;
  /** dimensions become typable; returns a sentence when the value makes no sense */
  onEdit?: (edit: Edit, mm: number) => string | null;
  onPick?: (id: string) => void;
  picked?: string | null;
  /** called with scene coordinates while something with an id is dragged, and at the end */
  onDrag?: (id: string, to: { x: number; y: number }, done: boolean) => void;
  children?: (scale: Scale) => ReactNode;
}

/** Renders any scene, on the screen and on paper: the one place where drawings become pixels. */
export function SceneView({
  scene,
  height: asked,
  width: fixed,
  paper = false,
  onEdit,
  onPick,
  picked,
  onDrag,
  children,
}: Given) {
  const box = useRef<HTMLDivElement>(null);
  const [measured, setMeasured] = useState(fixed ?? 880);
  const [typing, setTyping] = useState<number | null>(null);
  const { length } = useUnit();
  const { lit, light } = useLit();
  const name = useId();
  useEffect(() => {
    if (fixed || !box.current) return;
    const watch = new ResizeObserver(([entry]) => setMeasured(Math.max(200, Math.floor(entry.contentRect.width))));
    watch.observe(box.current);
    return () => watch.disconnect();
  }, [fixed]);
  const width = fixed ?? measured;
  const height =
    asked === "to-width"
      ? Math.ceil(
          scene.margin[0] +
            scene.margin[2] +
            ((width - scene.margin[1] - scene.margin[3]) * scene.bounds.h) / scene.bounds.w,
        )
      : asked;
  const scale = fit(scene, width, height);
  const drag = useRef<string | null>(null);
  const place = (event: React.PointerEvent) => {
    const frame = box.current!.getBoundingClientRect();
    return {
      x: scene.bounds.x + (event.clientX - frame.left - scale.x(scene.bounds.x)) / scale.k,
      y:
        scene.bounds.y +
        scene.bounds.h -
        (event.clientY - frame.top - scale.y(scene.bounds.y + scene.bounds.h)) / scale.k,
    };
  };
  const editing = typing === null ? null : scene.items[typing];
  return (
    <div
      ref={box}
      className="relative min-w-0 overflow-hidden"
      style={{ height, width: fixed }}
      data-scene={scene.id}
      onPointerMove={(event) => drag.current && onDrag?.(drag.current, place(event), false)}
      onPointerUp={(event) => {
        if (drag.current) onDrag?.(drag.current, place(event), true);
        drag.current = null;
      }}
    >
      <svg width={width} height={height} aria-labelledby={name} role="group" className="block select-none">
        <title id={name}>{scene.title}</title>
        {scene.items.map((item, i) => {
          if (item.kind === "dimension") {
            return (
              <DimensionLine
                key={i}
                {...dimensionPlace(item, scale, length(item.value, item.fine))}
                text={length(item.value, item.fine)}
                name={item.edit?.name ?? ""}
                paper={paper}
                onOpen={onEdit && item.edit ? () => setTyping(i) : undefined}
                hidden={typing === i}
              />
            );
          }
          // parts that overlap where nothing should fit leave nothing between them to draw
          if ("w" in item && (item.w < 0 || item.h < 0)) return null;
          const id = "id" in item ? item.id : undefined;
          const pickable = id && onPick && !["leg", "chair"].includes(id);
          return (
            <g
              key={i}
              data-id={id}
              className={pickable ? "cursor-pointer" : undefined}
              onClick={pickable ? () => onPick(id) : undefined}
              onPointerDown={
                onDrag && id
                  ? (event) => {
                      drag.current = id;
                      box.current!.setPointerCapture(event.pointerId);
                      onPick?.(id);
                    }
                  : undefined
              }
              onMouseEnter={id && light ? () => light([id]) : undefined}
              onMouseLeave={id ? () => light([]) : undefined}
            >
              <Drawn
                item={item}
                scale={scale}
                paper={paper}
                name={`${name}-${i}`}
                lit={Boolean(id && (lit.includes(id) || picked === id))}
              />
              {"label" in item && item.label && <title>{item.label}</title>}
            </g>
          );
        })}
        {children?.(scale)}
      </svg>
      {editing?.kind === "dimension" && editing.edit && onEdit && (
        <DimensionField
          at={dimensionPlace(editing, scale, length(editing.value)).label}
          name={editing.edit.name}
          value={editing.value}
          onDone={(mm) => {
            const fault = mm === null ? null : onEdit(editing.edit!, mm);
            if (!fault) setTyping(null);
            return fault;
          }}
        />
      )}
    </div>
  );
}
