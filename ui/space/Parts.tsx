"use client";
import { useThree } from "@react-three/fiber";
import { useEffect, useMemo } from "react";
import { Matrix4, RawShaderMaterial, Texture, Vector3 } from "three";
import { AssemblyPart, bodyOf, standingBody } from "../../core/assembly/part";
import { cross } from "../../core/assembly/vector";
import { edgesOf, geometryOf, grainOf } from "./geometry";
import { edgesIn, facesOf } from "./paint";

interface Given {
  parts: readonly AssemblyPart[];
  /** colours by kind of part */
  wood: (kind: string) => readonly [string, string];
  /** 0 together, 1 pulled apart */
  apart: number;
  /** only this one, or all */
  alone: string | null;
  onPick: (id: string) => void;
}

/** A pencil's colour, red, green, blue of 255. */
const PENCIL = [74, 58, 26] as const;

/** The parts where they stand, drawn out along the ways their joints open. */
export function Parts({ parts, wood, apart, alone, onPick }: Given) {
  const invalidate = useThree((state) => state.invalidate);
  // one paint a wood
  const woods = parts.map((part) => wood(part.kind).join(" ")).join("|");
  const paints = useMemo(() => {
    const kinds = [...new Set(woods.split("|"))];
    return new Map(kinds.map((each) => [each, facesOf(grainOf(each.split(" ") as [string, string]))]));
  }, [woods]);
  const pencil = useMemo(() => edgesIn(PENCIL), []);
  const open = apart > 0 || alone !== null;
  const bodies = useMemo(
    () =>
      parts.map((part) => {
        // closed, no joint is seen: bodies are cut when one is to be looked into
        const geometry = geometryOf(open ? bodyOf(part) : standingBody(part), part.place);
        return { part, geometry, edges: edgesOf(geometry), stands: standsAt(part) };
      }),
    [parts, open],
  );
  useEffect(() => () => [...paints.values(), pencil].forEach(thrownAway), [paints, pencil]);
  useEffect(
    () => () => bodies.forEach(({ geometry, edges }) => [geometry, edges].forEach((each) => each.dispose())),
    [bodies],
  );
  useEffect(() => invalidate(), [apart, alone, bodies, paints, invalidate]);
  return bodies
    .filter(({ part }) => alone === null || part.id === alone)
    .map(({ part, geometry, edges, stands }) => (
      <group
        key={part.id}
        position={part.opens.map((each) => each * (alone === null ? apart : 0)) as [number, number, number]}
      >
        <mesh
          geometry={geometry}
          matrix={stands}
          matrixAutoUpdate={false}
          material={paints.get(wood(part.kind).join(" "))}
          onClick={(event) => {
            event.stopPropagation();
            onPick(part.id);
          }}
        />
        <lineSegments geometry={edges} material={pencil} matrix={stands} matrixAutoUpdate={false} />
      </group>
    ));
}

/** Gives back what a paint holds of the graphics card. */
function thrownAway(paint: RawShaderMaterial): void {
  (paint.uniforms.wood.value as Texture).dispose();
  paint.dispose();
}

function standsAt({ place: { at, x, y } }: AssemblyPart): Matrix4 {
  const basis = [x, y, cross(x, y)].map(([a, b, c]) => new Vector3(a, b, c));
  return new Matrix4().makeBasis(basis[0], basis[1], basis[2]).setPosition(...at);
}
