import { tailLength } from "../../../joinery/dovetail";
import type { Form } from "../../../piece/schema";
import type { PanelPlace } from "../../geometry";
import { backPanelPlaces } from "./back";
import type { Case } from "./case";
import { doorPanels } from "./door";
import { drawerPanels } from "./drawer";
import { ordinal } from "./facts";
import { intoTop, letInto, shelvesOf } from "./inside";
import { isSheeted } from "./sheet";
import { looseShelfPanels } from "./loose-shelf";

/** What is glued up from boards: sides, bottom, dividers, shelves, and drawer bottoms that are solid. */
export function casePanels(at: Case, form: Form): PanelPlace[] {
  const { side, inner, deep, inside, insideBack, under, high, bays, dividers, foot, cornered, outside } = at;
  const sizesAt = ["form", "case"];
  const depth = deep.to - insideBack;
  const plain = { width: depth, thickness: inner, sizesAt };
  const shelves = shelvesOf(at);
  const all: PanelPlace[] = [
    ...[1, 2].map((n) => ({
      ...{ id: `side-${n}`, kind: "case-side", part: `P${n}`, name: n === 1 ? "left side" : "right side" },
      ...{ length: under - foot + intoTop(at), thickness: side, sizesAt },
      width: cornered ? cornered.between.to - cornered.between.from : deep.to - deep.from,
    })),
    {
      ...{ id: "bottom", kind: "case-bottom", part: "Q", name: "bottom" },
      ...(at.round
        ? { sizesAt, length: outside.to - outside.from, width: deep.to - deep.from, thickness: at.floor }
        : {
            ...plain,
            length: inside.to - inside.from + 2 * (at.bottomBelow ? tailLength(side, true) : letInto(side)),
          }),
    },
    ...(at.subTop
      ? [
          {
            ...{ id: "sub-top", kind: "sub-top", part: "A", name: "sub-top" },
            ...{ ...plain, length: inside.to - inside.from + 2 * tailLength(side, true) },
          },
        ]
      : []),
    ...dividers.map((_, i) => ({
      ...{ id: `divider-${i + 1}`, kind: "divider", part: dividers.length > 1 ? `DV${i + 1}` : "DV" },
      name: dividers.length > 1 ? `${ordinal(i)} divider` : "divider",
      ...{
        ...plain,
        length: high.to - high.from + letInto(inner) + letInto(at.corners === "rails" ? inner : at.top.thickness),
      },
    })),
    ...shelves.map(({ bay }, i) => {
      const several = shelves.length > 1;
      const { from, to } = bays[bay];
      return {
        ...{ id: `shelf-${i + 1}`, kind: `case-shelf${bay > 0 ? `-${bay + 1}` : ""}` },
        ...{ part: several ? `H${i + 1}` : "H", name: several ? `${ordinal(i)} shelf` : "shelf" },
        ...{ ...plain, length: to - from + 2 * letInto(Math.min(side, inner)) },
      };
    }),
    ...looseShelfPanels(at),
    ...backPanelPlaces(at, form),
    ...doorPanels(at, form),
    ...drawerPanels(at, form),
  ];
  // what is cut from sheets is glued up from nothing
  return at.sheet ? all.filter(({ kind }) => !isSheeted(kind)) : all;
}
