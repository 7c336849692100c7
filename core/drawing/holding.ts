/** What holds a top flat, drawn in section. */
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { dimension, Item, line, rect, Scene } from "./scene";

/** What holds the top flat, drawn: a breadboard's tongue and peg, a channel, or a panel's edge in its frame. Null for a plain top. */
export function holdingScene(plan: Plan, piece: Piece): Scene | null {
  const { geometry: at, species, breadboards } = plan;
  const t = at.core.thickness;
  if (breadboards) {
    const { width, peg, drawOffset } = piece.form.breadboard;
    const { length, thickness } = breadboards.tongue;
    const loose = piece.form.breadboard.joint === "loose-tenons";
    const pegAt = length * 0.55;
    const items: Item[] = [
      { kind: "wood", x: -110, y: 0, w: 110, h: t, colour: species.colour, seed: 23, grain: "x", id: "top" },
      {
        kind: "rings",
        x: 0,
        y: 0,
        w: width,
        h: t,
        colour: species.colour,
        left: -25,
        right: 10,
        barkUp: true,
        id: "end-board",
      },
      rect({ x: 0, y: t / 2 - thickness / 2 - 0.4, w: length + 2, h: thickness + 0.8 }, "void"),
      rect(
        { x: loose ? -length : 0, y: t / 2 - thickness / 2, w: loose ? 2 * length : length, h: thickness },
        "paper",
        "tongue",
      ),
      rect({ x: pegAt - peg / 2, y: 0, w: peg, h: t }, "peg", "peg"),
      rect({ x: pegAt - peg / 2 - drawOffset, y: t / 2 - thickness / 2, w: peg, h: thickness }, "hidden"),
      dimension([0, t], [width, t], {
        offset: 34,
        value: width,
        edit: { path: ["form", "breadboard", "width"], name: "End board width" },
      }),
      dimension([0, t], [length, t], {
        offset: 14,
        value: length,
        edit: { path: ["form", "breadboard", "tongue"], name: "Tongue length" },
      }),
      dimension([0, t / 2 + thickness / 2], [0, t / 2 - thickness / 2], {
        offset: -24,
        value: thickness,
        edit: {
          path: ["form", "breadboard", "thickness"],
          name: "Tongue thickness",
        },
      }),
      dimension([pegAt - peg / 2, 0], [pegAt + peg / 2, 0], {
        offset: -14,
        value: peg,
        edit: {
          path: ["form", "breadboard", "peg"],
          name: "Peg",
        },
      }),
    ];
    return {
      id: "holding",
      title: `Breadboard end cut along the top: a tongue ${thickness} mm thick and ${length} mm long, pegs ${peg} mm, bored ${drawOffset} mm nearer the shoulder in the tongue.`,
      bounds: { x: -110, y: 0, w: 110 + width, h: t },
      margin: [44, 12, 30, 12],
      items,
    };
  }
  if (plan.stiffeners?.kind === "channels") {
    const { slot, bolt, washer } = piece.form.channel;
    const items: Item[] = [
      {
        kind: "rings",
        x: -60,
        y: 0,
        w: 120,
        h: t,
        colour: species.colour,
        left: -15,
        right: 25,
        barkUp: true,
        id: "top",
      },
      rect({ x: -26, y: 0, w: 52, h: Math.min(12, t / 2) }, "void"),
      {
        kind: "path",
        closed: false,
        ink: "outline",
        points: [
          [-24, 0],
          [-24, Math.min(11, t / 2)],
          [24, Math.min(11, t / 2)],
          [24, 0],
        ],
      },
      rect({ x: -bolt / 2, y: -4, w: bolt, h: t * 0.75 }, "tool"),
      rect({ x: -washer / 2, y: -1, w: washer, h: 2 }, "outline"),
      dimension([-washer / 2, -4], [washer / 2, -4], {
        offset: -14,
        value: washer,
        edit: {
          path: ["form", "channel", "washer"],
          name: "Washer",
        },
      }),
      { kind: "text", x: 64, y: 4, text: `slot ${slot} mm`, ink: "graphite", size: 13 },
    ];
    return {
      id: "holding",
      title: `A steel channel let in below: ${bolt} mm bolts with ${washer} mm washers in ${slot} mm slots.`,
      bounds: { x: -60, y: -4, w: 180, h: t + 4 },
      margin: [10, 30, 30, 10],
      items,
    };
  }
  if (plan.framed) {
    const { width, groove, gap } = piece.form.frame;
    const tongue = t / 3;
    const items: Item[] = [
      {
        kind: "rings",
        x: 0,
        y: 0,
        w: width,
        h: t,
        colour: species.colour,
        left: -10,
        right: 20,
        barkUp: true,
        id: "frame-long",
      },
      rect({ x: 0, y: t / 2 - tongue / 2 - 0.4, w: groove, h: tongue + 0.8 }, "void"),
      {
        kind: "rings",
        x: -70,
        y: 0,
        w: 70,
        h: t,
        colour: species.colour,
        left: -20,
        right: 5,
        barkUp: true,
        id: "top",
      },
      rect({ x: 0, y: t / 2 - tongue / 2, w: Math.max(0.1, groove - gap), h: tongue }, "paper", "tongue"),
      dimension([0, t], [groove, t], {
        offset: 14,
        value: groove,
        edit: { path: ["form", "frame", "groove"], name: "Groove depth" },
      }),
      dimension([0, 0], [width, 0], {
        offset: -16,
        value: width,
        edit: { path: ["form", "frame", "width"], name: "Frame width" },
      }),
      ...(gap > 0
        ? [
            line(
              [
                [groove - gap, -2],
                [groove - gap, t + 2],
              ],
              "layout",
            ),
          ]
        : []),
    ];
    return {
      id: "holding",
      title: `Panel in its frame: ${gap} mm left free in a groove ${groove} mm deep.`,
      bounds: { x: -70, y: 0, w: 70 + width, h: t },
      margin: [30, 12, 34, 12],
      items,
    };
  }
  return null;
}
