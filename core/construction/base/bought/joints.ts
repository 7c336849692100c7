import type { Meeting } from "../../../assembly/meeting";
import { bolted } from "../../../joinery/bolted";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { Form } from "../../../piece/schema";
import { halfAt } from "../../parting/parting";
import type { BaseFacts } from "../base";
import { Bought, holesIn } from "./place";

/** Each plate bolted below the top; nothing where what lies over it is no one panel. */
export function boughtJoints(at: Bought, form: Form): KindOfJoint[] {
  const { choices, stands, top } = at;
  if (form.field === "slats") return [];
  const { along, across } = holesIn(choices);
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
      holes: along.flatMap((z) => across.map((y) => ({ y, z }))),
      measured: choices.measured,
    }),
  ];
}

/** Under the panel itself: what holds a top's ends takes no inserts from here. */
export function boughtMeetings({ form, at, joints }: BaseFacts<Bought>): Meeting[] {
  const [joint] = joints;
  if (!joint || form.field === "slats") return [];
  const { plate } = at.choices;
  return at.stands.map(({ x, z }, i): Meeting => ({
    joint,
    ...{ enters: `Y${i + 1}`, receives: halfAt(at, x) },
    face: {
      at: [x - plate.length / 2, at.under, z - plate.width / 2],
      x: [0, 1, 0],
      y: [0, 0, 1],
    },
  }));
}
