import type { Plan } from "../plan/derived";
import { dimension, Item, Scene } from "./scene";

/** A button in its groove, cut across what bears the top: engagement and room each way. */
export function buttonScene(
  { geometry: at, species }: Pick<Plan, "geometry" | "species">,
  buttons: { tongue: number; engaged: number; grooveDepth: number },
): Scene {
  const t = at.top.thickness;
  const bearer = at.bearers.find((each) => each.run === "along") ?? at.bearers[0];
  const rail = bearer?.thickness ?? 0;
  const drop = 12;
  const tongue = 9;
  const face = 0; // inside face of the rail; the rail stands to the left
  const shoulder = buttons.tongue - buttons.engaged;
  const items: Item[] = [
    {
      kind: "wood",
      x: -rail,
      y: -48,
      w: rail,
      h: 48,
      colour: species.colour,
      seed: 7,
      grain: "x",
      pale: true,
      id: bearer?.kind,
    },
    {
      kind: "rings",
      x: -rail - 35,
      y: 0,
      w: rail + 130,
      h: t,
      colour: species.colour,
      left: -15,
      right: 25,
      barkUp: true,
      id: "top",
    },
    {
      kind: "rect",
      x: -buttons.grooveDepth,
      y: -drop - tongue - 0.5,
      w: buttons.grooveDepth,
      h: tongue + 1,
      ink: "void",
    },
    {
      kind: "path",
      closed: true,
      ink: "paper",
      id: "button",
      points: [
        [face - buttons.engaged, -drop],
        [shoulder, -drop],
        [shoulder, -0.5],
        [shoulder + 45, -0.5],
        [shoulder + 45, -24],
        [shoulder, -24],
        [shoulder, -drop - tongue],
        [face - buttons.engaged, -drop - tongue],
      ],
    },
    { kind: "rect", x: shoulder + 22, y: -24, w: 4, h: 24 + t * 0.6, ink: "tool" },
    dimension([-buttons.grooveDepth, -drop - tongue], [0, -drop - tongue], {
      offset: -34,
      value: buttons.grooveDepth,
      edit: {
        path: ["joints", "buttons", "grooveDepth"],
        name: "Button groove depth",
      },
    }),
    dimension([-buttons.engaged, -drop - tongue], [0, -drop - tongue], {
      offset: -14,
      value: buttons.engaged,
      edit: {
        path: ["joints", "buttons", "engaged"],
        name: "Button engagement",
      },
    }),
    dimension([shoulder - buttons.tongue, -24], [shoulder, -24], {
      offset: -44,
      value: buttons.tongue,
      edit: {
        path: ["joints", "buttons", "tongue"],
        name: "Button tongue",
      },
    }),
  ];
  items.pop();
  items.push({
    kind: "text",
    x: shoulder + 50,
    y: -12,
    text: `tongue ${buttons.tongue} mm`,
    ink: "graphite",
    size: 13,
  });
  return {
    id: "button",
    title: `Button in the ${bearer?.said ?? "rail"}: ${buttons.engaged} mm engaged in a groove ${buttons.grooveDepth} mm deep.`,
    bounds: { x: -rail - 35, y: -48, w: rail + 150, h: 48 + t },
    margin: [6, 40, 26, 10],
    items,
  };
}
