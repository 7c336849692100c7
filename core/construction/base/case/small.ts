/** What a case wants that comes from no board: shelf pins and hinges, where they go. */
import type { SmallPart } from "../../../assembly/small";
import { circle } from "../../../assembly/outline";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { Case, Door } from "./case";
import { PULL, turnedAbout } from "./cut";
import { DOOR, hingesOf } from "./door";
import { latchSmall } from "./door-latch";
import { PIN, pinDepth, pinsAlong } from "./loose-shelf";
import { doorPulls, pullsOf } from "./pull";

/** So much of a pin stands out under its shelf, mm. @source common practice */
const OUT = 8;

const opens: Vec = [0, 0, PULL.front / 2];

/** Each in its stile: the arm that reaches to the case is not drawn. */
const cupHinges = (door: Door): SmallPart[] => {
  const { across: wide, deep, from } = DOOR.cup;
  const r = wide / 2;
  const x = door.hung < 0 ? door.across.from + from : door.across.to - from;
  return hingesOf(door).map((middle, i): SmallPart => ({
    ...{ id: `hinge-${door.n}-${i + 1}`, name: "Cup hinge", plural: "Cup hinges", of: "steel" },
    shape: { length: deep, width: wide, thickness: wide, end: { outer: circle([r, r], r), holes: [] } },
    place: { at: [x - r, middle + r, door.face - door.thickness], x: [0, 0, 1], y: [1, 0, 0] },
    ...{ opens, by: "hinge" },
  }));
};

export function caseSmall(at: Case): SmallPart[] {
  const r = PIN.diameter / 2;
  const round = { outer: circle([r, r], r), holes: [] };
  const pins = at.loose.flatMap((shelf) => {
    const { from, to } = at.bays[shelf.bay];
    return ([-1, 1] as const).flatMap((side) =>
      pinsAlong(shelf, at).map((z, i): SmallPart => {
        const deep = pinDepth(at, shelf.bay, side);
        return {
          ...{
            id: `pin-${shelf.n}-${side < 0 ? 1 : 2}-${i + 1}`,
            name: "Shelf pin",
            plural: "Shelf pins",
            of: "steel",
          },
          shape: { length: deep + OUT, width: PIN.diameter, thickness: PIN.diameter, end: round },
          place: {
            at: [side < 0 ? from - deep : to - OUT, shelf.y - PIN.diameter, z - r],
            ...{ x: [1, 0, 0], y: [0, 1, 0] },
          },
          ...{ opens, by: "loose-shelf" },
        };
      }),
    );
  });
  const cups = at.doors.filter(({ overlay }) => overlay).flatMap(cupHinges);
  const hinges = at.doors
    .filter(({ overlay }) => !overlay)
    .flatMap((door) => {
      const { from, to } = at.bays[door.bay];
      const { long, wide, deep } = DOOR.hinge;
      // both leaves and what is left between them
      const gap = door.hung < 0 ? door.across.from - from : to - door.across.to;
      return hingesOf(door).map((middle, i): SmallPart => ({
        ...{ id: `hinge-${door.n}-${i + 1}`, name: "Butt hinge", plural: "Butt hinges", of: "steel" },
        shape: { length: long, width: 2 * deep + gap, thickness: wide },
        place: {
          at: [door.hung < 0 ? from - deep : to - gap - deep, middle - long / 2, at.deep.to],
          ...{ x: [0, 1, 0], y: [1, 0, 0] },
        },
        ...{ opens, by: "hinge" },
      }));
    });
  const slides = at.drawers.flatMap(({ n, across, head, slides: each, turned }) => {
    if (!each) return [];
    return [across.from, across.to + each.thick].map((right, i): SmallPart => {
      // along to the front, up, and to the left through it
      const place: Place = { at: [right, each.y, head.face - each.length], x: [0, 0, 1], y: [0, 1, 0] };
      return {
        ...{ id: `slide-${n}-${i + 1}`, name: "Drawer slide", plural: "Drawer slides", of: "steel" },
        shape: { length: each.length, width: each.height, thickness: each.thick },
        place: turned ? turnedAbout(turned, place) : place,
        ...{ opens, by: "slide" },
      };
    });
  });
  const pulls = at.drawers.flatMap((drawer) => {
    const out: Vec = [0, 0, drawer.turned ? -PULL.front : PULL.front];
    const { turned } = drawer;
    return pullsOf(drawer, at.pull, { opens: out, bow: at.bow }).map((each) =>
      turned ? { ...each, place: turnedAbout(turned, each.place) } : each,
    );
  });
  const onDoors = at.doors.flatMap((door) => doorPulls(door, at.pull, { face: door.face, opens: [0, 0, PULL.front] }));
  return [...pins, ...cups, ...hinges, ...latchSmall(at), ...slides, ...pulls, ...onDoors];
}
