/** A face glued to a face along its grain, and nothing else: a lipping on an edge. */
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import type { Held, Joint, JointBodies, SettingCard } from "./joint";

export interface Glued extends Joint {
  kind: "glued";
  section: { width: number; thickness: number };
  behind: number;
  /** an edge to an edge of what is as good as as thick, level on one face: nothing stands over to be planed off */
  seam?: true;
}

/** @param depth  of what it is glued to, behind the face, mm */
export const glued = (meets: Meets, section: Glued["section"], depth: number, as: Pick<Glued, "seam"> = {}): Glued => ({
  ...meets,
  ...as,
  kind: "glued",
  ...{ section, behind: depth, length: 0, walls: [] },
  glueArea: section.width * section.thickness,
  tool: { kind: "router bit", size: 0 },
});

export const gluedBodies = (): JointBodies => ({ adds: [], cuts: [], own: [] });

export const gluedHeld = ({ section }: Glued): Held[] => [
  { kind: "glue", name: "its edge", from: 0, to: section.width },
];

export const gluedCard = ({ id, name, count, section, seam }: Glued): SettingCard => ({
  joint: id,
  title: `${name}, ${count} ${count > 1 ? "times" : "time"}`,
  lines: [{ what: "Glued edge", setting: `${mm(section.width)} by ${fine(section.thickness)}` }],
  marked: seam
    ? "Jointed straight and square, a triangle over all that meet; level below, where they lie on flat bearers. Glue on one edge, rubbed, cauls over the seam: what is squeezed out above is wiped off at once."
    : "Wider than the edge by a millimetre on each face, pressed on with a batten and tape; planed flush when it is dry, a scraper last: a face's veneer is thin.",
});
