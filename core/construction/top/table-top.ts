import { Outline, Spot, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import type { Stiffeners } from "../../movement/flat";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { isWhole, slatLines } from "./core";
import { topEdges } from "../dropping/parts";
import { bedded } from "../facing/bed";
import { halves } from "../parting/parts";
import { endBoards, frameOf, inFrame, withTongues } from "./ends";
import { keptAt, outlineOf, shapedTop } from "./outline";
import { pegged } from "./pegs";
import { slabParts } from "./slabs";
import { stripesOf } from "./stripes";
import { flat, PANEL, part, TopFacts } from "./part";

/** The top: its field, what is at its ends, what keeps it flat. */
export function tableTop(facts: TopFacts): AssemblyPart[] {
  const { form, at } = facts;
  if (form.field === "slabs") return slabParts(form, at);
  const field = form.field === "slats" ? slatsOf(facts) : inParts(panelOf(facts), at);
  const stiff = form.stiffener === "battens" && facts.stiffeners ? battens(at, facts.stiffeners, form) : [];
  switch (form.ends) {
    case "none":
      return [...field, ...stiff];
    case "breadboards":
      return [...pegged(facts, withTongues(facts, field), endBoards(facts)), ...stiff];
    case "frame":
      return [...inFrame(facts, field), ...frameOf(facts), ...stiff];
  }
}

/** A panel as what it is of: whole, in halves, or round a strip along it. */
function inParts(panel: AssemblyPart, at: PieceGeometry): AssemblyPart[] {
  const { parting, inserted } = at;
  return parting ? halves(panel, at) : inserted ? bedded(panel, { ...at, inserted }) : [panel];
}

/** One panel, with its outline where nothing holds its ends. */
function panelOf({ form, at }: TopFacts): AssemblyPart {
  const { core, top } = at;
  const width = form.ends === "frame" ? Math.max(1, top.width - 2 * form.frame.width) : core.width;
  const size = { length: core.shoulder, width, thickness: core.thickness };
  const place = flat(at, width / 2, -core.shoulder / 2);
  if (isWhole(form)) {
    const shaped = shapedTop(form.top, at);
    const { holes, over } = sorted(shaped, top);
    const panel = striped(
      part({ id: "T", kind: "top", shape: { ...size, face: seen(shaped, top, holes) }, place }),
      form,
    );
    return { ...panel, cuts: [...over.map((cut) => through(cut, top)), ...topEdges(at)] };
  }
  const panel = striped(part({ id: "T", kind: "top", shape: size, place }), form);
  return form.ends === "none" ? panel : { ...panel, ...PANEL };
}

/** The same panel, glued from the stripes that are chosen. */
function striped(panel: AssemblyPart, form: Form): AssemblyPart {
  if (form.field !== "stripes") return panel;
  const strips = stripesOf(form, panel.shape.width);
  return {
    ...panel,
    strips,
    note: `Glued from ${strips.length} strips, ${strips[0].mark} in front; its ends are cut last.`,
  };
}

/** Slats from the front, a gap apart. */
function slatsOf({ form, at }: TopFacts): AssemblyPart[] {
  const { core } = at;
  return slatLines(form, at).map((z, i) =>
    part({
      id: `S${i + 1}`,
      kind: "slat",
      shape: { length: core.shoulder, width: core.width, thickness: core.thickness },
      place: flat(at, z + core.width / 2, -core.shoulder / 2),
    }),
  );
}

/** Battens across the underside, screwed to it through slots. */
function battens(at: PieceGeometry, { x, length }: Stiffeners, { batten }: Form): AssemblyPart[] {
  return x.map((middle, i) => ({
    ...part({
      id: x.length > 1 ? `J${i + 1}` : "J",
      kind: "batten",
      shape: { length, width: batten.width, thickness: batten.thickness },
      place: {
        x: [0, 0, 1],
        y: [1, 0, 0],
        at: [middle - batten.width / 2, at.under - batten.thickness, -length / 2],
      },
    }),
    opens: [0, -120, 0] as Vec,
  }));
}

/** The finished outline from above, from the top's front left corner, with the cut-outs that are holes in it. */
function seen(
  { outline, bulge, notch, points }: Form["top"],
  top: PieceGeometry["top"],
  holes: readonly CutOut[],
): Outline {
  // from the middle and anticlockwise seen from above, front at the bottom
  const spots = outlineOf({ ...top, outline, bulge, notch, points });
  const corner = ([x, y]: Spot): Spot => [x + top.length / 2, y + top.width / 2];
  return {
    outer: straight(spots.map(([x, y]) => corner([x, y]))),
    holes: holes.map((cut) => straight(cornersOf(cut).map(corner))),
  };
}

type CutOut = Form["top"]["cutouts"][number];
const cornersOf = ({ x, y, length, width }: CutOut): Spot[] =>
  (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([a, b]) => [x + (a * length) / 2, y + (b * width) / 2]);

/** Cut-outs that lie inside the outline and in no other are holes; what runs over an edge, or another, is cut from what there is. */
function sorted(shaped: Form["top"], top: PieceGeometry["top"]): { holes: CutOut[]; over: CutOut[] } {
  const outline = outlineOf({ ...shaped, ...top });
  const kept = { ...shaped, ...top, cutouts: [] };
  const inside = (cut: CutOut) =>
    cornersOf(cut).every(([x, y]) => keptAt(kept, x, y, EDGE)) &&
    outline.every(([x, y]) => Math.abs(x - cut.x) > cut.length / 2 || Math.abs(y - cut.y) > cut.width / 2);
  const apart = (a: CutOut, b: CutOut) =>
    Math.abs(a.x - b.x) > (a.length + b.length) / 2 || Math.abs(a.y - b.y) > (a.width + b.width) / 2;
  const holes = shaped.cutouts.filter(
    (cut, i) => inside(cut) && shaped.cutouts.every((other, k) => k === i || apart(cut, other)),
  );
  return { holes, over: shaped.cutouts.filter((cut) => !holes.includes(cut)) };
}
/** A hole leaves so much wood to the edge, or it runs over it, mm. */
const EDGE = 0.01;

const through = ({ x, y, length, width }: CutOut, top: PieceGeometry["top"]): AssemblyPart["cuts"][number] => ({
  by: "cut-out",
  shape: { length, width, thickness: top.thickness },
  place: { ...HOME, at: [x - length / 2 + top.length / 2, y - width / 2 + top.width / 2, 0] },
});
