import type { Meeting } from "../../../assembly/meeting";
import { bolted } from "../../../joinery/bolted";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { Form } from "../../../piece/schema";
import { partOver } from "../../top/links";
import { slabOver, slabsOf } from "../../top/slabs";
import { fieldAt } from "../../parting/parting";
import type { BaseFacts } from "../base";
import { axesOf } from "./parts";
import { holesIn } from "./place";
import type { Bought } from "./stand";
import type { Welded } from "./welded";

/** A bolt stands so far inside a slab's own edge, mm. @source common practice */
const BESIDE_EDGE = 25;

/** Each plate bolted below the top; nothing where what lies over it is no one panel. */
export function boughtJoints(at: Bought, form: Form): KindOfJoint[] {
  const { choices, stands, top } = at;
  if (form.field === "slats") return [];
  if (at.welded) return [boltedTubes(at, at.welded)];
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

/** Up through the tubes below the top. */
const boltedTubes = ({ choices, top }: Bought, { width, bar, cross, holes }: Welded): KindOfJoint =>
  bolted({
    meets: {
      ...{ id: "top+bought-leg", group: "top+bought-leg", receives: "top", enters: "bought-leg" },
      ...{ name: "Tube to top", count: cross.length },
    },
    section: { width, thickness: bar },
    plate: bar,
    top: top.thickness,
    into: choices.into,
    holes: holes.map((each) => ({ y: each + width / 2, z: bar / 2 })),
    measured: choices.measured,
    said: "tube",
  });

/** Under the panel itself: what holds a top's ends takes no inserts from here. */
export function boughtMeetings({ form, at, joints }: BaseFacts<Bought>): Meeting[] {
  const [joint] = joints;
  if (!joint || form.field === "slats") return [];
  const plate = at.welded ? { length: at.welded.bar, width: at.welded.width } : at.choices.plate;
  const slabs = slabsOf(form, at.top);
  return at.stands.map((stand, i): Meeting => {
    const { x, z } = stand;
    const { u, v } = axesOf(stand);
    return {
      joint,
      // a frame's plate may lie below both slabs
      ...(slabs.length > 1 && Math.abs(z) < plate.width / 2 ? { also: slabs[1].id } : {}),
      ...{
        enters: at.welded ? "Y1" : `Y${i + 1}`,
        receives:
          slabs.length > 0
            ? partOver(form, at, { x, z: slabs.length > 1 && Math.abs(z) < plate.width / 2 ? plate.width / 2 : z })
            : fieldAt(at, { x, z }),
      },
      face: {
        at: [
          x - (u.x * plate.length) / 2 - (v.x * plate.width) / 2,
          at.under,
          z - (u.z * plate.length) / 2 - (v.z * plate.width) / 2,
        ],
        x: [0, 1, 0],
        y: [v.x, 0, v.z],
      },
    };
  });
}
