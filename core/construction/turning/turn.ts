/** A top folded over itself that turns on a pivot: where the pivot must stand, what its frame then carries. mm */
import type { Form } from "../../piece/schema";
import type { PanelPlace, PieceGeometry, Turn } from "../geometry";

/** Felt between the two halves and between top and frame, so that they turn without a scratch. @source common practice */
export const FELT = 1;

/** What keeps a top from turning; null where nothing does, or it isn't asked for. */
export type TurnHindrance = "base" | "ends" | "field" | "outline" | "parting" | "leaves" | "stiffener";
export function turnHindrance(form: Form): TurnHindrance | null {
  if (form.turn.kind === "none") return null;
  if (form.kind !== "leg-and-apron" || form.leg.top !== "under") return "base";
  if (form.ends !== "none") return "ends";
  if (form.field !== "solid" && form.field !== "stripes") return "field";
  if (form.top.outline !== "rectangle") return "outline";
  if (form.parting.kind !== "none") return "parting";
  if (form.drop.kind !== "none") return "leaves";
  return form.stiffener === "none" ? null : "stiffener";
}

/**
 * Where the pivot stands from the middle: turned a quarter, the line both halves are hinged on must lie over the frame's middle. That line's
 * middle is half a width behind; a quarter of a width to the left and behind is as far from it as from the frame's middle, at a right angle.
 *
 * @source derived: the centre of a quarter turn that takes (0, −w/2) to (0, 0)
 */
export const pivotOf = (width: number): { x: number; z: number } => ({ x: -width / 4, z: -width / 4 });

/** The same geometry with a top that turns; the same where none does. It lies on its rails and is held by its pivot alone. */
export function turning<G extends PieceGeometry>(at: G, form: Form): G {
  if (form.turn.kind === "none" || turnHindrance(form)) return at;
  const along = at.bearers.filter(({ run, slope }) => run === "along" && !slope);
  const [front, back] = [along.find(({ at: z }) => z > 0), along.find(({ at: z }) => z < 0)];
  if (!front || !back) return at;
  const { width, thickness } = form.turn.rail;
  const pivot = pivotOf(at.top.width);
  const turn: Turn = {
    pivot,
    rails: { front, back },
    crossed: at.bearers.filter(({ run }) => run === "across").map(({ at: x, thickness: wide }) => ({ x, width: wide })),
    rail: { from: pivot.x - width / 2, to: pivot.x + width / 2, low: at.under - thickness, high: at.under },
  };
  const panel: PanelPlace = {
    ...{ id: "fold", kind: "fold-leaf", part: "FL", name: "folding leaf" },
    ...{ length: at.top.length, width: at.top.width, thickness: at.top.thickness, sizesAt: ["form", "top"] },
  };
  return { ...at, turn, bearers: [], panels: [...(at.panels ?? []), panel] };
}

/** Turned and open, seen from above: along the table and across it. */
export const openSize = ({ top }: Pick<PieceGeometry, "top">) => ({ length: 2 * top.width, width: top.length });
