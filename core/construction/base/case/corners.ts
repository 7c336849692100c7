/** A top that is the case's own upper board: how its corners are joined to the sides. */
import { BACK, FRONT, UP } from "../../../assembly/vector";
import { sagVerdict } from "../../sag";
import type { Contact } from "../contact";
import { set, Verdict, verdict } from "../../../verdict/verdict";
import type { Case } from "./case";
import { at, CaseFacts } from "./facts";
import type { Span } from "../leg-frame/place";

/** Both sides into the top: tails at their heads, or mitres. */
export function cornerContacts({ corners, mitre, outside, side, under, deep, top }: Case): Contact[] {
  if (corners === "rails") return [];
  const known = { group: "top+case-side", name: "Side to top", receives: "T", depth: top.thickness };
  const width = deep.to - deep.from;
  const half = Math.SQRT1_2;
  if (corners === "mitred")
    return ([-1, 1] as const).map((way, i): Contact => ({
      ...{ ...known, enters: `P${i + 1}`, how: "mitred", section: { width, thickness: top.thickness } },
      mitre: { held: mitre, set: [] },
      face: {
        at: [way < 0 ? outside.from : outside.to, under + top.thickness, way < 0 ? deep.from : deep.to],
        ...{ x: [-way * half, half, 0], y: way < 0 ? FRONT : BACK },
      },
    }));
  return [outside.from, outside.to - side].map((x, i): Contact => ({
    ...{ ...known, enters: `P${i + 1}`, how: HOW[corners], every: EVERY, outward: i === 0 ? -1 : 1 },
    section: { width, thickness: side },
    face: { at: [x, under, deep.from], x: UP, y: FRONT },
  }));
}

/** Sides to a bottom that is mitred to them. */
export const roundContacts = ({ mitre, outside, lift, deep, floor }: Case): Contact[] =>
  ([-1, 1] as const).map((way, i): Contact => ({
    ...{ group: "case-bottom+case-side", name: "Side to bottom", enters: `P${i + 1}`, receives: "Q", how: "mitred" },
    ...{ depth: floor, section: { width: deep.to - deep.from, thickness: floor } },
    mitre: { held: mitre, set: [] },
    face: {
      at: [way < 0 ? outside.from : outside.to, lift, way < 0 ? deep.to : deep.from],
      ...{ x: [-way * Math.SQRT1_2, -Math.SQRT1_2, 0], y: way < 0 ? BACK : FRONT },
    },
  }));

/** How the others are joined; a loose tenon for so much of a butted side, mm. @source common practice */
const HOW = { through: "through", "half-blind": "lapped", rebated: "rebated", butted: "butted" } as const;
const EVERY = 110;

/** A divider let into the top, stopped before its front edge. */
export const dividerToTop = (
  enters: string,
  {
    x,
    high,
    deep,
    insideBack,
    inner,
    top,
  }: { x: number; high: Span; deep: Span; insideBack: number; inner: number; top: Case["top"] },
): Contact => ({
  ...{ group: "top+divider", name: "Divider to top", enters, receives: "T", how: "stopped", depth: top.thickness },
  section: { width: deep.to - insideBack, thickness: inner },
  face: { at: [x, high.to, insideBack], x: UP, y: FRONT },
});

/** A top that is joined to sides is one panel with straight ends, and moves as they do. */
export function topJoined({ at: { corners }, form }: CaseFacts): Verdict | null {
  if (corners === "rails") return null;
  const laid = form.field === "slats" || form.field === "slabs" || form.ends !== "none";
  const shaped = form.top.outline !== "rectangle";
  return verdict({
    id: "form.case-top",
    stage: "form",
    subject: ["top", "case-side"],
    level: laid || shaped ? "fix" : "holds",
    text: laid
      ? "The sides have no one panel over them to be joined to"
      : shaped
        ? "A top that is joined to the sides must end straight"
        : "The top and both sides move alike: they are joined from edge to edge",
    why: "Their grain runs round: all three shrink from front to back and keep their lengths. Slats, end boards and a frame don’t move with them.",
    remedies: laid
      ? [
          ...(form.field === "slats" || form.field === "slabs"
            ? [set("Make the top one panel", ["form", "field"], "solid")]
            : []),
          ...(form.ends !== "none" ? [set("Leave its ends plain", ["form", "ends"], "none")] : []),
          set("Lay it on rails", at("corners"), "rails"),
        ]
      : shaped
        ? [set("Make the top a rectangle", ["form", "top", "outline"], "rectangle")]
        : [],
  });
}

/** A bottom that is mitred too wants nothing of the sides below it. */
export function bottomRound({ at: { round }, form }: CaseFacts): Verdict | null {
  const { bottom, corners, stands } = form.case;
  if (bottom !== "mitred" || corners !== "mitred") return null;
  return verdict({
    id: "form.case-round",
    stage: "form",
    subject: ["case-bottom", "case-side"],
    level: round ? "holds" : "fix",
    text: round
      ? "Top, sides and bottom are mitred round: the grain runs over all four corners"
      : stands === "posts"
        ? "Between posts no side is mitred to the bottom"
        : "Sides that go on below the bottom are not mitred to it",
    why: "A mitre is the end of both boards: the case then stands on a plinth or a frame, on the floor by its bottom, or hangs on a wall. All four move alike from front to back.",
    remedies: round
      ? []
      : [
          set("Let the bottom into the sides", at("bottom"), "let-in"),
          ...(stands === "sides"
            ? [set("Stand it on a plinth", at("stands"), "plinth"), set("Lay its bottom on the floor", at("lift"), 0)]
            : []),
        ],
  });
}

/** With no rails below it, a top carries itself between what it stands on. */
export function topSags({ at: { corners, bays, deep, top }, species }: CaseFacts): Verdict | null {
  if (corners === "rails") return null;
  const span = Math.max(1, ...bays.map(({ from, to }) => to - from));
  return sagVerdict({
    ...{ id: "form.case-top-sag", subject: ["top"], what: "top", held: "between what holds it" },
    ...{ board: { span, wide: deep.to - deep.from, thickness: top.thickness }, stiffness: species.stiffness },
    mend: (thick) => (thick <= 60 ? [set(`Make the top ${thick} mm thick`, ["form", "top", "thickness"], thick)] : []),
  });
}

/** What steps say of it: which corners are cut, how the top goes on. */
const CORNER_WORDS = {
  through: {
    title: "Dovetail the sides into the top",
    detail:
      "Tails first, on the heads of both sides and to one gauge; the top’s pins are marked from the very tails that go there, each corner numbered and the inside of the case always toward you.",
  },
  "half-blind": {
    title: "Dovetail the sides into the top, half-blind",
    detail:
      "Tails first, on the heads of both sides and to one gauge; the top’s sockets are marked from them and stop short of its upper face, which shows none.",
  },
  rebated: {
    title: "Rebate the top for the sides",
    detail:
      "Along both ends of its underside, the cutter set to the side that stands there, the shoulder knifed from it; pins are driven when the case is glued.",
  },
  butted: {
    title: "Join the sides to the top",
    detail:
      "Both sides’ heads marked and bored or slotted against one fence, then the top’s underside from a straight batten laid as far from its end as a side is thick.",
  },
};

const MITRED = "against one stop, the two of the top first";
const HELD = {
  spline: "; the slot for the spline from the mitre’s inner side, its blade at the same tilt.",
  loose: "; slots square to the cut, from its inside corner.",
  keys: "; keys come when the case is glued.",
  dowels: "; dowels come when the case is glued.",
};
/** What steps say of a case's own corners. */
export const cornerWords = ({ corners, mitre, round }: Pick<Case, "corners" | "mitre" | "round">) =>
  corners === "rails"
    ? null
    : corners === "mitred"
      ? {
          title: round ? "Mitre sides, top and bottom" : "Mitre the sides and the top",
          detail: `All ${round ? "eight" : "four"} cuts ${MITRED}${HELD[mitre]}`,
        }
      : CORNER_WORDS[corners];

/** What is driven into its corners from outside, once it is glued. */
export const heldLater = ({ corners, mitre }: Pick<Case, "corners" | "mitre">) => {
  if (corners === "rebated") return "rebated";
  return corners === "mitred" ? LATER[mitre] : null;
};
const LATER = { spline: null, loose: null, keys: "keyed", dowels: "dowelled" } as const;

/** How a case's corners are told. */
export const cornersSaid = ({ corners, mitre }: Pick<Case, "corners" | "mitre">): string =>
  ({
    rails: "",
    through: "dovetailed at its upper corners, ",
    "half-blind": "dovetailed under its top, ",
    mitred: `mitred${{ spline: "", loose: "", keys: " and keyed", dowels: " and dowelled" }[mitre]} at its upper corners, `,
    rebated: "rebated and pinned at its upper corners, ",
    butted: "its sides joined under the top, ",
  })[corners];
