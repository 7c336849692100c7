import { BlindTenon, blindTenon, Meets } from "../../../joinery/blind-tenon";
import type { SettingCard } from "../../../joinery/joint";
import { endJoint } from "../../../joinery/end-joint";
import { housing } from "../../../joinery/housing";
import type { KindOfJoint } from "../../../joinery/kinds";
import { mitre } from "../../../joinery/mitre";
import { throughTenon } from "../../../joinery/through-tenon";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { mm } from "../../../verdict/verdict";
import { rowLength } from "../../../panels/row";
import { Plank, rowOf } from "./place";

/** One loose tenon for so much of an end's width, mm. @source common practice */
const EVERY = 110;

/** The joints of plank ends, a group at a time. */
export function plankJoints(at: Plank, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const { plank, top, ends, stretcher, bays, floor } = at;
  const meets = (receives: string, enters: string, name: string, count: number): Meets => {
    const group = `${receives}+${enters}`;
    return { id: group, group, name, receives, enters, count };
  };
  const set = (group: string, usual: TenonChoice) => choices.groups[group] ?? usual;
  const section = { width: plank.width, thickness: plank.thickness };
  const loose = (who: Meets, into: BlindTenon["section"]): KindOfJoint => {
    const usual: TenonChoice = { ...USUAL_TENON, kind: "loose" };
    const chosen = set(who.group, usual);
    return endJoint({
      meets: who,
      ...{ section, shop, pushed: true },
      into: { depth: top.thickness, thickness: into.width },
      setting: { ...chosen, tenons: chosen.tenons ?? Math.max(2, Math.round(plank.width / EVERY)) },
    });
  };
  const outer = meets("top", "plank-end", "End to top", 2);
  const into = { width: top.length, thickness: top.thickness };
  const corner = (who: Meets, lines: SettingCard["lines"]) =>
    mitre({
      meets: who,
      ...{ width: plank.width, board: top.thickness, shop, set: lines, held: form.plank.mitre },
      setting: set(who.group, { ...USUAL_TENON, kind: "loose" }),
    });
  const through = (who: Meets): KindOfJoint => {
    const { each } = throughPlaces(plank.width);
    return throughTenon({
      meets: { ...who, count: who.count * throughPlaces(plank.width).count },
      section: { width: each, thickness: plank.thickness },
      // beside a mortise the top goes on to its own end
      into: { depth: top.thickness, thickness: 2 * form.overhang.end + plank.thickness },
      ...{ proud: form.plank.proud, wedged: true, lengthwise: true, shop },
      thickness: set(who.group, USUAL_TENON).thickness,
    });
  };
  const out: KindOfJoint[] = [
    form.plank.joint === "through"
      ? through(outer)
      : form.plank.joint === "mitred"
        ? corner(outer, waterfall(at))
        : form.plank.joint === "housed"
          ? housing({ meets: outer, section, into: { depth: top.thickness, thickness: top.length }, glued: true })
          : loose(outer, into),
  ];
  if (ends.some((end) => !end.outer)) {
    const who = meets("top", "middle-end", "Middle end to top", 1);
    out.push(form.plank.joint === "through" ? through(who) : loose(who, into));
  }
  out.push(...wallJoints(at, meets));
  if (floor > 0) {
    out.push(corner(meets("bottom-board", "plank-end", "End to bottom", 2), []));
    if (ends.some((end) => !end.outer))
      out.push(loose(meets("bottom-board", "middle-end", "Middle end to bottom", 1), into));
  }
  if (!stretcher) return out;
  const rail = { width: stretcher.depth, thickness: stretcher.thickness };
  const passed = { depth: plank.thickness, thickness: plank.width };
  const who = meets("plank-end", "stretcher", "Stretcher to end", 2);
  out.push(
    form.plank.stretcher.kind === "wedged"
      ? throughTenon({
          ...{ meets: who, section: rail, into: passed, proud: form.plank.stretcher.proud, wedged: true },
          ...{ thickness: set(who.group, USUAL_TENON).thickness, shop },
        })
      : endJoint({ meets: who, section: rail, into: passed, setting: set(who.group, USUAL_TENON), shop }),
  );
  if (bays.length > 1) {
    const middle = meets("middle-end", "stretcher", "Stretcher to middle end", 2);
    out.push(
      blindTenon({
        ...{ meets: middle, section: rail, into: passed, setting: set(middle.group, USUAL_TENON), shop },
        // it only finds its place there: the wedges at the outer ends hold it
        pushed: true,
        most: Math.max(1, plank.thickness / 2 - 4),
      }),
    );
  }
  return out;
}

/** Tenons side by side in an end's width, with shoulders between them. */
export function throughPlaces(width: number): { count: number; each: number } {
  const count = Math.max(2, Math.round(width / EVERY));
  return { count, each: width / count };
}

/** A wall let into each end dry, screwed in its middle: it moves up and down, they don't. */
function wallJoints(
  { wall, plank, bays }: Plank,
  meets: (...of: [string, string, string, number]) => Meets,
): KindOfJoint[] {
  if (!wall) return [];
  const section = { width: wall.depth, thickness: wall.thickness };
  const into = { depth: plank.thickness, thickness: plank.width };
  return [
    housing({ meets: meets("plank-end", "wall", "Wall to end", 2), section, into }),
    ...(bays.length > 1
      ? [housing({ meets: meets("middle-end", "wall", "Wall to middle end", 2), section, into })]
      : []),
  ];
}

/** The blank it comes from, or would come from, as the form tells it. */
function waterfall(at: Plank): SettingCard["lines"] {
  const row = at.row ?? rowOf(at.top, { height: at.plank.height, floor: at.floor });
  return [
    {
      what: `${at.row ? "One blank" : "One blank would be"}, for the grain to run ${at.floor > 0 ? "round: end, top, end, bottom; it breaks at the bottom’s last corner" : "over: end, top, end"}`,
      setting: `${mm(Math.ceil(rowLength(row)))} by ${mm(at.plank.width)}, ends squared last`,
    },
    { what: `Lost at each of its ${at.floor > 0 ? "three" : "two"} mitres`, setting: mm(row.lost) },
  ];
}
