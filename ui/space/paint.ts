import { DataTexture, GLSL3, RawShaderMaterial, Texture } from "three";

/**
 * One small program draws faces and edges: a picture of the wood times the light baked into each corner. A browser that draws without a graphics
 * card compiles it in a tenth of the time that the library's own materials take.
 */
const VERTEX = `precision highp float;
uniform mat4 modelViewMatrix, projectionMatrix;
in vec3 position, color;
in vec2 uv;
out vec3 light;
out vec2 spot;
void main() {
  light = color;
  spot = uv;
  gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
}`;
const FRAGMENT = `precision mediump float;
uniform sampler2D wood;
uniform float cover;
in vec3 light;
in vec2 spot;
out vec4 seen;
void main() {
  seen = vec4(texture(wood, spot).rgb * light, cover);
}`;

/** The same without a picture of the wood: what is compiled for the first picture is as little as draws a body. */
const DRAFT_VERTEX = `precision highp float;
uniform mat4 modelViewMatrix, projectionMatrix;
in vec3 position, color;
out vec3 light;
void main() {
  light = color;
  gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
}`;
const DRAFT_FRAGMENT = `precision mediump float;
in vec3 light;
out vec4 seen;
void main() {
  seen = vec4(light, 1.0);
}`;

/** Paint for a first picture: colours as they are told at the corners. */
export const draftPaint = () =>
  new RawShaderMaterial({ vertexShader: DRAFT_VERTEX, fragmentShader: DRAFT_FRAGMENT, glslVersion: GLSL3 });

/** How much of what lies behind an edge it covers, 0 to 1. By eye. */
const EDGE_COVERS = 0.55;

/** Paint for faces. They stand back a little, so that the edges in them are whole lines. */
export const facesOf = (wood: Texture) =>
  new RawShaderMaterial({
    ...{ vertexShader: VERTEX, fragmentShader: FRAGMENT, glslVersion: GLSL3 },
    uniforms: { wood: { value: wood }, cover: { value: 1 } },
    ...{ polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 2 },
  });

/** Paint for edges in a pencil's colour, red, green, blue of 255. */
export function edgesIn(pencil: readonly [number, number, number]): RawShaderMaterial {
  const wood = new DataTexture(new Uint8Array([...pencil, 255]), 1, 1);
  wood.needsUpdate = true;
  return new RawShaderMaterial({
    ...{ vertexShader: VERTEX, fragmentShader: FRAGMENT, glslVersion: GLSL3 },
    uniforms: { wood: { value: wood }, cover: { value: EDGE_COVERS } },
    transparent: true,
  });
}
