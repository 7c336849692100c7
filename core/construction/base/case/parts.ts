import { bowed } from "./bow";
import { backOfSheets } from "./back-sheet";
import type { AssemblyPart, Worked } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { BaseFacts } from "../base";
import { legFrameParts } from "../leg-frame/parts";
import { endShape } from "../standing-end";
import { backParts } from "./back-parts";
import { cut, PULL, rebateOf } from "./cut";
import { railKind, shelfKind } from "./kinds";
import { doorParts, hinged } from "./door-parts";
import { bored, looseShelfParts } from "./loose-shelf";
import { drawerParts } from "./drawer-parts";
import { dustParts, withDust } from "./dust";
import type { Case } from "./case";
import { shelvesOf } from "./inside";
import { KICK } from "./place";
import { fillerParts } from "./filler";
import { hungParts } from "./hung";
import { plinthParts } from "./plinth";
import { postParts } from "./posts";
import { framesOf, Runner, runnersOf } from "./frames";
import { sheeted } from "./sheet";

type Plain = Omit<AssemblyPart, "adds" | "cuts"> & { cuts?: Worked[] };

/** Lying in the case: length along the piece, width from the front back, thickness up. */
const LYING = { x: [1, 0, 0] as Vec, y: [0, 0, -1] as Vec };
/** Standing across it: length up, width from the back to the front, thickness along the piece. */
const STANDING = { x: [0, 1, 0] as Vec, y: [0, 0, 1] as Vec };

const solid = { make: "solid" } as const;
const panel = { ...solid, role: "panel" } as const;
const stick = { ...solid, role: "rail" } as const;

/** A case: sides, bottom, the rails under the top, dividers, shelves, rails and runners, the back, drawers. */
export function caseParts({ form, at }: BaseFacts<Case>): AssemblyPart[] {
  const all: Plain[] = [
    ...sides(at),
    ...posts(at),
    at.round ? roundBottom(at) : bottom(at),
    ...(at.corners !== "rails" ? [] : at.subTop ? [subTop(at)] : rails(at)),
    ...dividers(at),
    ...shelves(at),
    ...withDust(drawerRails(at), at),
    ...dustParts(at),
    ...withDust(runnersOf(at).map(runner), at),
    ...(at.kick ? [kick(at)] : []),
    ...(at.backed === "sheet" ? backOfSheets(at) : []),
  ];
  const standing = all.map(({ cuts = [], ...part }): AssemblyPart => ({ ...part, adds: [], cuts }));
  return [
    ...bowed(bored(hinged(sheeted(at, [...standing, ...looseShelfParts(at)]), at), at), at.bow, at.deep.to),
    ...backParts(at, form),
    ...doorParts(form, at),
    ...bowed(drawerParts(form, at), at.bow, at.deep.to),
    ...(at.legs ? legFrameParts(at.legs) : []),
    ...fillerParts(at),
    ...(at.plinth ? plinthParts(at.plinth) : []),
    ...hungParts(at),
  ];
}

/** What stands and lies in a case with an edge in front. */
export const boardsOf = (at: Case): Pick<AssemblyPart, "id" | "kind" | "shape" | "place">[] => [
  ...sides(at),
  bottom(at),
  ...(at.subTop ? [subTop(at)] : []),
  ...dividers(at),
  ...shelves(at),
  ...looseShelfParts(at),
];

/** What lies in the sides' rebates. */
const LIES_IN = { none: "case-back", sheet: "case-back", boards: "back-board", framed: "back-stile" };

function sides(at: Case): Plain[] {
  const { side, deep, under, outside, back, foot, cornered, edge } = at;
  const { from, to } = cornered?.between ?? deep;
  return [-1, 1].map((way, i): Plain => {
    const x = way < 0 ? outside.from + edge - side : outside.to - edge;
    const place: Place = { at: [x, foot, from], ...STANDING };
    return {
      ...{ id: `P${i + 1}`, kind: "case-side", name: "Side", letter: "P", ...panel },
      note: `Glued from the boards chosen for it, its grain upright${at.round ? "; mitred at both ends" : at.corners === "mitred" ? "; mitred to the top" : at.corners === "rails" || at.corners === "butted" ? "" : at.corners === "rebated" ? "; what lies in the top’s rebate is included" : "; its tails in the top are included"}${cornered ? "; glued between its posts" : back > 0 ? "; a rebate for the back along its inner edge" : ""}.`,
      shape: endShape(
        { width: to - from, thickness: side },
        under - foot + (at.corners === "mitred" ? at.top.thickness : 0),
        at.relief,
      ),
      place,
      opens: [way * PULL.along, 0, 0],
      cuts: cornered ? [] : behindIt(at, place, { x, wide: side, from: foot }),
    };
  });
}

/** Posts that are a case's corners: those behind have the sides' rebates. */
const posts = (at: Case): Plain[] =>
  postParts(at).map((part, i) => ({
    ...part,
    cuts: i < 2 ? behindIt(at, part.place, { x: part.place.at[0], wide: part.shape.width, from: 0 }) : [],
  }));

/** What is cut from the back of a side or its post: the rebate for the back along its inner edge, the notch round a skirting. */
function behindIt(at: Case, place: Place, { x, wide, from }: { x: number; wide: number; from: number }): Worked[] {
  const { back, deep, under, backLow, skirting } = at;
  const rebate = rebateOf(at);
  const inner = x < 0 ? x + wide - rebate : x;
  return [
    ...(back > 0
      ? [
          cut(
            LIES_IN[at.backed],
            place,
            { length: under - backLow, width: back, thickness: rebate },
            { at: [inner, backLow, deep.from], ...STANDING },
          ),
        ]
      : []),
    ...(skirting && from < skirting.height
      ? [
          {
            ...cut(
              "skirting",
              place,
              { length: skirting.height - from, width: skirting.depth, thickness: wide },
              { at: [x, from, deep.from], ...STANDING },
            ),
            shows: true,
            markedFrom: "the skirting itself",
          },
        ]
      : []),
  ];
}

const bottom = ({ inside, deep, insideBack, lift, inner, bottomBelow }: Case): Plain => ({
  ...{ id: "Q", kind: "case-bottom", name: "Bottom", letter: "Q", ...panel },
  note: `Glued from the boards chosen for it; ${bottomBelow ? "its dovetails are included" : "let into the sides"}, its front edge flush with theirs.`,
  shape: { length: inside.to - inside.from, width: deep.to - insideBack, thickness: inner },
  place: { at: [inside.from, lift, deep.to], ...LYING },
  opens: [0, -PULL.down, 0],
});

/** One that is mitred to the sides: from outside to outside, a rebate for the back in its upper face. */
function roundBottom(at: Case): Plain {
  const { outside, deep, inside, lift, floor, back, backLow, high } = at;
  const place: Place = { at: [outside.from, lift, deep.to], ...LYING };
  const rebate = high.from - backLow;
  return {
    ...bottom(at),
    note: `Glued from the boards chosen for it; mitred to both sides${back > 0 ? "; a rebate for the back along its inner edge" : ""}.`,
    shape: { length: outside.to - outside.from, width: deep.to - deep.from, thickness: floor },
    place,
    cuts:
      back > 0
        ? [
            cut(
              LIES_IN[at.backed],
              place,
              { length: inside.to - inside.from + 2 * rebate, width: back, thickness: rebate },
              { at: [inside.from - rebate, backLow, deep.from + back], ...LYING },
            ),
          ]
        : [],
  };
}

const subTop = ({ inside, deep, insideBack, under, inner }: Case): Plain => ({
  ...{ id: "A", kind: "sub-top", name: "Sub-top", letter: "A", ...panel },
  note: "Glued from the boards chosen for it; its dovetails are included. Holes for the top’s screws are drilled before it is glued.",
  shape: { length: inside.to - inside.from, width: deep.to - insideBack, thickness: inner },
  place: { at: [inside.from, under - inner, deep.to], ...LYING },
  opens: [0, PULL.down, 0],
});

const rails = ({ inside, deep, insideBack, under, inner, rail }: Case): Plain[] =>
  [deep.to, insideBack + rail].map((front, i): Plain => ({
    ...{ id: `A${i + 1}`, kind: "case-rail", name: "Rail under the top", plural: "Rails under the top", letter: "A" },
    ...stick,
    note: "Its dovetails are included; flush with the sides above, holes for the top’s screws drilled before it is glued.",
    shape: { length: inside.to - inside.from, width: rail, thickness: inner },
    place: { at: [inside.from, under - inner, front], ...LYING },
    opens: [0, PULL.down, 0],
  }));

const dividers = ({ dividers: xs, inner, high, insideBack, deep }: Case): Plain[] =>
  xs.map((x, i): Plain => ({
    ...{ id: xs.length > 1 ? `DV${i + 1}` : "DV", kind: "divider", name: "Divider", letter: "DV", ...panel },
    note: "Glued from the boards chosen for it, its grain upright; let in below and above.",
    shape: { length: high.to - high.from, width: deep.to - insideBack, thickness: inner },
    place: { at: [x - inner / 2, high.from, insideBack], ...STANDING },
    opens: [0, PULL.down / 2, 0],
  }));

function shelves(at: Case): Plain[] {
  const all = shelvesOf(at);
  const { bays, deep, insideBack, inner } = at;
  return all.map(({ bay, at: { from } }, i): Plain => ({
    ...{ id: all.length > 1 ? `H${i + 1}` : "H", kind: shelfKind(bay), name: "Shelf", plural: "Shelves", letter: "H" },
    ...panel,
    note: "Glued from the boards chosen for it; let in at both ends, its front edge flush with the case.",
    shape: { length: bays[bay].to - bays[bay].from, width: deep.to - insideBack, thickness: inner },
    place: { at: [bays[bay].from, from, deep.to], ...LYING },
    opens: [0, 0, PULL.back],
  }));
}

const drawerRails = (at: Case): Plain[] =>
  framesOf(at).map(({ id, bay, at: { from }, behind }): Plain => {
    const { from: left, to } = at.bays[bay];
    return {
      ...{ id, kind: railKind(bay), name: "Drawer rail", letter: "W", ...stick },
      note: `Its stub tenons are included; ${behind ? "flush with the case behind" : "its front edge flush with the case"}.`,
      shape: { length: to - left, width: at.rail, thickness: at.inner },
      place: { at: [left, from, behind ? at.insideBack + at.rail : at.deep.to], ...LYING },
      opens: [0, 0, PULL.back],
    };
  });

const RUNNERS = {
  runner: {
    ...{ name: "Runner", letter: "Y" },
    note: "Tenoned into the rail in front, where it is glued; screwed through slots to what stands beside it, which moves along it.",
  },
  kicker: {
    ...{ name: "Kicker", letter: "YK" },
    note: "Keeps a drawer from tipping as it is drawn out: tenoned in front, screwed through slots to what stands beside it.",
  },
  hanger: {
    ...{ name: "Strip for a drawer", plural: "Strips for drawers", letter: "YH" },
    note: "Hard, straight in the grain, waxed: its drawer hangs on it and stops at its front end; tight in front, slots behind.",
  },
};

const runner = ({ id, kind, x, y, thickness, width, from, to }: Runner): Plain => ({
  ...{ id, kind, ...stick, ...RUNNERS[kind] },
  shape: { length: to - from, width, thickness },
  // along it from the back, across it to the right, up
  place: { at: [x, y, from], x: [0, 0, 1], y: [1, 0, 0] },
  opens: [0, 0, PULL.back / 2],
});

const kick = ({ inside, deep, lift, inner }: Case): Plain => ({
  ...{ id: "K", kind: "kick", name: "Kick board", letter: "K", ...stick },
  note: "Let into the sides, clear of the floor.",
  shape: { length: inside.to - inside.from, width: lift - KICK.off, thickness: inner },
  place: { at: [inside.from, KICK.off, deep.to - KICK.back - inner], x: [1, 0, 0], y: [0, 1, 0] },
  opens: [0, -PULL.down, 0],
});
