/** What fastens a top, drawn in section. */
import { fasteningNeeds } from "../movement/fastenings";
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { PLATE } from "../joinery/fastening/figure-8";
import { buttonScene } from "./button";
import { dimension, Item, rect, Scene } from "./scene";

/** How the top is fastened, cut across a long rail or seen from above, with the sizes that can be changed on it; null where it is joined to what stands below. */
export function fasteningScene(plan: Plan, piece: Piece): Scene | null {
  const { joints } = piece;
  const { geometry: at, species } = plan;
  if (at.bearers.length === 0) return null;
  const bearer = at.bearers.find((each) => each.run === "along") ?? at.bearers[0];
  const across = at.bearers.find((each) => each.run === "across") ?? bearer;
  const [rail, said] = [bearer?.thickness ?? 0, bearer?.said ?? "rail"];
  const t = at.core.thickness;
  const body = (name: string, title: string, items: Item[]): Scene => ({
    id: `fastening-${name}`,
    title,
    bounds: { x: -rail - 35, y: -52, w: rail + 150, h: 52 + t },
    margin: [6, 60, 26, 40],
    items: [
      {
        kind: "wood",
        x: -rail,
        y: -52,
        w: rail,
        h: 52,
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
        w: rail + 150,
        h: t,
        colour: species.colour,
        left: -15,
        right: 25,
        barkUp: true,
        id: "top",
      },
      ...items,
    ],
  });
  switch (piece.form.field === "slats" ? "slat" : joints.fastening) {
    case "slat":
      return {
        ...body("slat", `A slat screwed down to the ${across?.said ?? "rail"} through one clearance hole.`, [
          rect({ x: -rail / 2 - 2.5, y: -38, w: 5, h: 38 + t }, "tool", "slat"),
        ]),
        id: "fastening-slat",
      };
    case "button":
      return buttonScene(plan, joints.buttons);
    case "z-clip": {
      const { groove, engaged } = joints.zClip;
      return body("z-clip", `Z-clip in the ${said}: ${engaged} mm engaged in a groove ${groove} mm deep.`, [
        rect({ x: -groove, y: -16, w: groove, h: 4 }, "void"),
        {
          kind: "path",
          closed: false,
          ink: "outline",
          points: [
            [-engaged, -14],
            [14, -14],
            [14, -1],
            [46, -1],
          ],
        },
        rect({ x: 30, y: -1, w: 4, h: t * 0.6 }, "tool"),
        dimension([-groove, -16], [0, -16], {
          offset: -34,
          value: groove,
          edit: {
            path: ["joints", "zClip", "groove"],
            name: "Clip groove depth",
          },
        }),
        dimension([-engaged, -16], [0, -16], {
          offset: -14,
          value: engaged,
          edit: {
            path: ["joints", "zClip", "engaged"],
            name: "Clip engaged",
          },
        }),
      ]);
    }
    case "slotted":
    case "oversized": {
      const slotted = joints.fastening === "slotted";
      const [room, screw] = slotted
        ? [joints.slotted.slot, joints.slotted.screw]
        : [joints.oversized.hole, joints.oversized.screw];
      const washer = slotted ? room + 8 : joints.oversized.washer;
      const off = fasteningNeeds(joints, plan.fasteners).find((each) => each.rail === "long")?.has.setOff ?? 0;
      const middle = 40;
      return body(
        joints.fastening,
        `Screw in a ${room} mm ${slotted ? "slot" : "hole"}, ${Math.abs(off).toFixed(1)} mm off its middle today.`,
        [
          { kind: "wood", x: 0, y: -24, w: 92, h: 24, colour: species.colour, seed: 19, grain: "x", id: bearer?.kind },
          rect({ x: middle - room / 2, y: -24, w: room, h: 24 }, "void"),
          rect({ x: middle - off - screw / 2, y: -28, w: screw, h: 28 + t * 0.6 }, "tool"),
          rect({ x: middle - off - washer / 2, y: -28, w: washer, h: 3 }, "outline"),
          dimension([middle - room / 2, -24], [middle + room / 2, -24], {
            offset: -22,
            value: room,
            edit: {
              path: slotted ? ["joints", "slotted", "slot"] : ["joints", "oversized", "hole"],
              name: slotted ? "Slot" : "Hole",
            },
          }),
        ],
      );
    }
    case "figure-8": {
      const { centres, swing } = joints.figure8;
      const angle = (swing * Math.PI) / 180;
      // its screw stands inside the rail's face
      const from = -Math.min(PLATE.inset, rail / 2);
      const items: Item[] = [
        {
          kind: "wood",
          x: -60,
          y: -rail,
          w: 120,
          h: rail,
          colour: species.colour,
          seed: 7,
          grain: "x",
          id: across?.kind,
        },
        {
          kind: "path",
          closed: false,
          ink: "hidden",
          points: [-1, 1]
            .map((side): [number, number] => [side * centres * Math.sin(angle), from + centres * Math.cos(angle)])
            .flatMap((end, i): [number, number][] => (i === 0 ? [end, [0, from]] : [end])),
        },
        { kind: "circle", x: 0, y: from, r: PLATE.ring / 2, ink: "tool" },
        { kind: "circle", x: 0, y: from + centres, r: PLATE.ring / 2, ink: "tool" },
        { kind: "circle", x: 0, y: from, r: 2.5, ink: "peg" },
        { kind: "circle", x: 0, y: from + centres, r: 2.5, ink: "peg" },
        dimension([14, from], [14, from + centres], {
          offset: 14,
          value: centres,
          edit: {
            path: ["joints", "figure8", "centres"],
            name: "Between centres",
          },
        }),
        {
          kind: "text",
          x: -58,
          y: from + centres + 14,
          text: `swings ${swing}° each way, ${(centres * Math.sin(angle)).toFixed(1)} mm`,
          ink: "graphite",
          size: 13,
        },
      ];
      return {
        id: "fastening-figure-8",
        title: `Figure-8 plate on the ${across?.said ?? "rail"}, from below: ${centres} mm between centres, swinging ${swing}° each way.`,
        bounds: { x: -60, y: -rail, w: 120, h: rail + centres + 12 },
        margin: [8, 50, 8, 8],
        items,
      };
    }
    case "loose":
      return body("loose", `A loose top between tabs, ${joints.loose.gap} mm free at each.`, [
        {
          kind: "wood",
          x: joints.loose.gap,
          y: -22,
          w: 26,
          h: 22,
          colour: species.colour,
          seed: 21,
          grain: "x",
          id: "tab",
        },
        rect({ x: joints.loose.gap + 11, y: -22, w: 4, h: 22 + t * 0.5 }, "tool"),
        ...(joints.loose.gap > 0
          ? [
              dimension([0, -22], [joints.loose.gap, -22], {
                offset: -18,
                value: joints.loose.gap,
                edit: {
                  path: ["joints", "loose", "gap"],
                  name: "Gap at the tabs",
                },
              }),
            ]
          : []),
      ]);
    case "screwed":
      return body("screwed", "The top screwed tight to its rails: nothing gives.", [
        rect({ x: -rail / 2 - 2.5, y: -40, w: 5, h: 40 + t * 0.6 }, "tool"),
      ]);
  }
}
