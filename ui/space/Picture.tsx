"use client";
import { GLProps, advance, createRoot, events, extend, flushSync, ReconcilerRoot } from "@react-three/fiber";
import { ReactNode, useEffect, useLayoutEffect, useRef } from "react";
import { Group, LineSegments, Mesh, PerspectiveCamera, WebGLRenderer } from "three";
import { stand } from "./Turning";

extend({ Group, LineSegments, Mesh });

/**
 * A picture of three that fills the box it is in. It is drawn as soon as it is there, at the size its box has then, and again when that changes
 * or a part of it asks for it: the library's own canvas waits to be measured first, which a maker sees as an empty frame.
 */
export function Picture({
  middle,
  reach,
  children,
}: {
  middle: readonly [number, number, number];
  reach: number;
  children: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  const root = useRef<ReconcilerRoot<HTMLCanvasElement>>(undefined);
  const inside = useRef(children);
  inside.current = children;
  const seen = useRef({ middle, reach });
  seen.current = { middle, reach };
  useLayoutEffect(() => {
    const frame = box.current!;
    // a canvas of its own for each time it is opened: one whose context is gone can't be drawn on again
    const canvas = document.createElement("canvas");
    Object.assign(canvas.style, { display: "block", width: "100%", height: "100%" });
    const [wide, high] = [frame.clientWidth, frame.clientHeight];
    // sized before it is drawn on: each change of size afterwards is paid for with a new buffer
    Object.assign(canvas, { width: wide * devicePixelRatio, height: high * devicePixelRatio });
    frame.append(canvas);
    const mine = createRoot(canvas);
    root.current = mine;
    const camera = new PerspectiveCamera(30, 2, 60, 40_000);
    stand(camera, seen.current.middle, seen.current.reach);
    let drawn = 0;
    const fit = async () => {
      const { width, height, top, left } = frame.getBoundingClientRect();
      drawn = width;
      await mine.configure({
        ...{ events, frameloop: "demand", flat: true, dpr: [1, 2], size: { width, height, top, left } },
        ...{ camera, gl: rendererOn },
      });
      // at once: left to its own time it is drawn frames later, and a maker sees an empty box until then
      const store = flushSync(() => mine.render(inside.current));
      advance(performance.now(), true, store.getState());
    };
    void fit();
    const watch = new ResizeObserver(([{ contentRect }]) => {
      if (Math.abs(contentRect.width - drawn) > 0.5) void fit();
    });
    watch.observe(frame);
    return () => {
      watch.disconnect();
      mine.unmount();
      canvas.remove();
    };
  }, []);
  useEffect(() => void root.current?.render(children), [children]);
  return <div ref={box} className="h-full w-full" />;
}

/** Our few programs are tried by the tests: asking the card about each of them makes the page wait for it. */
function rendererOn(given: Parameters<Extract<GLProps, (...all: never[]) => unknown>>[0]): WebGLRenderer {
  const renderer = new WebGLRenderer(given);
  renderer.debug.checkShaderErrors = false;
  return renderer;
}
