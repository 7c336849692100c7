import { measuredOr } from "../piece/measured";
import type { PlainPart } from "../form/leg-and-apron";
import type { LegRailJoint } from "../joinery/tenon";
import type { Form, Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RoughPiece } from "./cutting";
import { LegPiece, legPieces } from "./leg-stock";

/** A part with its joints: what is cut, milled and sawn out. mm. */
export interface Part extends PlainPart {
  finished: { length: number; width: number; thickness: number };
  milled: { length: number; width: number; thickness: number };
  rough: { length: number; width: number };
  /** pieces one of it is glued from; 1 when it is solid */
  leaves: number;
  /** those pieces, as they are sawn and milled */
  stock: LegPiece[];
  note: string;
  marks: string[];
}

/** Legs stay this long over their finished length until last, mm: 720 is left at 750. @source common practice */
const LEG_EXTRA = 30;

/** Parts with their tenons and allowances, top first. Sizes measured on the work count before planned ones. */
export function cutParts(
  plain: readonly PlainPart[],
  buttons: { count: number; width: number; tongue: number },
  joints: readonly LegRailJoint[],
  form: Form,
  asBuilt: Piece["asBuilt"],
  shop: Shop,
): Part[] {
  return [...plain, ...(buttons.count > 0 ? [buttonPart(buttons)] : [])].map((part) => {
    const joint = joints.find((each) => each.rail === part.id);
    const tenon = part.tenonEnds && joint && joint.kind === "mortise-tenon" ? joint.length * part.tenonEnds : 0;
    const finished = {
      length: measuredOr(asBuilt, part.id, "length", part.shoulder + tenon),
      width: measuredOr(asBuilt, part.id, "width", part.width),
      thickness: measuredOr(asBuilt, part.id, "thickness", part.thickness),
    };
    const stock =
      part.role === "leg"
        ? legPieces(form.leg.make, finished.width, shop.kerf)
        : [{ suffix: "", width: finished.width, thickness: finished.thickness, matched: false }];
    const leaves = stock.length;
    const extra =
      part.role === "leg" ? LEG_EXTRA : part.role === "block" || part.role === "button" ? 10 : shop.lengthAllowance;
    const milled = { length: finished.length + extra, width: stock[0].width, thickness: stock[0].thickness };
    return {
      ...part,
      finished,
      milled,
      leaves,
      stock,
      rough: { length: milled.length, width: milled.width + shop.widthAllowance },
      note: noteFor(part, tenon, leaves, joint ?? null),
      marks: Array.from({ length: part.count }, (_, i) => (part.count > 1 ? `${part.letter}${i + 1}` : part.letter)),
    };
  });
}

/** Body of a wooden button behind its tongue, and its thickness, mm. @source common practice */
const BUTTON = { body: 45, thickness: 24 };

function buttonPart({ count, width, tongue }: { count: number; width: number; tongue: number }): PlainPart {
  return {
    id: "button",
    name: "Button",
    letter: "N",
    role: "button",
    count,
    shoulder: BUTTON.body + tongue,
    width,
    thickness: BUTTON.thickness,
    grain: "x",
    tenonEnds: 0,
  };
}

function noteFor(part: PlainPart, tenon: number, leaves: number, joint: LegRailJoint | null): string {
  if (part.role === "top") return "Glued from the boards chosen for it; trimmed when flat.";
  if (part.role === "end-board") return "Cut when the panel has been measured; grooved and mortised for its tongue.";
  if (part.role === "slat") return "Drilled before it is finished; edges rounded.";
  if (part.role === "frame") return "Grooved for the panel; corners jointed before.";
  if (part.role === "leg")
    return leaves === 1
      ? "Left long until the base is glued."
      : leaves === 2
        ? "Two leaves glued, then trued square."
        : "A core and four resawn faces, trued square.";
  if (part.role === "button") return "Sawn from one long strip, drilled and rebated before they are crosscut.";
  if (part.role === "block") return "Sawn at 45° both ends; drilled before the glue-up.";
  if (joint?.kind === "loose-tenon") return "Shoulder to shoulder: loose tenons, nothing added.";
  return tenon > 0 ? `Two tenons of ${joint!.length} mm included; shoulders marked from the dry frame.` : "";
}

/** Parts that nobody sees when the table stands: sapwood may lie in them. */
const HIDDEN: Part["role"][] = ["block"];

/** Every rough piece to saw, but for the top, whose boards are chosen one by one. */
export function roughPieces(parts: readonly Part[], shop: Pick<Shop, "widthAllowance">): RoughPiece[] {
  return parts
    .filter((part) => part.role !== "top" && part.role !== "button")
    .flatMap((part) =>
      part.marks.flatMap((mark) =>
        part.stock.map(({ suffix, width, thickness, matched }) => ({
          id: `${mark}${suffix}`,
          part: part.id,
          label: `${mark}${suffix}`,
          length: part.rough.length,
          width: width + shop.widthAllowance,
          thickness,
          net: (part.finished.length * part.finished.width * part.finished.thickness) / part.stock.length,
          hidden: HIDDEN.includes(part.role),
          ...(matched ? { matched: mark } : {}),
        })),
      ),
    );
}

/** One machine setting and the parts it serves: planed together, ripped together, crosscut together. */
export interface MachineSetting {
  machine: "planer" | "table saw" | "crosscut stop";
  setting: number;
  parts: { id: string; name: string; marks: string[] }[];
}

/** Settings in the order they are made, thickest and longest first, each once. */
export function machineSettings(parts: readonly Part[]): MachineSetting[] {
  const solid = parts.filter((part) => part.role !== "top");
  const by = (machine: MachineSetting["machine"], sizes: (part: Part) => number[]): MachineSetting[] => {
    const groups = new Map<number, Part[]>();
    for (const part of solid)
      for (const size of new Set(sizes(part).map((each) => Math.round(each * 10) / 10)))
        groups.set(size, [...(groups.get(size) ?? []), part]);
    return [...groups]
      .sort(([a], [b]) => b - a)
      .map(([setting, members]) => ({
        machine,
        setting,
        parts: members.map(({ id, name, marks }) => ({ id, name, marks })),
      }));
  };
  return [
    ...by("planer", (part) => part.stock.map((each) => each.thickness)),
    ...by("table saw", (part) => part.stock.map((each) => each.width)),
    ...by("crosscut stop", (part) => [part.finished.length]),
  ];
}
