import { Footprint, onBearer, PieceGeometry } from "../construction/geometry";
import { isWhole } from "../construction/top/core";
import { chordAt, distanceToLoop, keptAt, outlineOf, shapedTop } from "../construction/top/outline";
import { boxOfLoop, drawnThrough, roundedCorners } from "../construction/top/points";
import { cornersOf } from "../construction/posts";
import { asTop } from "../panels/row";
import type { Form } from "../piece/schema";
import { mm, set, Verdict, verdict } from "../verdict/verdict";
import type { PanelFacts } from "./panel-facts";

/** What stands below must lie under the finished outline, and no hole be cut over it. */
export function outlineClear({ at: composed, piece }: PanelFacts): Verdict | null {
  const at = asTop(composed);
  const top = shapedTop(piece.form.top, at);
  const whole = at.core.count === 1 && at.core.length === at.top.length;
  if (!whole || (top.outline === "rectangle" && top.cutouts.length === 0)) return null;
  const shape = { ...top, length: at.top.length, width: at.top.width };
  const below = belowTop(at);
  // where corners are notched the legs come up through them
  const out =
    top.outline === "notched"
      ? 0
      : top.outline === "points"
        ? Math.max(0, ...below.map((each) => outside(shape, each)))
        : Math.max(0, ...below.flatMap(cornersOf).map(({ x, z }) => Math.abs(x) - chordAt(shape, z) / 2));
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

/** How far the worst corner of what stands below lies outside an outline by points, mm. */
function outside(top: Form["top"], stands: Footprint): number {
  const bare = { ...top, cutouts: [] };
  return Math.max(
    0,
    ...cornersOf(stands).map(({ x, z }) => (keptAt(bare, x, -z, 0) ? 0 : distanceToLoop(outlineOf(bare), x, -z))),
  );
}

/** An outline by points closes, crosses itself nowhere, and fills the length and width of its top. */
export function outlineDrawn({ at, piece }: PanelFacts): Verdict | null {
  const { top } = piece.form;
  if (shapedTop(top, at).outline !== "points" || !isWhole(piece.form)) return null;
  const drawn = drawnThrough(top.points);
  const box = drawn.ok ? boxOfLoop(drawn.loop) : null;
  // about its middle, so that the piece stays where its legs are
  const size = box && {
    length: Math.ceil(2 * Math.max(-box.left, box.right) - 0.5),
    width: Math.ceil(2 * Math.max(-box.front, box.back) - 0.5),
  };
  const [over, short] = size
    ? [
        Math.max(size.length - top.length, size.width - top.width),
        Math.max(top.length - size.length, top.width - size.width),
      ]
    : [0, 0];
  const again = set(
    "Begin again with rounded corners",
    ["form", "top", "points"],
    roundedCorners(top.length, top.width, 60),
  );
  return verdict({
    id: "boards.outline-points",
    stage: "boards",
    subject: ["top"],
    level: !drawn.ok || over > 0 ? "fix" : short > 2 ? "tight" : "holds",
    text: !drawn.ok
      ? drawn.fault.replace(/[.]$/, "")
      : over > 0
        ? `The outline runs ${mm(over)} over the top it is sawn from`
        : short > 2
          ? `The outline leaves ${mm(short)} of the top’s size unused`
          : `The outline closes through its ${top.points.length} points`,
    why: !drawn.ok
      ? "A rectangle is drawn until its points make a line that can be sawn."
      : `Its points lie within ${mm(size!.length)} by ${mm(size!.width)}, the top is ${mm(top.length)} by ${mm(top.width)}.`,
    remedies: !drawn.ok
      ? [again]
      : over > 0 || short > 2
        ? [
            {
              label: `Make the top ${size!.length} by ${size!.width} mm`,
              patches: [
                { path: ["form", "top", "length"], value: size!.length },
                { path: ["form", "top", "width"], value: size!.width },
              ],
            },
            again,
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
