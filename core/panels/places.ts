import type { PanelPlace, PieceGeometry } from "../construction/geometry";
import { shelfPlaces } from "../construction/fitting/shelf";
import type { Form } from "../piece/schema";

/** Every panel beside the top that is composed from boards, by its name. */
export function panelPlaces(form: Form, { seats }: Pick<PieceGeometry, "seats">): PanelPlace[] {
  const shelves = shelfPlaces(form, seats);
  return shelves.map(({ length, width, thickness }, i) => ({
    ...{ length, width, thickness },
    id: shelves.length > 1 ? `shelf-${i + 1}` : "shelf",
    kind: "shelf",
    part: shelves.length > 1 ? `B${i + 1}` : "B",
    name: shelves.length > 1 ? `shelf ${i + 1}` : "shelf",
  }));
}
