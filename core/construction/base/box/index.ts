import { KIND_RULES } from "../../../joinery/joint-rules";
import { fine, mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { jointsOf, meetingsOf } from "../contact";
import { legFrameSaid } from "../leg-frame/place";
import { boxContacts, slatsAgainst } from "./contacts";
import { boxDimensions } from "./dimensions";
import { boxPoses, boxSmall } from "./lid";
import { BOX_MOVE_RULES } from "./move-rules";
import { boxParts } from "./parts";
import { Box, placeBox } from "./place";
import { BOX_RULES } from "./rules";
import { boxWork } from "./work";

const CORNERS = {
  splined: "mitred and splined",
  "loose-tenons": "mitred on loose tenons",
  keyed: "mitred and keyed",
  dowelled: "mitred and dowelled through its corners",
  dovetailed: "dovetailed",
  rebated: "rebated and pinned",
};
const LIDS = { hinged: "a lid on hinges", lift: "a lid that lifts and comes forward", loose: "a loose lid" };

/** A box with a lid, its grain running round it, on the floor or on a frame of legs. */
export const box: Base<Box> = {
  kind: "box",
  name: "Box with a lid",
  place: placeBox,
  joints: (at, form, choices, shop) => jointsOf(boxContacts(at), { choices, shop, slope: form.box.slope }),
  parts: boxParts,
  meetings: ({ at, joints }) => meetingsOf(boxContacts(at), joints),
  formRules: BOX_RULES,
  jointRules: KIND_RULES,
  moveRules: BOX_MOVE_RULES,
  small: boxSmall,
  against: slatsAgainst,
  poses: boxPoses,
  work: boxWork,
  dimensions: boxDimensions,
  setOuts: () => [],
  describe: ({ box: { corner, lid } }, { legs }) =>
    `A box ${CORNERS[corner]}, with ${LIDS[lid.way]}, ${legs ? "on a frame of legs" : "on the floor"}.`,
  sizes: (_, { outside: { x, z }, high, wall, bottom, inside, legs }) => [
    ["Box", `${mm(x.to - x.from)} by ${mm(z.to - z.from)}, ${mm(high.to - high.from)} high`],
    [
      "Inside",
      `${mm(inside.x.to - inside.x.from)} by ${mm(inside.z.to - inside.z.from)}, ${mm(high.to - high.from - bottom.thickness)} high`,
    ],
    [
      "Boards",
      `walls ${mm(wall)}, bottom ${bottom.slats.length > 0 ? `of ${bottom.slats.length} slats ` : ""}${fine(bottom.thickness)}`,
    ],
    ...(legs ? [["Leg frame", legFrameSaid(legs)] as [string, string]] : []),
  ],
};
