import { Footprint, onBearer, PieceGeometry } from "../construction/geometry";
import { chordAt, shapedTop } from "../construction/top/outline";
import { mm, set, Verdict, verdict } from "../verdict/verdict";
import type { PanelFacts } from "./panel-facts";

/** What stands below must lie under the finished outline, and no hole be cut over it. */
export function outlineClear({ at, piece }: PanelFacts): Verdict | null {
  const top = shapedTop(piece.form.top, at);
  const whole = at.core.count === 1 && at.core.length === at.top.length;
  if (!whole || (top.outline === "rectangle" && top.cutouts.length === 0)) return null;
  const shape = { ...top, length: at.top.length, width: at.top.width };
  const below = belowTop(at);
  // where corners are notched the legs come up through them
  const out =
    top.outline === "notched"
      ? 0
      : Math.max(
          0,
          ...below.map(
            ({ x, z, length, width }) => Math.abs(x) + length / 2 - chordAt(shape, Math.abs(z) + width / 2) / 2,
          ),
        );
  const over = top.cutouts.find((cut) =>
    below.some(
      ({ x, z, length, width }) =>
        Math.abs(Math.abs(cut.x) - Math.abs(x)) < (cut.length + length) / 2 &&
        Math.abs(Math.abs(cut.y) - Math.abs(z)) < (cut.width + width) / 2,
    ),
  );
  const beyond = top.cutouts.find((cut) =>
    [-1, 1].some((s) => Math.abs(cut.x) + cut.length / 2 > chordAt(shape, cut.y + (s * cut.width) / 2) / 2),
  );
  return verdict({
    id: "boards.outline",
    stage: "boards",
    subject: ["top", "leg"],
    level: out > 0 || beyond ? "fix" : over ? "tight" : "holds",
    text:
      out > 0
        ? `The legs stand ${mm(out)} outside the outline`
        : beyond
          ? `The cut-out for ${beyond.name} runs over the edge`
          : over
            ? `The cut-out for ${over.name} opens over a leg`
            : "Legs and cut-outs lie inside the outline",
    why:
      out > 0
        ? "The curve passes inside their corners: overhang them more, or keep the top straight."
        : beyond || over
          ? "Move it, or make it smaller."
          : "Each corner of a leg is covered by the finished top.",
    remedies:
      out > 0
        ? [set("Keep the top rectangular", ["form", "top", "outline"], "rectangle")]
        : (beyond ?? over)
          ? [
              set(
                "Take the cut-out out",
                ["form", "top", "cutouts"],
                top.cutouts.filter((cut) => cut !== (beyond ?? over)),
              ),
            ]
          : [],
  });
}

/** What comes up to the top: legs, or the braces of a base whose posts stop below. */
const belowTop = ({ posts, bearers }: PieceGeometry): Footprint[] =>
  posts.length > 0
    ? posts
    : bearers
        .filter(({ run }) => run !== "along")
        .map((each) => ({ ...each, middle: onBearer(each, 0) }))
        .map(({ middle, length, thickness, aslant }) => ({
          ...middle,
          length: aslant ? Math.abs(length * aslant.way[0]) : thickness,
          width: aslant ? Math.abs(length * aslant.way[1]) : length,
        }));
