import { Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Bought } from "./stand";
import type { Welded } from "./welded";

/** A ring ends inside its top, and there is room in it for a spanner. */
export function weldedFits(at: Bought, welded: Welded, overhang: number): Verdict {
  const past = Math.max(welded.length - at.top.length, welded.width - at.top.width);
  const inside = Math.min(welded.length, welded.width) - 2 * welded.bar;
  const level: Level = past > 0 || inside <= 0 || at.height <= 0 ? "fix" : inside < RING_ROOM ? "tight" : "holds";
  const width = Math.floor(at.top.width - 2 * Math.max(20, Math.min(overhang, at.top.width / 8)));
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["bought-leg", "top"],
    level,
    text:
      at.height <= 0
        ? "The ring is thicker than the whole is high"
        : past > 0
          ? `The frame stands ${mm(past)} past the top`
          : inside < RING_ROOM
            ? `Inside its ring ${mm(Math.max(0, inside))} are left`
            : `A ring ${mm(welded.length)} by ${mm(welded.width)} lies under the top`,
    why: `It is of tube ${mm(welded.bar)}, as long as the top less its overhang at both ends; a hand and a spanner want ${mm(RING_ROOM)} inside it.`,
    remedies:
      past > 0 && width >= 60 && width < welded.width
        ? [set(`Have it welded ${width} mm wide`, ["form", "bought", "width"], width)]
        : [],
  });
}
/** A hand with a spanner, mm. @source common practice */
const RING_ROOM = 120;
