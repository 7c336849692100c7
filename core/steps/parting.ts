/** How a top is parted into halves and leaves, pinned level, and hung on its slides. */
import type { PieceGeometry } from "../construction/geometry";
import { RAIL_SHORT } from "../construction/parting/parts";
import { slideLines } from "../construction/parting/slides";
import { rowLength, rowSaid } from "../panels/row";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { FLOAT } from "../joinery/floating";
import { Step, stepOf } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;
type Parted = Pick<PieceGeometry, "parting" | "row" | "top" | "core">;

/** What is done once the blanks are flat: parting, boring, and a dry close. */
export function partSteps({ parting, row, top }: Parted): TopStep[] {
  if (!parting || !row) return [];
  const { leaves, leaf, middle } = parting;
  const half = (top.length - middle) / 2;
  const one = row.pieces.length > 1;
  const kinds = ["top", ...(leaves > 0 ? ["leaf"] : [])];
  const each = `each half ${fine(half)} long${leaves > 0 ? `, ${leaves > 1 ? "each" : "the"} leaf ${fine(leaf)}` : ""}`;
  return [
    {
      id: "part",
      title: one ? "Part the blank across its grain" : "Cut the halves to length",
      detail: `${one ? `A triangle over the whole first. From ${mm(Math.ceil(rowLength(row)))}: ${rowSaid(row)}, ${mm(row.lost)} lost at each cut; ` : ""}${each}. Every cut square to the front edge, from the same side of the saw: what is a hair out of square in one edge is then taken back by the next.`,
      parts: kinds,
      after: ["flatten", ...(leaves > 0 && !one ? ["leaf-size"] : [])],
      hours: 0.5 + 0.3 * (leaves + 2),
      check: `Laid in their order, every seam closes without light, and the front edge is one line.`,
      caution: "A panel this wide across the saw: a track saw or a sled with both ends held, never the fence.",
    },
    {
      id: "seam-pins",
      title:
        middle > 0
          ? "Slot the halves and the middle piece"
          : parting.kind === "glued"
            ? "Slot both ends for their tenons"
            : leaves > 0
              ? "Bore the seams and set their pins"
              : "Bore the seam, and let the connectors in below",
      detail:
        middle > 0
          ? "From the upper face of all three, by lines drawn across the closed seams: tight in the middle piece and in the middle of each half, longer elsewhere in the halves, as the card says."
          : parting.kind === "glued"
            ? "From the upper face of both, by lines drawn over the closed seam; as deep as the card says and a hair more."
            : leaves > 0
              ? "One jig against the front edge and the upper face for every edge, as the card says; pins glued in edges that look right, their tips rounded and waxed. Halves meet without leaves, and with them in any order."
              : "One jig against the front edge and the upper face for both; pins glued in the left half. Pockets by template from below. Drawn together once, dry: the seam closes by two fingers before the connectors are tight.",
      parts: [...kinds, ...(middle > 0 ? ["middle-piece"] : [])],
      after: ["part"],
      hours: 0.75 + 0.5 * (leaves + 1),
      check: "Faces level at every seam by a fingernail, closed and open.",
    },
    ...(parting.kind === "glued" ? [seamGlued(top.length)] : []),
    ...(middle > 0 ? [middleGlued(top.length)] : []),
  ];
}

/** End grain drinks its glue: it is sized first. */
const seamGlued = (length: number): TopStep => ({
  id: "seam-glue",
  title: "Glue the halves end to end",
  detail: `Both ends sized with thinned glue a quarter of an hour before, then glue on ends, slots and tenons. Clamps ${mm(length)} long, or a cleat screwed across each half below and clamps from cleat to cleat; cauls over the seam, waxed.`,
  parts: ["top"],
  after: ["seam-pins"],
  hours: 1,
  wait: 24,
  waitFor: "the seam",
  clamps: 4,
  check: "A straightedge along the top shows no step and no bend at the seam.",
});

/** Glue about the middle only: the rest slides. */
const middleGlued = (length: number): TopStep => ({
  id: "seam-glue",
  title: "Set the middle piece between the halves",
  detail: `Every tenon glued in the middle piece first and left to set, its free end waxed but for the middle one’s. Then both halves on, glue on that tenon and ${mm(2 * FLOAT.glued)} of each seam round it, none elsewhere; clamps ${mm(length)} long along both sides and the middle.`,
  parts: ["top", "middle-piece"],
  after: ["seam-pins"],
  hours: 1.25,
  wait: 12,
  waitFor: "the seams",
  clamps: 3,
  check: "The middle piece ends level with both edges on the day; no glue has crept along the seams.",
});

/** Two halves are one before they go on their frame. @param finished  the steps after which they may */
export const drawSteps = (form: Form, { parting }: Parted, finished: string[]): Step[] =>
  parting?.kind !== "drawn"
    ? []
    : [
        stepOf({
          id: "draw",
          title: "Draw the two halves together",
          detail: `Upside down. Wax on the pins, no glue; ${form.parting.connectors} connectors from below, the middle one first, a little each in turn. For the door they come out again.`,
          parts: ["top"],
          after: finished,
          hours: 0.5,
          check: "No light in the seam, and the upper face level across it.",
        }),
      ];

/** Once the top lies on its frame: slides, leaves, their rails. @param attach  the step at which it does */
export function openSteps(form: Form, at: PieceGeometry, attach: string): Step[] {
  const { parting } = at;
  if (parting?.kind !== "leaves") return [];
  const { apron } = form.parting;
  const [line] = slideLines(at);
  const { leaves } = parting;
  return [
    stepOf({
      id: "slides",
      title: "Screw the slides on",
      detail: `Upside down, closed and clamped over the seam. Each slide closed, ${mm(Math.round(-line))} from the middle line and parallel to the front edge; a slip of veneer under its end at the seam lifts the middle by what it will sag. No screw bites deeper than ${fine(Math.max(5, at.core.thickness - 6))}; one of each member in a round hole, the others in its slots.`,
      parts: ["top"],
      after: [attach],
      hours: 1.5,
      check: "Both slides as far from the front edge at one end as at the other, within 0.5 mm; it opens by one hand.",
    }),
    stepOf({
      id: "lay-leaves",
      title: leaves > 1 ? "Lay the leaves in" : "Lay the leaf in",
      detail: `Opened ${mm(Math.round(parting.opens))} and a little more, each leaf onto its pins, then closed on them. Number them below as they lie.${apron ? ` Rails below them cut to the open table, ${mm(RAIL_SHORT)} short at each end, and screwed on in line with those of the halves.` : ""}`,
      parts: ["leaf", ...(apron ? ["leaf-rail"] : [])],
      after: ["slides"],
      hours: 0.5 + (apron ? 0.6 : 0.25) * leaves,
      check: "Seams closed in any order of the leaves; measured once more in the middle after a day: what it sags.",
    }),
  ];
}

/** How the frame of a table that opens goes together: each half by itself. */
export const HALVES = {
  glue: {
    title: "Glue the half rails to the ends",
    detail:
      "Each end takes the two half rails of its side: a batten clamped across their free ends holds them as far apart as the legs are. On a flat floor, both halves pushed together, rails in line.",
    check: "Rails square to the end rail and level with it; the two halves meet along both sides without a step.",
  },
  attach:
    "Upside down on a blanket, the halves of the top closed and clamped, each half of the frame set on its own with its rails meeting over the seam.",
};
