"use client";
import { useThree } from "@react-three/fiber";
import { useEffect, useMemo, useState } from "react";
import { Matrix4, RawShaderMaterial, Texture, Vector3 } from "three";
import { AssemblyPart, bodyOf, standingBody } from "../../core/assembly/part";
import type { Place } from "../../core/assembly/place";
import { solidOf } from "../../core/assembly/shape";
import { coloursOf, STEEL } from "../../core/assembly/material";
import { asStrips } from "../../core/assembly/strips";
import type { SmallPart } from "../../core/assembly/small";
import type { Solid } from "../../core/assembly/solid";
import { cross } from "../../core/assembly/vector";
import { bodyWhereItStands } from "../../core/drawing/standing";
import { draftOf, edgesOf, geometryOf, grainOf } from "./geometry";
import { draftPaint, edgesIn, facesOf } from "./paint";

interface Given {
  parts: readonly AssemblyPart[];
  /** what joints bring with them: seen once the piece is opened */
  small: readonly SmallPart[];
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

/** A body that is drawn, by its colours. */
interface Body extends Pick<AssemblyPart, "id" | "opens" | "place"> {
  colours: readonly [string, string];
  solid: Solid;
  picked: boolean;
}

/** The parts where they stand, drawn out along the ways their joints open. */
export function Parts(given: Given) {
  // a plain picture first: the wood's own follows a picture later
  const [plain, setPlain] = useState(true);
  useEffect(() => {
    const next = requestAnimationFrame(() => setPlain(false));
    return () => cancelAnimationFrame(next);
  }, []);
  return plain ? <Draft {...given} /> : <Wooden {...given} />;
}

/** All parts together in one body, in the plain colours of their woods. */
function Draft({ parts, wood }: Pick<Given, "parts" | "wood">) {
  const [geometry, material] = useMemo(() => {
    const bodies = parts
      .flatMap(asStrips)
      .map((part) => ({ solid: bodyWhereItStands(part).solid, colours: coloursOf(part, wood) }));
    return [draftOf(bodies), draftPaint()];
    // it stands for one picture
  }, []);
  useEffect(() => {
    return () => [geometry, material].forEach((each) => each.dispose());
  }, [geometry, material]);
  return <mesh geometry={geometry} material={material} />;
}

/** Each body in its wood, with its edges drawn. */
function Wooden({ parts, small, wood, apart, alone, onPick }: Given) {
  const invalidate = useThree((state) => state.invalidate);
  const open = apart > 0 || alone !== null;
  const given = useMemo(() => {
    const whole = parts.flatMap(asStrips).map((part): Body => {
      // closed, no joint is seen: bodies are cut when one is to be looked into
      const solid = open ? bodyOf(part) : standingBody(part);
      return { ...part, colours: coloursOf(part, wood), solid, picked: true };
    });
    const between = small
      .filter(({ on }) => open || on !== undefined)
      .map((part): Body => {
        const colours = part.of !== "wood" ? STEEL : wood("");
        return { ...part, colours, solid: solidOf(part.shape), picked: false };
      });
    return [...whole, ...between];
    // the colours' own names decide, not the function that finds them
  }, [
    parts,
    small,
    open,
    parts
      .flatMap(asStrips)
      .map((part) => wood(part.kind).join())
      .join(),
  ]);
  const woods = [...new Set(given.map(({ colours }) => colours.join(" ")))].join("|");
  // one paint a wood
  const paints = useMemo(
    () => new Map(woods.split("|").map((each) => [each, facesOf(grainOf(each.split(" ") as [string, string]))])),
    [woods],
  );
  const pencil = useMemo(() => edgesIn(PENCIL), []);
  const bodies = useMemo(
    () =>
      given.map((body) => {
        const geometry = geometryOf(body.solid, body.place);
        return { body, geometry, lines: edgesOf(body.solid), stands: standsAt(body.place) };
      }),
    [given],
  );
  useEffect(() => () => [...paints.values(), pencil].forEach(thrownAway), [paints, pencil]);
  useEffect(
    () => () => bodies.flatMap(({ geometry, lines }) => [geometry, lines]).forEach((each) => each.dispose()),
    [bodies],
  );
  useEffect(() => invalidate(), [apart, alone, bodies, paints, invalidate]);
  return bodies
    .filter(({ body }) => alone === null || body.id === alone)
    .map(({ body: { id, opens, colours, picked }, geometry, lines, stands }, n) => (
      <group
        key={`${id} ${n}`}
        position={opens.map((each) => each * (alone === null ? apart : 0)) as [number, number, number]}
      >
        <mesh
          geometry={geometry}
          matrix={stands}
          matrixAutoUpdate={false}
          material={paints.get(colours.join(" "))}
          onClick={(event) => {
            event.stopPropagation();
            if (picked) onPick(id);
          }}
        />
        <lineSegments geometry={lines} material={pencil} matrix={stands} matrixAutoUpdate={false} />
      </group>
    ));
}

/** Gives back what a paint holds of the graphics card. */
function thrownAway(paint: RawShaderMaterial): void {
  (paint.uniforms.wood.value as Texture).dispose();
  paint.dispose();
}

function standsAt({ at, x, y }: Place): Matrix4 {
  const basis = [x, y, cross(x, y)].map(([a, b, c]) => new Vector3(a, b, c));
  return new Matrix4().makeBasis(basis[0], basis[1], basis[2]).setPosition(...at);
}
