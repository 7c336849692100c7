/** The top on one day of its course, from above and at its end grain. */
import { middleLine, slabsOf } from "../construction/top/slabs";
import { sampleDate } from "../movement/course";
import { panelProfile } from "../movement/profile";
import { fixedLine } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { dimension, Item, line, Scene, shifted } from "./scene";
import { fastenerItems, heldItems } from "./held-items";
import { edgesAt, panelItems, sign, slatItems, stiffenerItems } from "./top-items";

/** A top shorter than this many of its widths is drawn narrow. By eye. */
const NARROW = 1.6;

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
  const slabs = slabsOf(piece.form, at.top);
  const lines = slatted ? [] : slabs.length > 0 ? slabs.map(middleLine) : [line0];
  for (const y of lines)
    items.push(
      line(
        [
          [-length / 2 - 60, y - width / 2],
          [length / 2 + 60, y - width / 2],
        ],
        "faint",
      ),
    );
  const { parting } = at;
  if (parting)
    items.push(
      ...(parting.middle > 0 ? [-parting.middle / 2, parting.middle / 2] : [0]).map((x) =>
        line(
          [
            [x, -width / 2],
            [x, width / 2],
          ],
          "outline",
        ),
      ),
    );
  items.push(
    dimension([-length / 2, width / 2], [length / 2, width / 2], {
      offset: 26,
      value: length,
      edit: {
        path: ["form", "top", "length"],
        name: "Top length",
      },
    }),
  );
  items.push(
    dimension([length / 2, width / 2], [length / 2, -width / 2], {
      offset: 28,
      value: width,
      edit: {
        path: ["form", "top", "width"],
        name: "Top width",
      },
    }),
  );
  const wetEdge = slatted ? outer : edgesAt(plan, piece, Math.max(top.wet.change, 0, now), exaggeration);
  const centred = piece.choices.fixedLine === "centre";
  // below a top that is nearly as wide as long both sentences have no room beside each other
  const narrow = length < NARROW * width;
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
    dy: narrow ? 38 : 20,
  });
  return {
    id: "movement",
    title: `The top in ${day.name} ${day.on.slice(0, 4)}: ${sign(now)} mm against today. Driest ${sign(top.dry.change)} mm in ${top.dry.name}, wettest ${sign(top.wet.change)} mm in ${top.wet.name}.`,
    bounds: { x: -length / 2, y: -width / 2, w: length, h: width },
    margin: [46, 74, narrow ? 50 : 34, 16],
    items,
  };
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
      colour: (strip.kind ? woodOf(plan.woods, strip.kind, species) : species).colour,
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
