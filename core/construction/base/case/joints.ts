/** The joints of a case, a group at a time: which there are follows from where its parts meet. */
import { blindTenon, Meets } from "../../../joinery/blind-tenon";
import { dovetail } from "../../../joinery/dovetail";
import { housing } from "../../../joinery/housing";
import type { KindOfJoint } from "../../../joinery/kinds";
import { screwed } from "../../../joinery/screwed";
import { USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { RUNNER } from "./frames";
import { Contact, contactsOf } from "./contacts";
import type { Case } from "./case";

/** Boards of a case are thinner than legs: what stays beyond and beside a stub mortise, mm. @source common practice */
const WALL = { good: 4, least: 2.5 };
/** A housing stops so far short of the front edge, mm. @source common practice */
const STOPPED = 10;
/** Wood screws as they are sold, mm; one for so much of the back's edge. @source common practice */
const SCREWS = { lengths: [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80], every: 220, into: 22 };

/** The longest screw that is sold and stays inside; the shortest where none does. mm */
const screwFor = (most: number) => SCREWS.lengths.findLast((long) => long <= most) ?? SCREWS.lengths[0];

export function caseJoints(at: Case, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const groups = new Map<string, Contact[]>();
  for (const each of contactsOf(at)) groups.set(each.group, [...(groups.get(each.group) ?? []), each]);
  return [...groups].map(([group, [first, ...others]]): KindOfJoint => {
    const [receives, enters] = group.split("+");
    const meets: Meets = { ...{ id: group, group, receives, enters, name: first.name }, count: 1 + others.length };
    return jointOf(meets, first, { at, form, choices, shop });
  });
}

interface Facts {
  at: Case;
  form: Form;
  choices: JointChoices;
  shop: Shop;
}

function jointOf(
  meets: Meets,
  { how, section, depth, most, size }: Contact,
  { at, form, choices, shop }: Facts,
): KindOfJoint {
  const { case: choice } = form;
  switch (how) {
    case "let-in":
      return housing({ meets, section, into: { depth, thickness: section.width }, glued: true });
    case "stopped": {
      const to = Math.min(STOPPED, section.width / 4);
      return housing({
        meets,
        section,
        into: { depth, thickness: section.width },
        glued: true,
        stops: { from: 0, to },
      });
    }
    case "stub":
      return blindTenon({
        ...{ meets, section, into: { depth, thickness: section.thickness }, shop },
        ...{ setting: choices.groups[meets.group] ?? USUAL_TENON, pushed: true, wall: WALL, most },
      });
    case "lapped":
    case "through":
      return dovetail({
        ...{ meets, section, into: { depth }, slope: choice.slope, lapped: how === "lapped", kerf: shop.kerf },
        tails: size && how === "lapped" ? choice.drawers.tails : null,
      });
    case "slots":
      return screwed({
        ...{ meets, section, into: { depth }, screws: 2, through: RUNNER.width, slot: choice.slot },
        long: screwFor(RUNNER.width + depth - RUNNER.over),
      });
    case "screws":
      return screwed({
        ...{ meets, section, into: { depth }, through: at.back },
        screws: Math.max(2, Math.round(section.width / SCREWS.every) + 1),
        long: screwFor(at.back + SCREWS.into),
      });
  }
}
