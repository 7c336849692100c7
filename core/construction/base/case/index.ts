import { backSheets } from "./back-sheet";
import { SHEETS } from "../../../assembly/material";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { listed, mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { backAgainst } from "./back-contacts";
import { backParts } from "./back-parts";
import { hungAgainst } from "./hung";
import { cornersSaid } from "./corners";
import { caseDimensions } from "./dimensions";
import { jointsOf, meetingsOf } from "../contact";
import { legFrameSaid } from "../leg-frame/place";
import { contactsOf } from "./contacts";
import { caseParts } from "./parts";
import type { Case } from "./case";
import { placeCase } from "./place";
import { CASE_MOVE_RULES } from "./move-rules";
import { casePoses } from "./poses";
import { postsAgainst } from "./posts";
import { CASE_RULES } from "./rules";
import { caseSmall } from "./small";
import { caseWork } from "./work";

/** A case of solid boards under the top: sides with their grain upright, a bottom, rails, dividers, shelves, drawers, a back. */
export const caseBase: Base<Case> = {
  kind: "case",
  name: "Case",
  place: placeCase,
  joints: (at, form, choices, shop) => jointsOf(contactsOf(at, form), { choices, shop, slope: form.case.slope }),
  parts: caseParts,
  meetings: ({ form, at, joints }) => meetingsOf(contactsOf(at, form), joints),
  formRules: CASE_RULES,
  jointRules: KIND_RULES,
  moveRules: CASE_MOVE_RULES,
  small: caseSmall,
  against: (at, form) => [
    ...backAgainst(at, form),
    ...postsAgainst(at),
    ...hungAgainst(
      at,
      [...(at.backed === "sheet" ? backSheets(at) : []), ...backParts(at, form)].map(({ id }) => id),
    ),
  ],
  poses: casePoses,
  work: caseWork,
  dimensions: caseDimensions,
  setOuts: () => [],
  describe: (_, { bays, drawers, doors, loose, backed, legs, plinth, cornered, onWall, corners, mitre, sheet }) =>
    `A case ${sheet ? `of ${SHEETS[sheet].name.toLowerCase()} lipped in front: ` : ""}${cornersSaid({ corners, mitre })}${sheet ? "" : "of "}${bays.length === 1 ? "one bay" : `${bays.length} bays`}${withAll([counted(drawers.length, "drawer"), counted(doors.length, "door"), counted(loose.length, "loose shelf", "loose shelves")])}, ${{ none: "open behind", sheet: "a back of sheet", boards: "a back of boards", framed: "a framed back" }[backed]}${legs ? ", on a frame of legs" : plinth ? ", on a plinth" : cornered ? ", on posts that are its corners" : onWall ? `, hung on a wall by ${onWall.rails.length > 1 ? "rails" : "a rail"} behind` : ""}.`,
  sizes: (_, { outside, deep, under, foot, side, inner, bays, drawers, legs, lift, onWall, cornered }) => [
    ...(legs ? [["Leg frame", legFrameSaid(legs)] as [string, string]] : []),
    [
      "Case",
      `${mm(outside.to - outside.from)} by ${mm(deep.to - deep.from)}, ${mm(under - (cornered ? 0 : foot))} high`,
    ],
    ...(onWall
      ? [
          ["Hangs", `its bottom ${mm(lift)} above the floor, by ${onWall.fixings.length * onWall.each} screws`] as [
            string,
            string,
          ],
        ]
      : []),
    [
      "Boards",
      `${cornered ? `posts ${mm(cornered.post)} square, ` : ""}sides ${mm(side)}, what lies between ${mm(inner)}`,
    ],
    ["Bays", bays.map(({ from, to }) => mm(to - from)).join(", ")],
    ...(drawers.length > 0
      ? [
          [
            "Drawers",
            drawers.map(({ n, width, high }) => `${n}: ${mm(width)} by ${mm(high.to - high.from)}`).join("; "),
          ] as [string, string],
        ]
      : []),
  ],
};

const counted = (n: number, one: string, many = `${one}s`) => (n === 0 ? "" : n === 1 ? `a ${one}` : `${n} ${many}`);
const withAll = (all: readonly string[]) => {
  const said = all.filter(Boolean);
  return said.length > 0 ? ` with ${listed(said)}` : "";
};
