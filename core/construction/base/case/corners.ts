/** A top that is the case's own upper board: how its corners are joined to the sides. */
import { BACK, FRONT, UP } from "../../../assembly/vector";
import { sagVerdict } from "../../sag";
import type { Contact } from "../contact";
import { set, Verdict, verdict } from "../../../verdict/verdict";
import type { Case } from "./case";
import { at, CaseFacts } from "./facts";
import type { Span } from "../leg-frame/place";

/** Both sides into the top: tails at their heads, or mitres. */
export function cornerContacts({ corners, outside, side, under, deep, top }: Case): Contact[] {
  if (corners === "rails") return [];
  const known = { group: "top+case-side", name: "Side to top", receives: "T", depth: top.thickness };
  const width = deep.to - deep.from;
  const half = Math.SQRT1_2;
  if (corners === "mitred")
    return ([-1, 1] as const).map((way, i): Contact => ({
      ...{ ...known, enters: `P${i + 1}`, how: "mitred", section: { width, thickness: top.thickness } },
      mitre: { spline: true, set: [] },
      face: {
        at: [way < 0 ? outside.from : outside.to, under + top.thickness, way < 0 ? deep.from : deep.to],
        ...{ x: [-way * half, half, 0], y: way < 0 ? FRONT : BACK },
      },
    }));
  return [outside.from, outside.to - side].map((x, i): Contact => ({
    ...{ ...known, enters: `P${i + 1}`, how: corners === "through" ? "through" : "lapped" },
    section: { width, thickness: side },
    face: { at: [x, under, deep.from], x: UP, y: FRONT },
  }));
}

/** A divider let into the top, stopped before its front edge. */
export const dividerToTop = (
  enters: string,
  {
    x,
    high,
    deep,
    insideBack,
    inner,
    top,
  }: { x: number; high: Span; deep: Span; insideBack: number; inner: number; top: Case["top"] },
): Contact => ({
  ...{ group: "top+divider", name: "Divider to top", enters, receives: "T", how: "stopped", depth: top.thickness },
  section: { width: deep.to - insideBack, thickness: inner },
  face: { at: [x, high.to, insideBack], x: UP, y: FRONT },
});

/** A top that is joined to sides is one panel with straight ends, and moves as they do. */
export function topJoined({ at: { corners }, form }: CaseFacts): Verdict | null {
  if (corners === "rails") return null;
  const laid = form.field === "slats" || form.field === "slabs" || form.ends !== "none";
  const shaped = form.top.outline !== "rectangle";
  return verdict({
    id: "form.case-top",
    stage: "form",
    subject: ["top", "case-side"],
    level: laid || shaped ? "fix" : "holds",
    text: laid
      ? "The sides have no one panel over them to be joined to"
      : shaped
        ? "A top that is joined to the sides must end straight"
        : "The top and both sides move alike: they are joined from edge to edge",
    why: "Their grain runs round: all three shrink from front to back and keep their lengths. Slats, end boards and a frame don’t move with them.",
    remedies: laid
      ? [
          ...(form.field === "slats" || form.field === "slabs"
            ? [set("Make the top one panel", ["form", "field"], "solid")]
            : []),
          ...(form.ends !== "none" ? [set("Leave its ends plain", ["form", "ends"], "none")] : []),
          set("Lay it on rails", at("corners"), "rails"),
        ]
      : shaped
        ? [set("Make the top a rectangle", ["form", "top", "outline"], "rectangle")]
        : [],
  });
}

/** With no rails below it, a top carries itself between what it stands on. */
export function topSags({ at: { corners, bays, deep, top }, species }: CaseFacts): Verdict | null {
  if (corners === "rails") return null;
  const span = Math.max(1, ...bays.map(({ from, to }) => to - from));
  return sagVerdict({
    ...{ id: "form.case-top-sag", subject: ["top"], what: "top", held: "between what holds it" },
    ...{ board: { span, wide: deep.to - deep.from, thickness: top.thickness }, stiffness: species.stiffness },
    mend: (thick) => (thick <= 60 ? [set(`Make the top ${thick} mm thick`, ["form", "top", "thickness"], thick)] : []),
  });
}

/** What steps say of it: which corners are cut, how the top goes on. */
export const CORNER_WORDS = {
  through: {
    title: "Dovetail the sides into the top",
    detail:
      "Tails first, on the heads of both sides and to one gauge; the top’s pins are marked from the very tails that go there, each corner numbered and the inside of the case always toward you.",
  },
  "half-blind": {
    title: "Dovetail the sides into the top, half-blind",
    detail:
      "Tails first, on the heads of both sides and to one gauge; the top’s sockets are marked from them and stop short of its upper face, which shows none.",
  },
  mitred: {
    title: "Mitre the sides and the top",
    detail:
      "All four cuts against one stop, the two of the top first; the slot for the spline from the mitre’s inner side, its blade at the same tilt.",
  },
};
