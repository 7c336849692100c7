import type { Meeting } from "../../../assembly/meeting";
import { bolted } from "../../../joinery/bolted";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { Form } from "../../../piece/schema";
import { partOver } from "../../top/links";
import { slabOver, slabsOf } from "../../top/slabs";
import { halfAt } from "../../parting/parting";
import type { BaseFacts } from "../base";
import { Bought, holesIn } from "./place";

/** A bolt stands so far inside a slab's own edge, mm. @source common practice */
const BESIDE_EDGE = 25;

/** Each plate bolted below the top; nothing where what lies over it is no one panel. */
export function boughtJoints(at: Bought, form: Form): KindOfJoint[] {
  const { choices, stands, top } = at;
  if (form.field === "slats") return [];
  const { along, across } = holesIn(choices);
  const slabs = slabsOf(form, top);
  return [
    bolted({
      meets: {
        ...{ id: "top+bought-leg", group: "top+bought-leg", receives: "top", enters: "bought-leg" },
        ...{ name: "Plate to top", count: stands.length },
      },
      section: { width: choices.plate.width, thickness: choices.plate.length },
      plate: choices.plate.thickness,
      top: top.thickness,
      into: choices.into,
      // no hole is drilled where no slab lies over it
      holes: along
        .flatMap((z) => across.map((y) => ({ y, z })))
        .filter(({ y, z }) =>
          stands.every(
            (stand) =>
              slabs.length === 0 ||
              slabOver(
                slabs,
                at,
                { x: stand.x - choices.plate.length / 2 + z, z: stand.z - choices.plate.width / 2 + y },
                BESIDE_EDGE,
              ) !== null,
          ),
        ),
      measured: choices.measured,
    }),
  ];
}

/** Under the panel itself: what holds a top's ends takes no inserts from here. */
export function boughtMeetings({ form, at, joints }: BaseFacts<Bought>): Meeting[] {
  const [joint] = joints;
  if (!joint || form.field === "slats") return [];
  const { plate } = at.choices;
  const slabs = slabsOf(form, at.top);
  return at.stands.map(({ x, z }, i): Meeting => ({
    joint,
    // a frame's plate may lie below both slabs
    ...(slabs.length > 1 && Math.abs(z) < plate.width / 2 ? { also: slabs[1].id } : {}),
    ...{
      enters: `Y${i + 1}`,
      receives:
        slabs.length > 0
          ? partOver(form, at, { x, z: slabs.length > 1 && Math.abs(z) < plate.width / 2 ? plate.width / 2 : z })
          : halfAt(at, x),
    },
    face: {
      at: [x - plate.length / 2, at.under, z - plate.width / 2],
      x: [0, 1, 0],
      y: [0, 0, 1],
    },
  }));
}
