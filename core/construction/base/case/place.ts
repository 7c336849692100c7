import { bowOf } from "./bow-arc";
import { soldAs, usable } from "../../../assembly/material";
import { measuredOr } from "../../../piece/measured";
import { CaseBay, CaseChoices, isDrawn } from "../../../piece/case-choices";
import type { AsBuilt, Form } from "../../../piece/schema";
import { Bearer, Footprint, frameRound } from "../../geometry";
import { topOf } from "../../top/core";
import { legFrameFeet, placeLegFrame } from "../leg-frame/place";
import { footLength, reliefOf } from "../standing-end";
import { fillersOf } from "./alcove";
import type { Bay, Case, Division, Drawer, Opening } from "./case";
import type { Span } from "../leg-frame/place";
import { rebateOf } from "./cut";
import { doorsOf } from "./door";
import { doorDeep } from "./door-battens";
import { drawerOf } from "./drawer";
import { placeHung } from "./hung";
import { looseShelves } from "./loose-shelf";
import { casePanels } from "./panels";
import { placePlinth, plinthFeet } from "./plinth";
import { cornerPosts, postFeet, POSTS } from "./posts";

/** Shares what there is among those that don't say: those that do keep it; where all do, the last takes what is left. */
export function shared(room: number, asked: readonly (number | null)[]): number[] {
  const free = asked.filter((each) => each === null).length;
  const known = asked.reduce<number>((sum, each) => sum + (each ?? 0), 0);
  if (free > 0) return asked.map((each) => each ?? (room - known) / free);
  return asked.map((each, i) => (i === asked.length - 1 ? room - known + each! : each!));
}

function bayOf({ rows, width }: CaseBay, { from, to }: Span, high: Span, inner: number): Bay {
  const room = high.to - high.from - (rows.length - 1) * inner;
  const heights = shared(
    room,
    rows.map(({ height }) => height),
  );
  let upper = high.to;
  const openings = rows.map(({ holds, height, shelves }, i): Opening => {
    const opening = {
      from: upper - heights[i],
      to: upper,
      holds,
      typed: height,
      shelves: isDrawn(holds) ? 0 : shelves,
    };
    upper = opening.from - inner;
    return opening;
  });
  const divisions = openings.slice(1).map((below, i): Division => ({
    from: below.to,
    to: openings[i].from,
    kind: isDrawn(below.holds) && isDrawn(openings[i].holds) ? "rail" : "shelf",
  }));
  return { from, to, typed: width, openings, divisions };
}

/** Whether its bottom is mitred to the sides: nothing of them goes on below it. */
export const isRound = ({ corners, bottom, stands, lift }: CaseChoices) =>
  corners === "mitred" && bottom === "mitred" && stands !== "posts" && (stands !== "sides" || lift === 0);

/** A kick board stands back from the front by so much, and so far off the floor, mm. @source common practice */
export const KICK = { back: 40, off: 3, least: 25 };

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeCase(form: Form, asBuilt: readonly AsBuilt[]): Case {
  const { top, core } = topOf(form, asBuilt);
  const { case: choice, overhang, height } = form;
  const subTop = choice.corners === "sub-top";
  // posts carry a top on rails: a rule says so
  const corners = choice.corners === "sub-top" || choice.stands === "posts" ? "rails" : choice.corners;
  const joined = corners !== "rails";
  const posted = choice.stands === "posts";
  // what meets at a mitre is as thick as its neighbour
  const side = corners === "mitred" ? top.thickness : measuredOr(asBuilt, "case-side", "thickness", choice.thickness);
  const inner = measuredOr(asBuilt, "case-bottom", "thickness", choice.inner);
  const under = height - top.thickness;
  const half = top.length / 2 - (joined ? 0 : overhang.end);
  const deep = joined
    ? { from: -top.width / 2, to: top.width / 2 }
    : { from: -top.width / 2 + choice.behind, to: top.width / 2 - overhang.side };
  const back = { none: 0, sheet: choice.sheet, boards: choice.backs.thickness, framed: choice.backs.thickness }[
    choice.back
  ];
  const edge = posted ? measuredOr(asBuilt, "case-post", "thickness", choice.post) : side;
  const inside = { from: -half + edge, to: half - edge };
  const raised = choice.stands !== "sides";
  const round = isRound(choice);
  const floor = round ? side : inner;
  const high = { from: choice.lift + floor, to: joined ? under : under - inner };
  const sheet = choice.of === "solid" ? null : choice.of;
  const depth = deep.to - deep.from;
  // a sheet that is not wide enough has its lippings wider: the strip is added where an edge is lipped anyway
  const added = sheet ? depth - usable(soldAs(sheet, form.sheetSold)).width : 0;
  const lip = sheet ? Math.min(Math.max(choice.lip, added), depth * LIP_SHARE) : 0;
  const insideBack = deep.from + back;
  const widths = shared(
    inside.to - inside.from - (choice.bays.length - 1) * inner,
    choice.bays.map(({ width }) => width),
  );
  let left = inside.from;
  const bays = choice.bays.map((bay, i) => {
    const made = bayOf(bay, { from: left, to: left + widths[i] }, high, inner);
    left = made.to + inner;
    return made;
  });
  const hung = choice.stands === "wall" ? placeHung(choice.hang, { bays, insideBack, inner, ceiling: high.to }) : null;
  // what enters a post lies in it with its whole width
  const rail = Math.min(choice.rails, Math.max(1, posted ? edge - back : (deep.to - insideBack) / 2));
  // drawers of the first row stop before the rail it hangs by
  const space = { front: deep.to, back: hung ? hung.z.to : insideBack };
  const middle = (deep.from + deep.to) / 2;
  const drawers = bays.flatMap((bay, i) =>
    bay.openings.flatMap((opening, j) => {
      if (!isDrawn(opening.holds)) return [];
      // nobody draws one out of a wall
      const through = opening.holds === "drawers-through" && !hung && choice.drawers.on !== "hung";
      const drawer = drawerOf(choice.drawers, bay, opening, through ? { ...space, back: middle } : space);
      if (!drawer) return [];
      const one = { ...drawer, bay: i, row: j };
      return through ? [one, { ...one, turned: { x: (bay.from + bay.to) / 2, z: middle } }] : [one];
    }),
  );
  const skirting = skirtingBehind(choice, joined ? 0 : choice.behind);
  // what stands on the floor below the case stands before the skirting
  const ground = { from: deep.from + (skirting?.depth ?? 0), to: deep.to };
  const outside = { from: -half, to: half };
  const framed = choice.stands === "frame";
  const legs = framed ? placeLegFrame(choice.frame, { across: outside, deep: ground }, choice.lift) : null;
  const plinth =
    choice.stands === "plinth"
      ? placePlinth({ x: outside, z: ground }, { height: choice.lift, thickness: inner, setBack: choice.setBack })
      : null;
  const relief = raised || round ? 0 : choice.relief;
  const feet = hung
    ? []
    : legs
      ? legFrameFeet(legs)
      : plinth
        ? plinthFeet(plinth)
        : posted
          ? postFeet({ x: outside, z: ground }, edge)
          : feetOf(half, side, ground, reliefOf(relief, under));
  const doors = doorsOf(choice.doors, bays, { side: edge, inner, front: deep.to });
  const dividers = bays.slice(1).map(({ from }) => from - inner / 2);
  const at: Case = {
    kind: "case",
    keeps: { end: !joined, side: !joined },
    ...{ corners, subTop, mitre: choice.mitre },
    flush: !joined,
    ...(hung ? { hangs: true as const } : {}),
    ...{ top, core, under, side, inner, back, deep, inside, insideBack, high, rail, bays, feet },
    ...{ outside, legs, plinth, onWall: hung, relief },
    backed: choice.back,
    fillers: choice.alcove ? fillersOf(choice.alcove, { wide: 2 * half, high: height, up: under }) : [],
    lift: choice.lift,
    cornered: posted ? cornerPosts(deep, edge) : null,
    edge,
    ...{ sheet, sold: form.sheetSold, lip, face: deep.to - lip },
    foot: posted ? Math.max(0, choice.lift - POSTS.below) : raised ? choice.lift : 0,
    bottomBelow: raised && !posted && !round,
    ...{ round, floor, backLow: round ? high.from - rebateOf({ side }) : choice.lift },
    skirting,
    dust: choice.dust ? choice.sheet : null,
    kick: !raised && !round && choice.kick && choice.lift >= KICK.least,
    dividers,
    drawers: classed(drawers),
    slid: choice.drawers.on === "slides",
    sideHung: choice.drawers.on === "hung",
    pull: choice.drawers.pull,
    doors,
    bow: bowOf(choice, { doors, drawers, inside }),
    loose: looseShelves(bays, {
      front: deep.to,
      back: space.back,
      inner,
      door: doorDeep(choice.doors),
    }),
    frame: hung ? { length: 2 * half, width: 2 * Math.max(Math.abs(deep.from), Math.abs(deep.to)) } : frameRound(feet),
    bearers: joined ? [] : bearersOf(inside, { deep, insideBack, rail, inner, dividers, subTop, sheet }),
    posts: [],
    through: null,
    sticks: legs
      ? [{ kind: "stand-leg", said: "Legs of the frame", section: legs.leg }]
      : posted
        ? [{ kind: "case-post", said: "Corner posts", section: edge }]
        : [],
    seats: [],
    kneeRoom: 0,
    between: Math.min(...bays.map(({ from, to }) => to - from)),
  };
  return { ...at, panels: casePanels(at, form) };
}

/** Air between wood and a skirting, behind it and above, mm. @source common practice */
export const SKIRTING = { behind: 2, above: 3 };

/** What of a skirting a case meets that overhangs by so much behind. */
function skirtingBehind({ skirting, stands }: CaseChoices, behind: number): Case["skirting"] {
  const depth = skirting.depth + SKIRTING.behind - behind;
  return skirting.height > 0 && skirting.depth > 0 && stands !== "wall" && depth > 0
    ? { height: skirting.height + SKIRTING.above, depth }
    : null;
}

function feetOf(half: number, side: number, deep: Span, relief: number): Footprint[] {
  const width = deep.to - deep.from;
  const foot = relief > 0 ? footLength(width) : width / 2;
  return [-1, 1].flatMap((x) =>
    [deep.from + foot / 2, deep.to - foot / 2].map((z) => ({
      ...{ x: x * (half - side / 2), z, length: side, width: foot },
    })),
  );
}

/** The two rails under the top, or two rows of screws through a sub-top: they are carried apart by the sides, which move as the top does. */
/** Of what it is on, a lipping is this much at most. Ours. */
const LIP_SHARE = 0.25;

/** So far from an end that is on loose tenons or dowels a board keeps clear of screws, mm. */
const BUTTED_END = 50;

function bearersOf(
  inside: Span,
  {
    deep,
    insideBack,
    rail,
    inner,
    dividers,
    subTop,
    sheet,
  }: Pick<Case, "deep" | "insideBack" | "rail" | "inner" | "dividers" | "subTop" | "sheet">,
): Bearer[] {
  const entered = dividers.map((x) => ({ at: x, width: inner }));
  return [
    { name: "front", said: "front rail", at: deep.to - rail / 2, inside: -1 as const },
    { name: "back", said: "back rail", at: insideBack + rail / 2, inside: 1 as const },
  ].map(({ name, said, at, inside: side }, i): Bearer => ({
    ...(subTop ? { part: "A", kind: "sub-top", said: "sub-top" } : { part: `A${i + 1}`, kind: "case-rail", said }),
    ...{ name, run: "along", at, inside: side },
    ...{ length: inside.to - inside.from - (sheet ? 2 * BUTTED_END : 0), thickness: rail, depth: inner },
    ...(sheet ? {} : { alike: true }),
    ...(entered.length > 0 ? { entered } : {}),
  }));
}

/** Drawers of one size share a class, so that a row of the cut list is what one setting cuts: the first is plain, others are numbered. */
function classed(drawers: readonly Drawer[]): Drawer[] {
  const sizes: string[] = [];
  return drawers.map((drawer, n) => {
    const key = [drawer.width, drawer.high.to - drawer.high.from, drawer.deep.to - drawer.deep.from]
      .map((each) => Math.round(each * 100))
      .join();
    if (!sizes.includes(key)) sizes.push(key);
    return { ...drawer, n: n + 1, size: sizes.indexOf(key) + 1 };
  });
}
