"use client";
import { useThree } from "@react-three/fiber";
import { useEffect, useMemo } from "react";
import { EdgesGeometry, Matrix4, Vector3 } from "three";
import { AssemblyPart, bodyOf, standingBody } from "../../core/assembly/part";
import { cross } from "../../core/assembly/vector";
import { geometryOf, grainOf } from "./geometry";

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

/** Faces that meet at more than this show an edge, degrees; its colour is a pencil's. */
const CREASE = 20;
const EDGE = "#4a3a1a";

/** The parts where they stand, drawn out along the ways their joints open. */
export function Parts({ parts, wood, apart, alone, onPick }: Given) {
  const invalidate = useThree((state) => state.invalidate);
  // one texture a wood
  const woods = parts.map((part) => wood(part.kind).join(" ")).join("|");
  const grains = useMemo(
    () => new Map([...new Set(woods.split("|"))].map((each) => [each, grainOf(each.split(" ") as [string, string])])),
    [woods],
  );
  const open = apart > 0 || alone !== null;
  const bodies = useMemo(
    () =>
      parts.map((part) => {
        // closed, no joint is seen: bodies are cut when one is to be looked into
        const geometry = geometryOf(open ? bodyOf(part) : standingBody(part), part.place);
        return { part, geometry, edges: new EdgesGeometry(geometry, CREASE), stands: standsAt(part) };
      }),
    [parts, open],
  );
  useEffect(() => () => grains.forEach((grain) => grain.dispose()), [grains]);
  useEffect(
    () => () => bodies.forEach(({ geometry, edges }) => [geometry, edges].forEach((each) => each.dispose())),
    [bodies],
  );
  useEffect(() => invalidate(), [apart, alone, bodies, grains, invalidate]);
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
          onClick={(event) => {
            event.stopPropagation();
            onPick(part.id);
          }}
        >
          {/* faces stand back a little, so that the edges in them are whole lines */}
          <meshBasicMaterial
            vertexColors
            map={grains.get(wood(part.kind).join(" "))}
            polygonOffset
            polygonOffsetFactor={1}
            polygonOffsetUnits={2}
          />
        </mesh>
        <lineSegments geometry={edges} matrix={stands} matrixAutoUpdate={false}>
          <lineBasicMaterial color={EDGE} transparent opacity={0.55} />
        </lineSegments>
      </group>
    ));
}

function standsAt({ place: { at, x, y } }: AssemblyPart): Matrix4 {
  const basis = [x, y, cross(x, y)].map(([a, b, c]) => new Vector3(a, b, c));
  return new Matrix4().makeBasis(basis[0], basis[1], basis[2]).setPosition(...at);
}
