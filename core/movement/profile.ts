import type { Species } from "../wood/species";
import { boardCup, boardRotation } from "./cup";
import { panelCurvature, TopMovement } from "./year";

/** One strip of a free panel seen from its end: where its middle lies, how it is tilted, and its own cup, mm and degrees. */
export interface StripPose {
  x: number;
  y: number;
  turn: number;
  cup: number;
}

/**
 * Shape of a free panel from its front edge to its back on one sample of its course, its outer edges at height 0.
 *
 * @returns a pose for each strip, and the upper face as points from edge to edge; mm, up is positive, not exaggerated
 * @source derived: rings turn each board's edges and cup it, faces of unlike moisture bend all of it
 */
export function panelProfile(
  top: TopMovement,
  species: Pick<Species, "radial" | "tangential">,
  sample: number,
): { strips: StripPose[]; face: [number, number][] } {
  const change = top.course.mean[sample] - top.start.value;
  const kappa = panelCurvature(top.coefficient, top.thickness, top.course.moment[sample]);
  const up = (strip: TopMovement["strips"][number]) => (strip.barkUp ? 1 : -1);
  const turns = top.strips.map(
    (strip) => up(strip) * boardRotation(species, strip.ringLeft, strip.ringRight, change) + kappa * strip.width,
  );
  let slope = 0;
  let height = 0;
  const raw = top.strips.map((strip, i) => {
    if (i > 0) slope -= (turns[i - 1] + turns[i]) / 2;
    const middle = height + (slope * strip.width) / 2;
    const from = height;
    height += slope * strip.width;
    return { strip, slope, from, middle, sag: (kappa * strip.width * strip.width) / 8 };
  });
  const tilt = height / top.width;
  const face: [number, number][] = [];
  const strips = raw.map(({ strip, slope: own, from, middle, sag }) => {
    const cup = up(strip) * boardCup(species, strip.width, { left: strip.ringLeft, right: strip.ringRight, change });
    for (let k = 0; k <= 8; k += 1) {
      const u = k / 8;
      face.push([
        strip.from + u * strip.width,
        from + own * u * strip.width - tilt * (strip.from + u * strip.width) + (sag - cup) * 4 * u * (1 - u),
      ]);
    }
    return {
      x: strip.from + strip.width / 2,
      y: middle - tilt * (strip.from + strip.width / 2) + sag,
      turn: ((own - tilt) * 180) / Math.PI,
      cup,
    };
  });
  return { strips, face };
}
