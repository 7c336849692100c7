import { clearances, PEOPLE } from "../brief/propose";
import { placesAt, useOf } from "../brief/uses";
import type { Piece } from "../piece/schema";
import { dimension, Item, rect, Scene } from "./scene";

/** The table in its room from above, chairs pulled out as far as people need to get up. */
export function roomScene({ brief, form }: Piece, colour: [string, string]): Scene {
  const { room } = brief;
  const { length, width } = form.top;
  const free = clearances(room, length, width);
  const use = useOf(form);
  const { ends } = placesAt(use, form.top, "daily");
  const at = use.seats?.where ?? "on";
  const sides = at === "round" ? 2 : at === "side" ? 1 : 0;
  const wanted = Math.max(0, brief.seats.daily - Math.min(ends, brief.seats.daily));
  const most = use.seats ? Math.floor(length / use.seats.daily + 1e-9) : 0;
  const perSide = brief.seating === "bench" || sides === 0 ? 0 : Math.min(most, Math.ceil(wanted / sides));
  const around = use.around?.least ?? 0;
  const items: Item[] = [rect({ x: 0, y: 0, w: room.length, h: room.width }, "room", "room")];
  const [x0, y0] = [free.end, free.side];
  const chair = (x: number, y: number) =>
    items.push({ kind: "rect", x, y, w: PEOPLE.chairWide, h: PEOPLE.chairDeep, ink: "hidden", round: 40, id: "chair" });
  items.push({
    kind: "rect",
    x: x0,
    y: y0 - around,
    w: length,
    h: width + 2 * around,
    ink: "wash",
    id: "get-up",
  });
  for (let i = 0; i < perSide; i += 1) {
    const x = x0 + ((i + 0.5) * length) / perSide - PEOPLE.chairWide / 2;
    chair(x, y0 - PEOPLE.chairDeep - 120);
    if (sides === 2) chair(x, y0 + width + 120);
  }
  if (brief.seating === "bench" && sides > 0)
    for (const y of sides === 2 ? [y0 - 330, y0 + width + 30] : [y0 - 330])
      items.push({
        kind: "rect",
        x: x0 + form.overhang.end + form.leg.section + 40,
        y,
        w: length - 2 * (form.overhang.end + form.leg.section + 40),
        h: 300,
        ink: "hidden",
        id: "bench",
      });
  if (brief.seating === "chairs" && at === "round" && ends && brief.seats.daily > 2)
    for (const x of [x0 - PEOPLE.chairDeep - 120, x0 + length + 120])
      items.push({
        kind: "rect",
        x,
        y: y0 + (width - PEOPLE.chairWide) / 2,
        w: PEOPLE.chairDeep,
        h: PEOPLE.chairWide,
        ink: "hidden",
        round: 40,
        id: "chair",
      });
  items.push({ kind: "wood", x: x0, y: y0, w: length, h: width, colour, seed: 11, grain: "x", id: "top" });
  // what stands on it full, what goes under it dashed, from the front or from the left end
  for (const { name, how, length: long, width: deep } of brief.things) {
    if (how === "down") continue;
    const box =
      how === "under-end"
        ? { x: x0, y: y0 + (width - long) / 2, w: deep, h: long }
        : {
            x: x0 + (length - long) / 2,
            y: how === "on" ? y0 + (width - deep) / 2 : y0,
            w: long,
            h: deep,
          };
    items.push({ kind: "rect", ...box, ink: how === "on" ? "paper" : "hidden", id: name });
  }
  items.push(
    dimension([0, room.width], [room.length, room.width], {
      offset: 22,
      value: room.length,
      edit: {
        path: ["brief", "room", "length"],
        name: "Room length",
      },
    }),
  );
  items.push(
    dimension([room.length, room.width], [room.length, 0], {
      offset: 22,
      value: room.width,
      edit: {
        path: ["brief", "room", "width"],
        name: "Room width",
      },
    }),
  );
  items.push(
    dimension([x0, y0 + width], [x0 + length, y0 + width], {
      offset: -18,
      value: length,
      edit: {
        path: ["form", "top", "length"],
        name: "Top length",
      },
    }),
  );
  items.push(
    dimension([x0 + length, y0 + width], [x0 + length, y0], {
      offset: -26,
      value: width,
      edit: {
        path: ["form", "top", "width"],
        name: "Top width",
      },
    }),
  );
  items.push(
    dimension([x0 + length * 0.22, y0], [x0 + length * 0.22, 0], { offset: 0, value: free.side }),
    dimension([0, y0 + width * 0.25], [x0, y0 + width * 0.25], { offset: 0, value: free.end }),
  );
  return {
    id: "room",
    title: `The ${use.noun} in its room: ${room.length} by ${room.width} mm, ${Math.round(free.side)} mm free at the sides and ${Math.round(free.end)} mm at the ends.`,
    bounds: { x: 0, y: 0, w: room.length, h: room.width },
    margin: [44, 60, 12, 12],
    items,
  };
}
