import { pith } from "./coefficient";
import type { Species } from "../wood/species";

/**
 * How far a free board cups when its moisture changes.
 *
 * @param width        mm
 * @param left, right  ring angles at its edges, degrees, signed
 * @param change       percent MC, negative when it dries
 * @returns mm at the middle against the edges; positive when the bark side goes hollow (drying)
 * @source derived: (CT − CR) ΔM (w/2) atan(w/2r), exact for circular rings
 */
export function boardCup(species: Pick<Species, "radial" | "tangential">, width: number, left: number, right: number, change: number): number {
  const centre = pith(width, left, right);
  if (!centre || centre.distance < 1) return 0;
  return -(species.tangential - species.radial) * change * (width / 2) * Math.atan(width / (2 * centre.distance));
}
