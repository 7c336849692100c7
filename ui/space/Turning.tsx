"use client";
import { useThree } from "@react-three/fiber";
import { RefObject, useEffect } from "react";
import { Camera, Spherical, Vector3 } from "three";
import { OrbitControls } from "three/examples/jsm/controls/OrbitControls.js";

/** What a key turns by, radians, and brings nearer, a share. */
const KEYS: Record<string, { round?: number; over?: number; nearer?: number }> = {
  ArrowLeft: { round: -0.12 },
  ArrowRight: { round: 0.12 },
  ArrowUp: { over: -0.08 },
  ArrowDown: { over: 0.08 },
  "+": { nearer: 0.88 },
  "=": { nearer: 0.88 },
  "-": { nearer: 1.14 },
};

/** Stands a camera where a piece is first seen from: its front, a little from the right and above. */
export function stand(camera: Camera, middle: readonly [number, number, number], reach: number): void {
  const target = new Vector3(...middle);
  camera.position.copy(target).add(new Vector3(0.62, 0.5, 1).normalize().multiplyScalar(reach));
  camera.lookAt(target);
}

/** Turns the view by pointer, and by arrow keys, plus and minus while `frame` has the focus. Pictures are only made when something moves. */
export function Turning({
  frame,
  middle,
  reach,
}: {
  frame: RefObject<HTMLElement | null>;
  middle: readonly [number, number, number];
  reach: number;
}) {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const target = new Vector3(...middle);
    stand(camera, middle, reach);
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.copy(target);
    controls.minDistance = reach / 6;
    controls.maxDistance = reach * 4;
    controls.maxPolarAngle = Math.PI * 0.95;
    controls.addEventListener("change", () => invalidate());
    controls.update();
    const press = (event: KeyboardEvent) => {
      const by = KEYS[event.key];
      if (!by || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      const round = new Spherical().setFromVector3(camera.position.clone().sub(controls.target));
      round.theta += by.round ?? 0;
      round.phi = Math.min(Math.PI * 0.95, Math.max(0.05, round.phi + (by.over ?? 0)));
      round.radius = Math.min(reach * 4, Math.max(reach / 6, round.radius * (by.nearer ?? 1)));
      camera.position.setFromSpherical(round).add(controls.target);
      controls.update();
      invalidate();
    };
    const keys = frame.current;
    keys?.addEventListener("keydown", press);
    return () => {
      keys?.removeEventListener("keydown", press);
      controls.dispose();
    };
  }, [camera, gl, invalidate, frame, middle, reach]);
  return null;
}
