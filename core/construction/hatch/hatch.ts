/** A lid sawn out of the top: its opening, the strips it comes down on, the line it turns about. mm; x right of the top's middle, y behind it */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart, Pose, Worked } from "../../assembly/part";
import { HOME, Place } from "../../assembly/place";
import type { SmallPart } from "../../assembly/small";
import { BACK, RIGHT, UP, Vec } from "../../assembly/vector";
import { glued } from "../../joinery/glued";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form } from "../../piece/schema";
import { turnOf } from "../../units/steady";
import type { PieceGeometry } from "../geometry";
import { LIFT } from "../top/part";
import type { Hatch } from "./facts";
import { lidGrooves, slidOut, slipParts, topGrooves } from "./slides";
import { stripesOf } from "../top/stripes";

export const HATCH_BY = "hatch";
const LEDGE = "top+hatch-ledge";
/** A ledge goes on beyond the opening at both ends, and so far under the top beside it; a hinge for so much of the lid; its leaf; how far a lid stands open. @source common practice */
const HATCH = { beyond: 30, under: 25, hinge: { every: 350, fromEnd: 45, long: 50, high: 22 }, opens: 100 };

/** What keeps a lid out of a top; null where nothing does, or none is asked for. */
export type HatchHindrance = "field" | "parting" | "lid" | "end";
export function hatchHindrance({ hatch, field, parting, turn, kind, ends, top }: Form): HatchHindrance | null {
  if (hatch.kind === "none") return null;
  if (field === "slats" || field === "slabs") return "field";
  if (parting.kind !== "none" || turn.kind !== "none") return "parting";
  if (kind === "box") return "lid";
  return slidesOut(hatch) !== null && (ends !== "none" || top.outline !== "rectangle") ? "end" : null;
}

const slidesOut = ({ kind }: Form["hatch"]) => (kind === "slides-right" ? 1 : kind === "slides-left" ? -1 : null);

export function hatchOf(form: Form): Hatch | null {
  const { hatch } = form;
  if (hatch.kind === "none" || hatchHindrance(form) !== null) return null;
  const { y, length, width, gap, ledge, thickness } = hatch;
  const slides = slidesOut(hatch);
  const x = slides === null ? hatch.x : (slides * (form.top.length - length)) / 2;
  return {
    hinged: hatch.kind === "hinged-back" ? 1 : hatch.kind === "hinged-front" ? -1 : null,
    slides,
    x: { from: x - length / 2, to: x + length / 2 },
    y: { from: y - width / 2, to: y + width / 2 },
    ...{ gap, ledge: Math.min(ledge, (width - 2 * gap) / 2), thickness },
  };
}

/** Whether a place under the top lies below its lid, or nearer to that than so much. x and z from the top’s middle, mm */
export function underLid(form: Form, { x, z }: { x: number; z: number }, margin: number): boolean {
  const hatch = hatchOf(form);
  const within = (at: number, span: Hatch["x"]) => at > span.from - margin && at < span.to + margin;
  return hatch !== null && within(x, hatch.x) && within(-z, hatch.y);
}

/** Lying: along the top, its width to the back, up. @param y  of its front edge */
const lying = (x: number, low: number, y: number): Place => ({ at: [x, low, -y], x: RIGHT, y: BACK });

/** z, seen from the top's own frame, of what lies so far behind its middle. */
const panelFront = (form: Form, { top, core }: PieceGeometry) =>
  (form.ends === "frame" ? top.width - 2 * form.frame.width : core.width) / 2;

export function hatchParts(form: Form, at: PieceGeometry): AssemblyPart[] {
  const hatch = hatchOf(form);
  if (!hatch) return [];
  const { x, y, gap, thickness, slides } = hatch;
  // out of an end it has a gap at the other only
  const [length, width] = [x.to - x.from - (slides ? 1 : 2) * gap, y.to - y.from - 2 * gap];
  if (length <= 0 || width <= 0) return [];
  const way = slides
    ? `run on slips in its long edges, out of the top’s ${slides > 0 ? "right" : "left"} end`
    : hatch.hinged === null
      ? "lifted out by a hole for two fingers"
      : `hung at its ${hatch.hinged > 0 ? "back" : "front"} edge`;
  return [
    {
      ...{ id: "HL", kind: "hatch", name: "Lid", said: "lid in the top", letter: "HL", role: "panel", make: "solid" },
      note: `Sawn out of the top itself, so that its grain runs on; ${way}.`,
      shape: { length, width, thickness: at.top.thickness },
      place: lying(x.from + (slides === -1 ? 0 : gap), at.under, y.from + gap),
      ...{ adds: [], cuts: slides ? lidGrooves(at, { length, width }) : [], opens: [0, 1.2 * LIFT, 0] },
      ...stripsIn(form, at, { from: y.from + gap, width }),
    },
    ...(slides ? slipParts(hatch, at, length) : []),
    ...(slides ? [] : ledgesOf(hatch)).map(({ from, wide }, i): AssemblyPart => ({
      ...{
        id: `HE${i + 1}`,
        kind: "hatch-ledge",
        name: "Ledge",
        said: "ledge",
        letter: "HE",
        role: "rail",
        make: "solid",
      },
      note: "Its grain with the top’s; glued below it, half under the lid.",
      shape: { length: x.to - x.from + 2 * HATCH.beyond, width: wide, thickness },
      place: lying(x.from - HATCH.beyond, at.under - thickness, from),
      ...{ adds: [], cuts: [], opens: [0, -80, 0] },
    })),
  ];
}

/** Of a striped top the lid has those strips that it is sawn from. @param lid  its front edge behind the middle, and how wide it is */
function stripsIn(form: Form, at: PieceGeometry, lid: { from: number; width: number }): Pick<AssemblyPart, "strips"> {
  if (form.field !== "stripes") return {};
  const front = lid.from + panelFront(form, at);
  const strips = stripesOf(form, 2 * panelFront(form, at)).flatMap(({ kind, mark, from, width }) => {
    const [low, high] = [Math.max(from, front), Math.min(from + width, front + lid.width)];
    return high - low > 0.01 ? [{ kind, mark, from: low - front, width: high - low }] : [];
  });
  return strips.length > 0 ? { strips } : {};
}

/** Along its front edge and its back one: from where behind the middle, and how wide. */
const ledgesOf = ({ y, gap, ledge }: Hatch): { from: number; wide: number }[] => {
  const wide = HATCH.under + gap + ledge;
  return [
    { from: y.from - HATCH.under, wide },
    { from: y.to + HATCH.under - wide, wide },
  ];
};

/** The same parts, the top with the opening. */
export function withOpening(parts: readonly AssemblyPart[], at: PieceGeometry, form: Form): AssemblyPart[] {
  const hatch = hatchOf(form);
  if (!hatch) return [...parts];
  const { x, y, slides } = hatch;
  const middle: Vec = [at.core.shoulder / 2, panelFront(form, at), 0];
  // what slides out of an end has its opening a little beyond that
  const beyond = slides ? 1 : 0;
  const opening: Worked = {
    by: HATCH_BY,
    shows: true,
    shape: { length: x.to - x.from + beyond, width: y.to - y.from, thickness: at.top.thickness + 2 },
    place: { ...HOME, at: [x.from + middle[0] - (slides === -1 ? beyond : 0), y.from + middle[1], -1] },
  };
  const cuts = slides ? [opening, ...topGrooves(hatch, at, middle)] : [opening];
  return parts.map((part) => (part.id === "T" ? { ...part, cuts: [...part.cuts, ...cuts] } : part));
}

export function hatchJoints(form: Form, at: PieceGeometry): { joints: KindOfJoint[]; meetings: Meeting[] } {
  const hatch = hatchOf(form);
  if (!hatch || hatch.slides || hatchParts(form, at).length === 0) return { joints: [], meetings: [] };
  const { x, y } = hatch;
  const length = x.to - x.from + 2 * HATCH.beyond;
  const joint = glued(
    {
      ...{ id: LEDGE, group: LEDGE, receives: "top", enters: "hatch-ledge", count: 2 },
      name: "Ledges of the lid",
    },
    { width: length, thickness: HATCH.under },
    at.top.thickness,
  );
  // up into the top, along the ledge, toward the front
  const face = (from: number): Place => ({ at: [x.from - HATCH.beyond, at.under, -from], x: UP, y: RIGHT });
  return {
    joints: [joint],
    meetings: [
      { joint, enters: "HE1", receives: "T", face: face(y.from) },
      { joint, enters: "HE2", receives: "T", face: face(y.to + HATCH.under) },
    ],
  };
}

/** Hinges let into the edge it turns about; their leaves fill the gap. */
export function hatchSmall(form: Form, at: PieceGeometry): SmallPart[] {
  const hatch = hatchOf(form);
  if (!hatch || hatch.hinged === null) return [];
  const { x, y, gap, hinged } = hatch;
  const { every, fromEnd, long, high } = HATCH.hinge;
  const length = x.to - x.from;
  const count = Math.max(2, Math.round(length / every));
  const reach = Math.max(0, length / 2 - fromEnd - long / 2);
  return Array.from({ length: count }, (_, i): SmallPart => {
    const middle = (x.from + x.to) / 2 - reach + (2 * reach * i) / (count - 1);
    return {
      ...{ id: `hatch-hinge-${i + 1}`, name: "Butt hinge for the lid", plural: "Butt hinges for the lid" },
      ...{ of: "steel", by: HATCH_BY, opens: [0, LIFT, 0] as Vec, on: "T" },
      shape: { length: long, width: gap, thickness: Math.min(high, at.top.thickness) },
      place: lying(
        middle - long / 2,
        at.under + Math.max(0, at.top.thickness - high),
        hinged > 0 ? y.to - gap : y.from,
      ),
    };
  });
}

/** Turned up about the edge it hangs at, or lifted out. */
export function hatchPoses(form: Form, at: PieceGeometry): Pose[] {
  const hatch = hatchOf(form);
  const [lid] = hatchParts(form, at);
  if (!hatch || !lid) return [];
  const { x, y, gap, hinged, slides } = hatch;
  if (slides) return [slidOut(hatch, hatchParts(form, at))];
  if (hinged === null) {
    const { place } = lid;
    const up: Vec = [place.at[0], place.at[1] + at.top.thickness + 60, place.at[2]];
    return [{ id: "hatch-up", name: "the lid in the top lifted", places: { HL: { ...place, at: up } } }];
  }
  const { sin, cos } = turnOf(HATCH.opens);
  // about the top's face, at the hinged edge; what points away from it goes up
  const axis: Vec = [x.from + gap, at.under + at.top.thickness, hinged > 0 ? -(y.to - gap / 2) : -(y.from + gap / 2)];
  const away: Vec = [0, sin, hinged * cos];
  const up: Vec = [0, cos, -hinged * sin];
  const far = lid.shape.width + gap / 2;
  const reach = hinged > 0 ? far : gap / 2;
  const corner: Vec = [
    axis[0],
    axis[1] + away[1] * reach - up[1] * at.top.thickness,
    axis[2] + away[2] * reach - up[2] * at.top.thickness,
  ];
  const back: Vec = hinged > 0 ? [0, -away[1], -away[2]] : away;
  return [{ id: "hatch-up", name: "the lid in the top up", places: { HL: { at: corner, x: RIGHT, y: back } } }];
}
