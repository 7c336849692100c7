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
export function boardCup(
  species: Pick<Species, "radial" | "tangential">,
  width: number,
  { left, right, change }: { left: number; right: number; change: number },
): number {
  const centre = pith(width, left, right);
  if (!centre || centre.distance < 1) return 0;
  return -(species.tangential - species.radial) * change * (width / 2) * Math.atan(width / (2 * centre.distance));
}

/**
 * How far a board's two edges turn against each other when its moisture changes: what a glued panel adds up to its long arc.
 *
 * @param left, right  ring angles at its edges, degrees, signed
 * @returns radians; drying turns the edges so that the bark side goes hollow, which counts as negative
 * @source derived: an upright line at ring angle θ turns by (CT − CR) ΔM (θ − ½ sin 2θ), circular rings
 */
export function boardRotation(
  species: Pick<Species, "radial" | "tangential">,
  left: number,
  right: number,
  change: number,
): number {
  const turn = (degrees: number) => {
    const t = (degrees * Math.PI) / 180;
    return t - Math.sin(2 * t) / 2;
  };
  return (species.tangential - species.radial) * change * (turn(right) - turn(left));
}

/**
 * How far a section goes out of square when its moisture changes.
 *
 * @param ringAngle  degrees at which the rings meet its face
 * @param across     mm, the side over which it is measured
 * @returns mm
 * @source derived: (CT − CR) ΔM sin 2θ, strain is a tensor
 */
export function outOfSquare(
  species: Pick<Species, "radial" | "tangential">,
  ringAngle: number,
  across: number,
  change: number,
): number {
  return (species.tangential - species.radial) * change * Math.sin((2 * ringAngle * Math.PI) / 180) * across;
}
