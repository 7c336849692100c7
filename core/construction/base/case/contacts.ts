/** Where the parts of a case touch, and how they are held there. */
import type { Place } from "../../../assembly/place";
import { DOWN, FRONT, LEFT, RIGHT, UP } from "../../../assembly/vector";
import { isWhole } from "../../top/core";
import { Contact, screwFor } from "../contact";
import type { Form } from "../../../piece/schema";
import { called, doorContacts } from "./door-contacts";
import { atDrawer } from "./drawer-contacts";
import { besideOf, framesOf, RUNNER, Runner, runnersOf, STUBS_APART } from "./frames";
import type { Case } from "./case";
import type { Span } from "../leg-frame/place";
import { shelvesOf } from "./inside";
import { KICK } from "./place";
import { backContacts } from "./back-contacts";
import { atBack } from "./back-sheet";
import { cornerContacts, dividerToTop, roundContacts } from "./corners";
import { railKind, shelfKind } from "./kinds";
import { boardsOf } from "./parts";
import { postContacts, uprightAt, uprights } from "./posts";
import { fillerContacts } from "./filler";
import { hungContacts } from "./hung";
import { plinthContacts } from "./plinth";
import { lipContacts } from "./sheet";
import { legFrameContacts } from "../leg-frame/parts";

/**
 * Both ends of a board at a side, shared out over what stands there: cut in one pass, stopped before the front where it is let in.
 *
 * @param lies  heights of its faces
 */
function intoSides(
  at: Case,
  lies: Span,
  deep: Span,
  { kind, ...known }: Pick<Contact, "name" | "enters" | "how"> & { kind: string },
): Contact[] {
  return ([-1, 1] as const).flatMap((way) =>
    uprights(at, way, deep).map((each): Contact => ({
      ...{ ...known, group: `${each.kind}+${kind}`, name: `${known.name} to ${each.said}`, receives: each.id },
      how: known.how === "stopped" && each.to < at.face ? "let-in" : known.how,
      every: BUTTED,
      ...{ depth: at.side, section: { width: each.to - each.from, thickness: at.inner } },
      face: ends(at.inside, lies.from, lies.to, each.from)[way < 0 ? 0 : 1],
    })),
  );
}

/** A loose tenon for so much of a butted end, mm. @source common practice */
const BUTTED = 110;

/** Ends of what lies between two that stand: its left end and its right, y from the back to the front. */
const ends = ({ from, to }: Span, low: number, high: number, z: number): [Place, Place] => [
  { at: [from, low, z], x: LEFT, y: FRONT },
  { at: [to, high, z], x: RIGHT, y: FRONT },
];

export function contactsOf(at: Case, form: Form): Contact[] {
  const { case: choice } = form;
  // what lies over the sides without being one panel is joined to nothing: a rule says so
  const whole = isWhole(form) && at.corners !== "rails";
  return [
    ...betweenSides(at),
    ...postContacts(at),
    ...lipContacts(at, boardsOf(at)),
    ...(whole ? cornerContacts(at) : []),
    ...atDividers(at, whole),
    ...inBays(at),
    ...atRunners(at, choice.slot),
    ...(at.legs
      ? legFrameContacts(at.legs, {
          ...{ id: "Q", kind: "case-bottom", said: "Bottom", thickness: at.floor, slot: choice.slot },
        })
      : []),
    ...fillerContacts(at),
    ...hungContacts(at),
    ...(at.plinth ? plinthContacts(at, at.plinth, choice.slot) : []),
    ...(at.backed === "sheet" ? atBack(at) : []),
    ...backContacts(at, form),
    ...doorContacts(at),
    ...at.drawers.flatMap((drawer) => atDrawer(drawer, choice.drawers.tails, called(drawer, at.drawers, "Drawer"))),
  ].filter(({ section }) => section.width > 0 && section.thickness > 0);
}

function betweenSides(at: Case): Contact[] {
  const { inside, deep, insideBack, lift, inner, side, under, rail, sheet } = at;
  const whole = { from: insideBack, to: at.face };
  const flat = { from: under - inner, to: under };
  const both = (faces: [Place, Place], rest: Omit<Contact, "receives" | "face">): Contact[] =>
    faces.map((face, i) => ({ ...rest, face, receives: `P${i + 1}` }));
  return [
    ...(at.round
      ? roundContacts(at)
      : intoSides(at, { from: lift, to: lift + inner }, whole, {
          ...{ kind: "case-bottom", name: "Bottom", enters: "Q" },
          // with nothing of a side below it, it is dovetailed from below
          how: !at.bottomBelow ? "stopped" : sheet ? "butted" : "lapped",
        })),
    ...(at.subTop
      ? intoSides(at, flat, whole, { kind: "sub-top", name: "Sub-top", enters: "A", how: sheet ? "butted" : "lapped" })
      : []),
    ...(at.corners === "rails" && !at.subTop ? [deep.to - rail, insideBack] : []).flatMap((z, i) =>
      ends(inside, flat.from, flat.to, z).map((face, j): Contact => {
        const { id, kind, said } = uprightAt(at, j === 0 ? -1 : 1, z + rail / 2);
        return {
          ...{ group: `${kind}+case-rail`, name: `Rail under the top to ${said}`, enters: `A${i + 1}`, receives: id },
          ...{ how: sheet ? "butted" : "lapped", every: BUTTED, depth: at.edge, face },
          // a lipping takes no joint: both rails have the same
          section: { width: rail - (sheet ? at.lip : 0), thickness: inner },
        };
      }),
    ),
    ...(at.kick
      ? both(
          [
            { at: [inside.from, KICK.off, deep.to - KICK.back], x: LEFT, y: UP },
            { at: [inside.to, KICK.off, deep.to - KICK.back - inner], x: RIGHT, y: UP },
          ],
          {
            ...{ group: "case-side+kick", name: "Kick board to side", enters: "K", how: "let-in", depth: side },
            section: { width: lift - KICK.off, thickness: inner },
          },
        )
      : []),
  ];
}

function atDividers(at: Case, whole: boolean): Contact[] {
  const { dividers, inner, high, deep, insideBack, rail, corners, top, subTop, face: front } = at;
  return dividers.flatMap((x, i): Contact[] => {
    const known = { enters: dividers.length > 1 ? `DV${i + 1}` : "DV", depth: inner };
    return [
      {
        ...{ ...known, group: "case-bottom+divider", name: "Divider to bottom", receives: "Q", how: "stopped" },
        section: { width: front - insideBack, thickness: inner },
        face: { at: [x + inner / 2, high.from, insideBack], x: DOWN, y: FRONT },
      },
      ...(whole ? [dividerToTop(known.enters, { x: x - inner / 2, high, deep, insideBack, inner, top })] : []),
      ...(subTop
        ? [
            {
              ...{
                ...known,
                group: "sub-top+divider",
                name: "Divider to sub-top",
                receives: "A",
                how: "stopped" as const,
              },
              section: { width: front - insideBack, thickness: inner },
              face: { at: [x - inner / 2, high.to, insideBack] as const, x: UP, y: FRONT },
            },
          ]
        : []),
      ...(corners === "rails" && !subTop ? [deep.to - rail, insideBack] : []).map((z, n): Contact => ({
        ...{ ...known, group: "case-rail+divider", name: "Divider to rail", receives: `A${n + 1}`, how: "let-in" },
        section: { width: rail - at.lip, thickness: inner },
        face: { at: [x - inner / 2, high.to, z], x: UP, y: FRONT },
      })),
    ];
  });
}

/** Shelves and drawer rails, at what stands on either side of their bay. */
function inBays(at: Case): Contact[] {
  const { bays, deep, insideBack, inner, side, rail } = at;
  const shelves = shelvesOf(at);
  // what stands at one end of a board in a bay, and the face it shares with each of it
  const besides = (bay: number, i: 0 | 1, lies: Span, over: Span) => {
    const { id, divider } = besideOf(at, bay, i === 0 ? -1 : 1);
    const stand = divider ? [{ id, kind: "divider", said: "divider", ...over }] : uprights(at, i === 0 ? -1 : 1, over);
    return stand.map((each) => ({ ...each, divider, face: ends(bays[bay], lies.from, lies.to, each.from)[i] }));
  };
  const bothEnds = [0, 1] as const;
  return [
    ...shelves.flatMap(({ bay, at: lies }, n) =>
      bothEnds.flatMap((i) =>
        besides(bay, i, lies, { from: insideBack, to: at.face }).map(({ id, kind, said, from, to, face }): Contact => ({
          ...{ name: `Shelf to ${said}`, enters: shelves.length > 1 ? `H${n + 1}` : "H", receives: id, face },
          ...{ how: to < at.face ? "let-in" : "stopped", group: `${kind}+${shelfKind(bay)}` },
          ...{ depth: Math.min(side, inner), section: { width: to - from, thickness: inner } },
        })),
      ),
    ),
    ...framesOf(at).flatMap(({ id: enters, bay, at: lies, behind }) => {
      const from = behind ? insideBack : deep.to - rail;
      return bothEnds.flatMap((i) =>
        besides(bay, i, lies, { from, to: from + rail - at.lip }).map(({ id, kind, said, divider, face }): Contact => ({
          ...{ name: `Drawer rail to ${said}`, enters, receives: id, face, how: "stub" },
          ...{ group: `${kind}+${railKind(bay)}`, section: { width: rail - at.lip, thickness: inner } },
          // a divider has its neighbour's tenons on the other side
          ...(divider ? { depth: inner, most: inner / 2 - STUBS_APART } : { depth: at.edge }),
        })),
      );
    }),
  ];
}

function atRunners(at: Case, slot: number): Contact[] {
  return runnersOf(at).flatMap((runner): Contact[] => {
    const { id, kind, bay, side, x, y, from, to, thickness, divider, beside, front } = runner;
    if (kind === "hanger") return [hungContact(at, runner, slot)];
    const wide = RUNNER.screwed * (to - from);
    const depth = divider ? at.inner : at.side;
    const z =
      Math.max(from + RUNNER.clear, beyondPost(at, divider)) + (side < 0 ? Math.min(RUNNER.aside, wide / 4) : 0);
    return [
      {
        ...{ group: `${kind === "runner" ? railKind(bay) : "case-rail"}+${kind}`, enters: id, receives: front },
        ...{ name: kind === "runner" ? "Runner to rail" : "Kicker to rail", how: "stub", depth: at.rail },
        most: kind === "runner" ? RUNNER.stub : RUNNER.apart - RUNNER.slack,
        section: { width: RUNNER.width, thickness },
        face: { at: [x, y, to], x: FRONT, y: RIGHT },
      },
      {
        ...{ group: `${divider ? "divider" : "case-side"}+${kind}`, enters: id, receives: beside, how: "screws" },
        name: `${kind === "runner" ? "Runner" : "Kicker"} to ${divider ? "divider" : "side"}`,
        ...{ depth, section: { width: wide, thickness } },
        screws: { screws: 2, through: RUNNER.width, long: screwFor(RUNNER.width + depth - RUNNER.over), slot },
        face:
          side < 0
            ? { at: [x, y, z], x: LEFT, y: FRONT }
            : { at: [x + RUNNER.width, y + thickness, z], x: RIGHT, y: FRONT },
      },
    ];
  });
}

/** Screws beside a side with posts go into the side: from where it begins, and its edge holds them. */
const beyondPost = ({ cornered }: Case, divider: boolean) =>
  cornered && !divider ? cornered.between.from + RUNNER.clear : -Infinity;

/** A strip that a drawer hangs on: tight in front, where the drawer stops, the screws behind in slots. */
function hungContact(at: Case, strip: Runner, slot: number): Contact {
  const { inner, side: thick } = at;
  const { id, side, x, y, from, to, thickness, width, divider, beside } = strip;
  const depth = divider ? inner : thick;
  // screws from both sides of a divider pass one another
  const z = Math.max(from, beyondPost(at, divider)) + (side < 0 ? RUNNER.aside : 0);
  const front = divider || !at.cornered ? to : Math.min(to, at.cornered.between.to);
  return {
    ...{ group: `${divider ? "divider" : "case-side"}+hanger`, enters: id, receives: beside, how: "screws", depth },
    name: `Strip to ${divider ? "divider" : "side"}`,
    section: { width: Math.max(1, front - z), thickness },
    screws: { screws: 3, through: width, long: screwFor(width + depth - RUNNER.over), slot, tight: true },
    face: side < 0 ? { at: [x, y, z], x: LEFT, y: FRONT } : { at: [x + width, y + thickness, z], x: RIGHT, y: FRONT },
  };
}
