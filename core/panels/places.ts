import type { PanelPlace, PieceGeometry } from "../construction/geometry";
import { shelfPlaces } from "../construction/fitting/shelf";
import type { Form } from "../piece/schema";

/** Every panel beside the top that is composed from boards, by its name. */
export function panelPlaces(form: Form, { seats, panels = [] }: Pick<PieceGeometry, "seats" | "panels">): PanelPlace[] {
  const shelves = shelfPlaces(form, seats);
  const lying = shelves.map(({ length, width, thickness }, i): PanelPlace => ({
    ...{ length, width, thickness },
    id: shelves.length > 1 ? `shelf-${i + 1}` : "shelf",
    kind: "shelf",
    part: shelves.length > 1 ? `B${i + 1}` : "B",
    name: shelves.length > 1 ? `shelf ${i + 1}` : "shelf",
    sizesAt: ["form", "shelf"],
  }));
  return [...lying, ...panels.filter(({ length, width }) => length > 0 && width > 0)];
}
