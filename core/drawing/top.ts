import { standsTo } from "../construction/geometry";
import { slatLines } from "../construction/top/core";
import { screwOffsets, slatScrews } from "../construction/top/slat-screws";
import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import { sampleDate } from "../movement/course";
import { panelProfile } from "../movement/profile";
import { fixedScrews } from "../movement/fixed";
import { fixedLine, travelOn } from "../movement/year";
import { dimension, Item, line, rect, Scene, seedOf, shifted } from "./scene";

/**
 * The top from above on one day of its course, with the outlines of its driest and wettest day and whatever holds it.
 *
 * @param sample         which sample of the course
 * @param exaggeration   how many times larger than life movement is drawn
 */
export function movementScene(plan: Plan, piece: Piece, sample: number, exaggeration: number): Scene {
  const { geometry: at, top } = plan;
  const { length, width } = at.top;
  const day = sampleDate(top.course.from, sample);
  const line0 = fixedLine(piece.choices.fixedLine, width);
  const slatted = at.core.count > 1;
  const now = top.changes[sample];
  const outer = slatted ? { front: -width / 2, back: width / 2 } : edgesAt(plan, piece, now, exaggeration);
  const items: Item[] = [
    ...(slatted ? slatItems(plan, piece, now, exaggeration) : panelItems(plan, piece, sample, exaggeration)),
    ...heldItems(plan, piece, sample),
    ...stiffenerItems(plan, piece),
  ];
  const bad = (id: string) => plan.verdicts.some((each) => each.level === "fix" && each.subject.includes(id));
  if (!plan.breadboards) items.push(...fastenerItems(plan, piece, sample, bad));
  if (!slatted)
    items.push(
      line(
        [
          [-length / 2 - 60, line0 - width / 2],
          [length / 2 + 60, line0 - width / 2],
        ],
        "faint",
      ),
    );
  items.push(
    dimension([-length / 2, width / 2], [length / 2, width / 2], 26, length, {
      path: ["form", "top", "length"],
      name: "Top length",
    }),
  );
  items.push(
    dimension([length / 2, width / 2], [length / 2, -width / 2], 28, width, {
      path: ["form", "top", "width"],
      name: "Top width",
    }),
  );
  const wetEdge = slatted ? outer : edgesAt(plan, piece, Math.max(top.wet.change, 0, now), exaggeration);
  const centred = piece.choices.fixedLine === "centre";
  items.push({
    kind: "text",
    x: -length / 2,
    y: Math.min(wetEdge.front, -width / 2),
    text: `${day.name} ${day.on.slice(0, 4)}, drawn ${exaggeration} times larger`,
    ink: "graphite",
    size: 13,
    dy: 20,
  });
  items.push({
    kind: "text",
    x: length / 2,
    y: Math.min(wetEdge.front, -width / 2),
    text: slatted
      ? `${sign(now)} mm each slat`
      : `${sign(centred ? now / 2 : now)} mm ${centred ? "each edge" : "at the free edge"}`,
    ink: "layout",
    size: 13,
    anchor: "end",
    dy: 20,
  });
  return {
    id: "movement",
    title: `The top in ${day.name} ${day.on.slice(0, 4)}: ${sign(now)} mm against today. Driest ${sign(top.dry.change)} mm in ${top.dry.name}, wettest ${sign(top.wet.change)} mm in ${top.wet.name}.`,
    bounds: { x: -length / 2, y: -width / 2, w: length, h: width },
    margin: [46, 74, 34, 16],
    items,
  };
}

/** Front and back edge of what moves as one, for a change of its width. */
function edgesAt(plan: Plan, piece: Piece, change: number, exaggeration: number): { front: number; back: number } {
  const { width } = plan.geometry.core;
  const share = fixedLine(piece.choices.fixedLine, width) / width;
  return { front: -width / 2 - share * change * exaggeration, back: width / 2 + (1 - share) * change * exaggeration };
}

function panelItems(plan: Plan, piece: Piece, sample: number, exaggeration: number): Item[] {
  const { geometry: at, top, species } = plan;
  const { shoulder, width } = at.core;
  const edges = (change: number) => edgesAt(plan, piece, change, exaggeration);
  const now = edges(top.changes[sample]);
  const stretch = (y: number) => now.front + ((y + width / 2) / width) * (now.back - now.front);
  const items = top.strips.flatMap((strip): Item[] => {
    const [from, to] = [stretch(strip.from - width / 2), stretch(strip.from + strip.width - width / 2)];
    return [
      {
        kind: "wood",
        x: -shoulder / 2,
        y: from,
        w: shoulder,
        h: to - from,
        colour: species.colour,
        seed: seedOf(strip.board ?? "top"),
        grain: "x",
        id: strip.board ? `strip:${strip.board}` : "top",
      },
      ...(strip.board
        ? [
            {
              kind: "text",
              x: -shoulder / 2 + Math.min(shoulder * 0.1, standsTo(at) + 130),
              y: (from + to) / 2,
              text: strip.board,
              ink: "grain",
              size: 12,
              dy: 4,
            } as Item,
          ]
        : []),
    ];
  });
  for (const [season, where] of [
    ["dry", edges(top.dry.change)],
    ["wet", edges(top.wet.change)],
  ] as const)
    items.push({
      kind: "rect",
      x: -shoulder / 2,
      y: where.front,
      w: shoulder,
      h: where.back - where.front,
      ink: season === "wet" ? "layout" : "hidden",
      id: `outline-${season}`,
    });
  return items;
}

/** Slats, each about its own middle; the rails below show through the gaps. */
function slatItems({ geometry: at, species, top }: Plan, piece: Piece, now: number, exaggeration: number): Item[] {
  const bearers = at.bearers.filter((each) => each.run === "across");
  const wide = (change: number) => Math.max(1, at.core.width + change * exaggeration);
  return [
    ...bearers.map((each): Item => {
      const { at: x, thickness, kind } = each;
      return rect(x - thickness / 2, -at.frame.width / 2, thickness, at.frame.width, "hidden", kind);
    }),
    ...slatLines(piece.form, at).flatMap((y, i): Item[] => [
      {
        kind: "wood",
        x: -at.core.shoulder / 2,
        y: y - wide(now) / 2,
        w: at.core.shoulder,
        h: wide(now),
        colour: species.colour,
        seed: 61 + i,
        grain: "x",
        id: "slat",
      },
      {
        kind: "rect",
        x: -at.core.shoulder / 2,
        y: y - wide(top.wet.change) / 2,
        w: at.core.shoulder,
        h: wide(top.wet.change),
        ink: "layout",
        id: "outline-wet",
      },
    ]),
    ...slatScrews(piece.form, at).flatMap(({ x, z, beside }) =>
      (beside ? [0] : screwOffsets(piece.form)).map((off): Item => ({
        kind: "circle",
        x,
        y: z + off,
        r: 5,
        ink: "peg",
        id: "slat",
      })),
    ),
  ];
}

/** Channels let in, or battens below, with their bolts or screws in their slots. */
function stiffenerItems({ geometry: at, stiffeners }: Plan, piece: Piece): Item[] {
  if (!stiffeners) return [];
  const steel = stiffeners.kind === "channels";
  const wide = steel ? 32 : piece.form.batten.width;
  const slot = steel ? piece.form.channel.slot : piece.form.batten.slot;
  return stiffeners.x.flatMap((x): Item[] => [
    ...(steel ? [rect(x - 20, -stiffeners.groove / 2, 40, stiffeners.groove, "hidden", "top")] : []),
    rect(
      x - wide / 2,
      -stiffeners.length / 2,
      wide,
      stiffeners.length,
      steel ? "tool" : "hidden",
      steel ? "top" : "batten",
    ),
    ...stiffeners.bolts.flatMap((bolt): Item[] => [
      ...(bolt.fixed
        ? []
        : [
            {
              kind: "rect",
              x: x - 5,
              y: bolt.at - at.top.width / 2 - slot / 2,
              w: 10,
              h: slot,
              ink: "hole",
              round: 5,
              id: bolt.id,
            } as Item,
          ]),
      { kind: "circle", x, y: bolt.at - at.top.width / 2, r: 5, ink: "peg", id: bolt.id },
    ]),
  ]);
}

/** End boards with their pegs and slots, or a frame. */
function heldItems(plan: Plan, piece: Piece, sample: number): Item[] {
  const { geometry: at, species, top, breadboards, framed, slats } = plan;
  const panel = slats ? at.top.width : at.core.width;
  const { length, width } = at.top;
  if (breadboards) {
    const wide = piece.form.breadboard.width;
    const held = breadboards.pegs.find((each) => each.fixed)!;
    // what it is longer lies beyond each edge by how far that is from the fixed peg
    const first = slats ? -breadboards.length / 2 : -panel / 2 - ((breadboards.length - panel) * held.at) / panel;
    return [-1, 1].flatMap((side): Item[] => {
      const x = side < 0 ? -length / 2 : length / 2 - wide;
      const moved = (peg: (typeof breadboards.pegs)[number]) =>
        travelOn(top, peg.at, held.at, sample) * Math.sign(peg.at - held.at);
      return [
        {
          kind: "wood",
          x,
          y: first,
          w: wide,
          h: breadboards.length,
          colour: species.colour,
          seed: 77 + side,
          grain: "y",
          id: "end-board",
        },
        ...breadboards.pegs.flatMap((peg): Item[] => {
          const y = peg.at - panel / 2;
          const bad = plan.verdicts.some((each) => each.level === "fix" && each.subject.includes(peg.id));
          const out = Math.sign(peg.at - held.at) * peg.setOff;
          return [
            ...(peg.fixed || peg.slot <= piece.form.breadboard.peg
              ? []
              : [
                  {
                    kind: "rect",
                    x: x + wide / 2 - piece.form.breadboard.peg / 2 - 3,
                    y: y + out + moved(peg) - peg.slot / 2 - 3,
                    w: piece.form.breadboard.peg + 6,
                    h: peg.slot + 6,
                    ink: bad ? "fix" : "hole",
                    round: 9,
                    id: peg.id,
                    label: `${peg.id}: slot ${peg.slot.toFixed(1)} mm`,
                  } as Item,
                ]),
            { kind: "circle", x: x + wide / 2, y, r: piece.form.breadboard.peg / 2 + 1, ink: "peg", id: peg.id },
          ];
        }),
      ];
    });
  }
  if (framed || piece.form.ends === "frame") {
    const wide = piece.form.frame.width;
    const mitred = piece.form.frame.corners === "mitred";
    return [
      ...[-1, 1].map((side): Item => ({
        kind: "wood",
        x: -length / 2,
        y: side < 0 ? -width / 2 : width / 2 - wide,
        w: length,
        h: wide,
        colour: species.colour,
        seed: 83 + side,
        grain: "x",
        id: "frame-long",
      })),
      ...[-1, 1].map((side): Item => ({
        kind: "wood",
        x: side < 0 ? -length / 2 : length / 2 - wide,
        y: -width / 2 + wide,
        w: wide,
        h: Math.max(0, width - 2 * wide),
        colour: species.colour,
        seed: 87 + side,
        grain: "y",
        id: "frame-end",
      })),
      ...(mitred
        ? [-1, 1].flatMap((sx) =>
            [-1, 1].map((sy): Item =>
              line(
                [
                  [(sx * length) / 2, (sy * width) / 2],
                  [sx * (length / 2 - wide), sy * (width / 2 - wide)],
                ],
                "outline",
              ),
            ),
          )
        : []),
    ];
  }
  return [];
}

function fastenerItems(plan: Plan, piece: Piece, sample: number, bad: (id: string) => boolean): Item[] {
  const { top } = plan;
  const line0 = fixedLine(piece.choices.fixedLine, top.width);
  const slot =
    piece.joints.fastening === "button"
      ? piece.joints.buttons.slotLength
      : piece.joints.fastening === "slotted"
        ? piece.joints.slotted.slot + 16
        : 26;
  const size = piece.joints.fastening === "button" ? piece.joints.buttons.width : 22;
  const fixed = fixedScrews(piece, plan.geometry).flatMap(({ id, x, z }): Item[] => [
    { kind: "circle", x, y: -z, r: 8, ink: "hole", id },
    { kind: "circle", x, y: -z, r: 4, ink: "peg", id },
  ]);
  const moving = plan.fasteners.flatMap((each): Item[] => {
    const from = top.width / 2 - each.z;
    const move =
      each.under === "ends"
        ? 0
        : travelOn(top, Math.max(0, Math.min(top.width, from)), line0, sample) * (from < line0 ? -1 : 1);
    const ink = bad(each.id) ? "fix" : "hole";
    const label = `${each.id}: ${each.wet.toFixed(1)} mm wet, ${each.dry.toFixed(1)} mm dry`;
    return [
      each.run === "along"
        ? { kind: "rect", x: each.x - size / 2, y: -each.z - 9, w: size, h: 18, ink, round: 2, id: each.id, label }
        : { kind: "rect", x: each.x - 9, y: -each.z - slot / 2, w: 18, h: slot, ink, round: 4, id: each.id, label },
      { kind: "circle", x: each.x, y: -each.z + move, r: 7, ink: "peg", id: each.id },
    ];
  });
  return [...fixed, ...moving];
}

/**
 * End grain of the panel as it lies, each board with the rings it has, seen from the left end, front edge at the left.
 *
 * @param sample        a sample of the course on which to show how a free panel turns, or null for flat boards
 * @param exaggeration  how many times larger than life it turns
 */
export function endGrainScene(plan: Plan, names: boolean, sample: number | null = null, exaggeration = 1): Scene {
  const { top, geometry: at, species } = plan;
  const pose = sample === null ? null : panelProfile(top, species, sample);
  const highest = pose ? Math.max(0, ...pose.face.map(([, y]) => y * exaggeration)) : 0;
  const lowest = pose ? Math.min(0, ...pose.face.map(([, y]) => y * exaggeration)) : 0;
  // slats lie side by side, each like the first
  const pitch = at.core.width + (at.top.width - at.core.count * at.core.width) / Math.max(1, at.core.count - 1);
  const lay = (items: Item[]) =>
    Array.from({ length: at.core.count }, (_, i) => items.map((item) => shifted(item, i * pitch))).flat();
  const items: Item[] = top.strips.flatMap((strip, i): Item[] => [
    {
      kind: "rings",
      x: strip.from,
      y: pose ? pose.strips[i].y * exaggeration : 0,
      w: strip.width,
      h: at.core.thickness,
      colour: species.colour,
      left: strip.ringLeft,
      right: strip.ringRight,
      barkUp: strip.barkUp,
      id: strip.board ? `strip:${strip.board}` : "top",
      ...(pose
        ? { turn: (Math.atan(Math.tan((pose.strips[i].turn * Math.PI) / 180) * exaggeration) * 180) / Math.PI }
        : {}),
    },
    ...(names && strip.board
      ? [
          {
            kind: "text",
            x: strip.from + strip.width / 2,
            y: 0,
            text: strip.board,
            anchor: "middle",
            ink: "graphite",
            size: 13,
            dy: 18,
          } as Item,
        ]
      : []),
  ]);
  if (pose)
    items.push({
      kind: "path",
      points: pose.face.map(([x, y]): [number, number] => [x, at.core.thickness + 3 + y * exaggeration]),
      closed: false,
      ink: "layout",
      id: "face",
    });
  const worst = pose ? pose.face.reduce((a, [, y]) => (Math.abs(y) > Math.abs(a) ? y : a), 0) : 0;
  const shape =
    sample === null
      ? ""
      : ` Left free it ${Math.abs(worst) < 0.05 ? "lies flat" : `${worst > 0 ? "crowns" : "hollows"} by ${Math.abs(worst).toFixed(1)} mm`}.`;
  return {
    id: "end-grain",
    title: `End grain from the front edge: ${at.core.count > 1 ? `${at.core.count} slats; ` : ""}${top.strips.map((strip) => `${strip.board ?? "flat-sawn"}, bark ${strip.barkUp ? "up" : "down"}`).join("; ")}.${shape}`,
    bounds: {
      x: 0,
      y: Math.min(0, lowest),
      w: at.core.count > 1 ? at.top.width : at.core.width,
      h: at.core.thickness + highest - Math.min(0, lowest),
    },
    margin: [8, 4, names ? 24 : 4, 4],
    items: at.core.count > 1 ? lay(items) : items,
  };
}

const sign = (n: number) => `${n >= 0 ? "+" : "−"}${Math.abs(n).toFixed(1)}`;
