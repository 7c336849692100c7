import type { Role } from "../assembly/sort";
import type { Part } from "../layout/cut-list";
import type { Species } from "../wood/species";
import { boardCoefficient, coefficientAt } from "./coefficient";
import type { Course } from "./course";
import { outOfSquare } from "./cup";
import { SATURATION, widthChange } from "./width";
import { UNKNOWN_RINGS } from "./year";

/** How one kind of part changes on its driest and wettest day: width, thickness, and a right angle over its width, mm. */
export interface PartMove {
  id: string;
  name: string;
  course: string;
  dry: { width: number; thickness: number };
  wet: { width: number; thickness: number };
  square: number;
}

/** Small parts whose movement nobody asks after, and what hardly moves. */
const UNSEEN: readonly Role[] = ["button", "block", "sheet"];

/** Rings that are not known: flat-sawn boards, and legs with their rings from corner to corner, where they go out of square most. @source common practice */
const LEG_RINGS = 45;

/**
 * Size and squareness of every kind of part through its years.
 *
 * @param wood  of each kind; `panel`: mean coefficient of the top's strips, which counts for the top itself
 * @source derived: the thickness moves by the complement of the ring angle
 */
export function partMovements(
  parts: readonly Part[],
  courses: Record<string, Course>,
  { wood, panel }: { wood: (kind: string) => Species; panel: (kind: string) => number },
): PartMove[] {
  const held = (moisture: number) => Math.min(SATURATION, moisture);
  return parts
    .filter((part) => !UNSEEN.includes(part.role))
    .map((part) => {
      const species = wood(part.id);
      const flat = boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
      const thick = part.role === "leg" || part.role === "post";
      const course = courses[part.id] === courses.top ? "top" : part.id;
      const across = thick ? coefficientAt(species, LEG_RINGS) : part.role === "panel" ? panel(part.id) : flat;
      const through = species.radial + species.tangential - across;
      const { driest, wettest, mean } = courses[course];
      const start = mean[0];
      const on = (moisture: number) => ({
        width: widthChange(part.finished.width, across, start, moisture),
        thickness: widthChange(part.finished.thickness, through, start, moisture),
      });
      const most = Math.max(
        Math.abs(held(driest.moisture) - held(start)),
        Math.abs(held(wettest.moisture) - held(start)),
      );
      return {
        id: part.id,
        name: part.name,
        course,
        dry: on(driest.moisture),
        wet: on(wettest.moisture),
        square: thick ? outOfSquare(species, LEG_RINGS, part.finished.width, most) : 0,
      };
    });
}
