import { keptAt, shapedTop } from "./outline";
import { INLAID } from "../../joinery/inlaid";
import type { Form } from "../../piece/schema";
import { grade, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { inlayWays } from "./inlays";

export const INLAY_RULES = [inlaysLie, inlaysDeep];

export interface InlayFacts {
  form: Pick<Form, "top" | "field" | "ends">;
  at: PieceGeometry;
}

/** Wood between two pockets, and between one and the top's edge, mm. @source common practice */
const CLEAR = { good: 10, least: 4 };

/** Every pocket lies in the top, clear of its edges and of the others. */
function inlaysLie({ form, at }: InlayFacts): Verdict | null {
  const { inlays } = form.top;
  if (inlays.length === 0) return null;
  const none = form.field === "slats";
  const all = inlays.flatMap(({ name, shape, length, width: given, turn, places }, n) => {
    const width = shape === "plug" ? length : given;
    const { along } = inlayWays(turn);
    // a rectangle round each, as the top sees it from above
    const [c, s] = [along[0], -along[2]];
    const corners = ({ x, y }: { x: number; y: number }, by: number) =>
      [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ].map(([a, b]) => {
        const [u, v] = [(a * (length + 2 * by)) / 2, (b * (width + 2 * by)) / 2];
        return [x + u * c - v * s, y + u * s + v * c] as const;
      });
    return places.map((place) => ({
      name,
      n,
      ...place,
      corners: (by: number) => corners(place, by),
      reach: Math.hypot(length, width) / 2,
      length,
      width,
    }));
  });
  const top = { ...shapedTop(form.top, at), length: at.core.shoulder, width: at.core.width };
  const whole = form.ends === "none" ? top : { ...top, outline: "rectangle" as const, cutouts: [] };
  const over = all.find((each) => each.corners(CLEAR.least).some(([x, y]) => !keptAt(whole, x, y, 0)));
  const near = all.flatMap((a, i) =>
    all.slice(i + 1).map((b) => ({ a, b, apart: Math.hypot(a.x - b.x, a.y - b.y) - a.reach - b.reach })),
  );
  const closest = near.reduce<(typeof near)[number] | null>((a, b) => (!a || b.apart < a.apart ? b : a), null);
  // circles round them are more than they take: those that touch are looked at by their corners
  const meet = closest && closest.apart < CLEAR.good ? apartBy(closest.a.corners(0), closest.b.corners(0)) : Infinity;
  const level = none || over ? "fix" : grade(meet, "at least", CLEAR.good, CLEAR.least);
  const bad = over ?? (level === "holds" ? undefined : closest?.a);
  return verdict({
    id: "boards.inlays",
    stage: "boards",
    subject: ["top"],
    level,
    text: none
      ? "Slats have no face to let anything into"
      : over
        ? `${over.name} runs out at the top’s edge`
        : level === "holds"
          ? `${all.length === 1 ? "The inlay lies" : `${all.length} inlays lie`} clear of the edges`
          : `${closest!.a.name} and ${closest!.b.name} leave ${mm(round1(Math.max(0, meet)))} between them`,
    why: "A pocket near an edge or another breaks out under the cutter; the wood between them is short in the grain.",
    remedies: none
      ? [set("Make the top one panel", ["form", "field"], "solid")]
      : bad
        ? [
            set(
              `Take ${bad.name} out`,
              ["form", "top", "inlays"],
              inlays.filter((_, k) => k !== bad.n),
            ),
          ]
        : [],
  });
}

/** Each leaves wood below it. */
function inlaysDeep({ form, at }: InlayFacts): Verdict | null {
  const { inlays } = form.top;
  if (inlays.length === 0 || form.field === "slats") return null;
  const worst = inlays.reduce((a, b) => (b.deep > a.deep ? b : a));
  const left = at.top.thickness - worst.deep;
  const level = grade(left, "at least", INLAID.wall.good, INLAID.wall.least);
  const deep = Math.floor(at.top.thickness - INLAID.wall.good);
  return verdict({
    id: "boards.inlay-depth",
    stage: "boards",
    subject: ["top"],
    level,
    text:
      left <= 0
        ? `${worst.name} comes out below the top`
        : `${mm(round1(left))} of the top ${left === 1 ? "is" : "are"} left below ${worst.name.toLowerCase()}`,
    why: "Glue swells what is thin below a pocket, and it telegraphs through; a cutter that comes through is not mended.",
    limit: INLAID.wall.good,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || deep < 1
        ? []
        : [
            {
              label: `Let it in ${mm(deep)}`,
              patches: inlays.flatMap((each, i) =>
                each.deep > deep ? [{ path: ["form", "top", "inlays", i, "deep"], value: deep }] : [],
              ),
            },
          ],
  });
}

type Point = readonly [number, number];
/** How far two convex loops lie apart, mm; less than none where they overlap. @source separating axes */
function apartBy(a: readonly Point[], b: readonly Point[]): number {
  const gaps = [a, b].flatMap((loop) =>
    loop.map((from, i) => {
      const to = loop[(i + 1) % loop.length];
      const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
      const long = Math.hypot(dx, dy) || 1;
      const along = (points: readonly Point[]) => points.map(([x, y]) => (x * dy - y * dx) / long);
      const [p, q] = [along(a), along(b)];
      return Math.max(Math.min(...p) - Math.max(...q), Math.min(...q) - Math.max(...p));
    }),
  );
  return Math.max(...gaps);
}
