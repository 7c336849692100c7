import { isComposed, PanelPlace, PieceGeometry } from "../construction/geometry";
import { shelfPlaces } from "../construction/fitting/shelf";
import type { Form } from "../piece/schema";
import { copies, markIn, panelIn, saidIn } from "../piece/times";

type Places = Pick<PieceGeometry, "seats" | "panels" | "core" | "row">;

/** Every panel beside the first top that is composed from boards, by its name: other panels, then all of the same piece's copies. */
export function panelPlaces(form: Form, at: Places, times = 1): PanelPlace[] {
  const beside = besideTop(form, at);
  const { length, width, thickness } = at.core;
  const top: PanelPlace = {
    ...{ id: "top", kind: "top", part: "T", name: "top", length, width, thickness },
    sizesAt: ["form", "top"],
    ...(at.row ? { row: at.row } : {}),
  };
  // slats and stripes are sawn one by one: there is no panel to compose
  const whole = isComposed(at.core) ? [top, ...beside] : beside;
  return [
    ...beside,
    ...copies(times).flatMap((copy) =>
      whole.map((place) => ({
        ...place,
        id: panelIn(copy, place.id),
        part: markIn(copy, place.part),
        name: saidIn(copy, place.name),
      })),
    ),
  ];
}

function besideTop(form: Form, { seats, panels = [] }: Pick<Places, "seats" | "panels">): PanelPlace[] {
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
