/** How the frames and boards of doors are joined, and how a joint calls what it belongs to. */
import { LEFT, RIGHT, UP } from "../../../assembly/vector";
import type { Contact } from "../contact";
import type { Case, Door } from "./case";
import { ofDoor } from "./door";
import { battenContacts } from "./door-battens";

export const doorContacts = ({ doors }: Pick<Case, "doors">): Contact[] =>
  doors.flatMap((door) => {
    const named = called(door, doors, "Door");
    return door.battens ? battenContacts(door, named) : atDoor(door, door.face, named);
  });

/** Drawers or doors of one size as a joint's name calls them: by their numbers, where there are several sizes. */
export function called<T extends { size: number; n: number }>({ size }: T, all: readonly T[], one: string): string {
  if (all.every((each) => each.size === size)) return one;
  const same = all.filter((each) => each.size === size).map(({ n }) => n);
  return `${one} ${same.join(", ")}`;
}

function atDoor(door: Door, front: number, named: string): Contact[] {
  const { n, across, high, stile, rail, thickness } = door;
  const known: Omit<Contact, "enters" | "receives" | "face"> = {
    ...{ group: `${ofDoor("door-stile", door)}+${ofDoor("door-rail", door)}`, name: `${named}: rail to stile` },
    ...{ how: "stub", section: { width: rail, thickness }, depth: stile },
  };
  return [high.from, high.to - rail].flatMap((y, i): Contact[] => {
    const enters = `R${2 * n - 1 + i}`;
    return [
      { ...known, enters, receives: `RS${2 * n - 1}`, face: { at: [across.from + stile, y, front], x: LEFT, y: UP } },
      {
        ...{ ...known, enters, receives: `RS${2 * n}` },
        face: { at: [across.to - stile, y, front - thickness], x: RIGHT, y: UP },
      },
    ];
  });
}
