import type { AssemblyPart, Worked } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import type { Case, Door } from "./case";
import { cut, PULL } from "./cut";
import { hingesOf, ofDoor, panelOf } from "./door";
import { cupIn, hingeIn, LEVEL, UPRIGHT } from "./door-hinges";
import { besideAt } from "./posts";
import { lipOf } from "./sheet";
import { battenedParts } from "./door-battens";
import { latchHoles } from "./door-latch";
import { doorHoles } from "./pull";

const stick = { make: "solid", role: "rail" } as const;
const FRAME = "its opening, once the case is closed";
/** Every door, closed: stiles RS, rails R, the panel B. */
export const doorParts = ({ case: { doors } }: Form, at: Case): AssemblyPart[] =>
  at.doors.flatMap((door) =>
    door.battens
      ? battenedParts(door, at.pull)
      : partsOf(door, { front: door.face, pull: at.pull }, doors.panel === "solid"),
  );

function partsOf(door: Door, { front, pull }: { front: number; pull: Case["pull"] }, solid: boolean): AssemblyPart[] {
  const { n, across, high, thickness, stile, rail, panel, hung } = door;
  const opens: Vec = [0, 0, PULL.front];
  const panelKind = ofDoor("door-panel", door);
  const { between, x, y } = panelOf(door);
  const middle = front - thickness / 2;
  const groove = (part: Place, from: Vec, long: number, wide: number): Worked =>
    cut(panelKind, part, { length: long, width: wide, thickness: panel.thickness }, { at: from, ...LEVEL });
  const stiles = [-1, 1].map((way, i): AssemblyPart => {
    const left = way < 0 ? across.from : across.to - stile;
    const place: Place = { at: [left, high.from, front], ...UPRIGHT };
    const in_ = way < 0 ? between.x.from - panel.groove : between.x.to;
    return {
      ...{
        id: `RS${2 * n - 1 + i}`,
        kind: ofDoor("door-stile", door),
        name: "Door stile",
        letter: "RS",
        ...stick,
        opens,
      },
      markedFrom: FRAME,
      note: door.overlay
        ? "Grooved between the rails; bored for the hinges’ cups on the side it hangs."
        : "Grooved between the rails; let in for the hinges on the side it hangs.",
      shape: { length: high.to - high.from, width: stile, thickness },
      place,
      adds: [],
      cuts: [
        groove(
          place,
          [in_, between.y.from - panel.groove, middle - panel.thickness / 2],
          panel.groove,
          between.y.to - between.y.from + 2 * panel.groove,
        ),
        ...(way === hung && door.overlay
          ? hingesOf(door).map((middle) => cupIn(place, door, middle))
          : way === hung
            ? hingesOf(door).map((middle) =>
                hingeIn(place, { x: hung < 0 ? across.from : across.to, way: hung < 0 ? 1 : -1, middle, front }),
              )
            : [...doorHoles(door, pull, place, front), ...latchHoles(door, place)]),
      ],
    };
  });
  const rails = [high.from, high.to - rail].map((low, i): AssemblyPart => {
    const place: Place = { at: [between.x.from, low, front - thickness], ...LEVEL };
    const up = i === 0 ? between.y.from - panel.groove : between.y.to;
    return {
      ...{ id: `R${2 * n - 1 + i}`, kind: ofDoor("door-rail", door), name: "Door rail", letter: "R", ...stick, opens },
      markedFrom: FRAME,
      note: "Its tenons are included; its groove is ploughed through them.",
      shape: { length: between.x.to - between.x.from, width: rail, thickness },
      place,
      adds: [],
      cuts: [groove(place, [across.from, up, middle - panel.thickness / 2], across.to - across.from, panel.groove)],
    };
  });
  return [
    ...stiles,
    ...rails,
    {
      ...{ id: `B${n}`, kind: panelKind, name: "Door panel", letter: "B", make: "solid", opens },
      ...(solid
        ? {
            role: "panel",
            note: "Its grain upright; finished before it goes in, free in its grooves but for a dab of glue in the middle of each rail.",
          }
        : {
            role: "sheet",
            sheet: { material: "plywood", thickness: panel.thickness },
            note: "In the grooves, its face’s grain upright.",
          }),
      shape: { length: y.to - y.from, width: x.to - x.from, thickness: panel.thickness },
      place: { at: [x.from, y.from, middle + panel.thickness / 2], ...UPRIGHT },
      ...{ adds: [], cuts: [] },
    },
  ];
}

/** The same parts with hinges let into what doors hang on. */
export function hinged(parts: readonly AssemblyPart[], at: Case): AssemblyPart[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const cuts = new Map<string, Worked[]>();
  for (const door of at.doors.filter(({ overlay }) => !overlay)) {
    const { from, to } = at.bays[door.bay];
    const id = besideAt(at, { bay: door.bay, way: door.hung, z: at.deep.to - 1 });
    const part = byId.get(id);
    if (!part) continue;
    const mine = hingesOf(door).map((middle) =>
      hingeIn(part.place, { x: door.hung < 0 ? from : to, way: door.hung, middle, front: at.deep.to }),
    );
    cuts.set(id, [...(cuts.get(id) ?? []), ...mine]);
    // a leaf is wider than a lipping
    const lip = lipOf(parts, id);
    if (lip)
      cuts.set(lip.id, [
        ...(cuts.get(lip.id) ?? []),
        ...hingesOf(door).map((middle) =>
          hingeIn(lip.place, { x: door.hung < 0 ? from : to, way: door.hung, middle, front: at.deep.to }),
        ),
      ]);
  }
  return parts.map((part) => {
    const mine = cuts.get(part.id);
    return mine ? { ...part, cuts: [...part.cuts, ...mine] } : part;
  });
}
