/** A case of sheet: what stands and lies in it cut from plywood or fibreboard as measured, its edges in front lipped in solid wood. mm */
import { SHEETS, soldAs, usable } from "../../../assembly/material";
import type { AssemblyPart } from "../../../assembly/part";
import type { Shape } from "../../../assembly/shape";
import { BACK, FRONT, RIGHT, UP } from "../../../assembly/vector";
import { fine, grade, Level, listed, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import type { Contact } from "../contact";
import type { Case } from "./case";
import { at, CaseFacts } from "./facts";

/** A lipping's usual thickness; one thinner shows its glue line when an edge is eased, mm. @source common practice */
const LIP = { low: 5, high: 15 };

/**
 * What a sheet takes: how thick it is at least where screws go into its edge, how far from its edge one through its face stands, how deep an insert
 * goes into it at least; whether it can be dovetailed. mm
 *
 * @source common practice, from memory: plies split along their glue lines, fibreboard bursts at its edges; neither has a grain that tails hold in
 */
export const TAKES = {
  plywood: { edge: 15, face: 10, insert: 12 },
  fibreboard: { edge: 18, face: 25, insert: 13 },
} as const;

/** What of a case is of sheet: what else is glued up from boards as panels. */
const KINDS = /^(case-side|case-bottom|sub-top|divider|case-shelf|loose-shelf)/;
const LIPS = { name: "Lipping", plural: "Lippings", letter: "LP" };
/** Lippings of one kind of board are alike. */
export const lipKind = (kind: string) => `${kind}-lip`;

export const isSheeted = (kind: string): boolean => KINDS.test(kind);

type Board = Pick<AssemblyPart, "id" | "kind" | "place" | "shape">;
const stands = ({ place }: Pick<Board, "place">) => place.x[1] !== 0;

/** Boards whose edges in front are seen: sides between posts have none. */
const lipped = ({ cornered }: Case, { kind }: Pick<Board, "kind">) =>
  isSheeted(kind) && !(cornered && kind === "case-side");

/** The same shape cut off at a width, its outline with it: a side's feet end at its lipping. */
const narrower = (shape: Shape, width: number): Shape => ({
  ...shape,
  width,
  ...(shape.face
    ? {
        face: {
          ...shape.face,
          outer: shape.face.outer.map((corner) => ({
            ...corner,
            at: [corner.at[0], Math.min(corner.at[1], width)] as const,
          })),
        },
      }
    : {}),
});

/** The same parts of sheet, each less by its lipping, and the lippings. */
export function sheeted(place: Case, parts: readonly AssemblyPart[]): AssemblyPart[] {
  const { sheet, lip } = place;
  if (!sheet) return [...parts];
  let n = 0;
  return parts.flatMap((part): AssemblyPart[] => {
    if (!isSheeted(part.kind)) return [part];
    const less = lipped(place, part) ? lip : 0;
    const { shape, place: where } = part;
    const upright = stands(part);
    const [x, y, z] = where.at;
    const board: AssemblyPart = {
      ...part,
      role: "sheet",
      sheet: { material: sheet, thickness: shape.thickness },
      note: `Cut from ${SHEETS[sheet].name.toLowerCase()} as it was measured, its face’s grain ${upright ? "upright" : "along it"}${less > 0 ? "; lipped in front" : ""}.`,
      shape: narrower(shape, shape.width - less),
      place: upright ? where : { ...where, at: [x, y, z - less] },
    };
    if (less === 0) return [board];
    n += 1;
    return [
      board,
      {
        ...{ id: `LP${n}`, kind: lipKind(part.kind), ...LIPS, role: "rail", make: "solid", opens: part.opens },
        note: "Ripped from the edge of a board a millimetre thicker than the sheet, and long; planed flush before anything is cut into its board.",
        // ripped from the edge of a board that is planed as thick as the sheet
        shape: { length: shape.length, width: lip, thickness: shape.thickness },
        place: upright ? { at: [x, y, z + shape.width - lip], x: UP, y: FRONT } : { at: [x, y, z], x: RIGHT, y: BACK },
        ...{ adds: [], cuts: [] },
      },
    ];
  });
}

/** The lipping of a board: what follows it. */
export function lipOf(parts: readonly AssemblyPart[], id: string): AssemblyPart | null {
  const i = parts.findIndex((part) => part.id === id);
  const next = parts[i + 1];
  return i >= 0 && next && next.kind === lipKind(parts[i].kind) ? next : null;
}

/** Every lipping on its board. @param boards  what the case is of, as it is before lippings are taken from it, in their order */
export function lipContacts(place: Case, boards: readonly Board[]): Contact[] {
  const { sheet, lip, face } = place;
  if (!sheet) return [];
  return boards
    .filter((board) => lipped(place, board))
    .map((board, i): Contact => {
      const { length, width, thickness } = board.shape;
      const [x, y, z] = board.place.at;
      const front = stands(board) ? z + width - lip : z - lip;
      return {
        ...{ group: `${board.kind}+${lipKind(board.kind)}`, name: `Lipping of ${SAID(board.kind)}` },
        ...{ enters: `LP${i + 1}`, receives: board.id, how: "glued", depth: face - place.insideBack },
        section: { width: length, thickness },
        face: stands(board)
          ? { at: [x, y, front], x: BACK, y: UP }
          : { at: [x, y + thickness, front], x: BACK, y: RIGHT },
      };
    });
}
const SAID = (kind: string) =>
  kind.startsWith("case-side")
    ? "the sides"
    : kind.startsWith("case-bottom")
      ? "the bottom"
      : kind.startsWith("divider")
        ? "the dividers"
        : kind === "sub-top"
          ? "the sub-top"
          : kind.startsWith("loose")
            ? "the loose shelves"
            : "the shelves";

/** What a case of sheet can't have, and whether its edges hold the screws that go into them. */
export function sheetTakes({ at: { sheet, lip, inner, side, backed }, form }: CaseFacts): Verdict | null {
  if (!sheet) return null;
  const { corners } = form.case;
  const joined = corners !== "rails" && corners !== "sub-top";
  const { edge, face, insert } = TAKES[sheet];
  const name = SHEETS[sheet].name.toLowerCase();
  // the back is screwed to edges behind, hinges of doors that close before the case into the face beside them
  const screwed = [...(backed === "none" ? [] : [{ what: "screws of the back", thick: inner }])];
  const thin = screwed.filter(({ thick }) => thick < edge);
  const level: Level = joined || lip < 2 ? "fix" : thin.length > 0 ? "tight" : "holds";
  return verdict({
    id: "form.case-sheet",
    stage: "form",
    subject: ["case-side", "case-bottom"],
    level,
    text: joined
      ? `Sides of ${name} keep their width, a solid top does not: they can’t be joined`
      : thin.length > 0
        ? `The ${listed(thin.map(({ what }) => what))} split an edge of ${mm(thin[0].thick)}`
        : `Of ${name}: sides ${fine(side)}, what lies between ${fine(inner)}, lipped ${mm(lip)} in front`,
    why: `${name[0].toUpperCase()}${name.slice(1)} holds no dovetails: what would be dovetailed is on loose tenons or dowels, shelves and bottom are let in. Screws into its edge want ${mm(edge)}, those through its face stand ${mm(face)} from an edge; an insert wants ${mm(insert)} of depth. It does not move across; ${joined ? "a solid top does." : "the top over it does, and is held so that it can."}`,
    limit: edge,
    actual: inner,
    sense: "at least",
    unit: "mm",
    remedies: joined
      ? [set("Lay the top on rails", at("corners"), "rails"), set("Make the case of boards", at("of"), "solid")]
      : thin.length > 0
        ? [set(`Make bottom, dividers and shelves ${mm(edge)} thick`, at("inner"), edge)]
        : [],
  });
}

/** Seen as a strip of its own it is told up to the first; beyond the second it swells and shrinks over the faces beside it, mm. @source common practice */
const STRIP = { seen: 60, most: 150 };
const isStrip = ({ at: { lip }, form }: CaseFacts) => lip > form.case.lip + 0.01;

/** Lippings that are wider than asked make sheets wide enough. */
export function stripAdded(facts: CaseFacts): Verdict | null {
  const { at: place, form } = facts;
  const { sheet, lip, sold, deep } = place;
  if (!sheet || !isStrip(facts)) return null;
  const depth = deep.to - deep.from;
  const { width } = usable(soldAs(sheet, sold));
  const narrow = lip < depth - width - 0.01;
  const level: Level = narrow ? "fix" : grade(lip, "at most", STRIP.seen, STRIP.most);
  const usual = sold !== null && depth - usable(SHEETS[sheet].sold).width <= form.case.lip;
  return verdict({
    id: "form.case-strip",
    stage: "form",
    subject: [lipKind("case-side"), "case-side"],
    level,
    text: narrow
      ? `Sheets ${mm(width)} wide are ${mm(Math.round(depth - width))} too narrow for a case this deep`
      : `Sheets are not wide enough: a strip of ${mm(lip)} in front makes them so`,
    why: `Boards are ${mm(Math.round(depth))} deep and ${mm(width)} come out of a sheet; solid wood is glued on where an edge is lipped anyway, on every board alike. To ${mm(STRIP.seen)} it reads as a lipping; wider it is seen on both faces, and its thickness comes and goes beside the sheet’s.`,
    limit: STRIP.seen,
    actual: Math.round(lip * 10) / 10,
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(usual ? [set("Buy sheets as they are usually sold", ["form", "sheetSold"], null)] : []),
            set("Make the case of boards", at("of"), "solid"),
          ],
  });
}

export function lipUsual(facts: CaseFacts): Verdict | null {
  const { sheet, lip } = facts.at;
  if (!sheet || isStrip(facts)) return null;
  return usualRange("form.case-lip", lipKind("case-side"), "A lipping’s thickness", {
    actual: lip,
    range: LIP,
    path: at("lip"),
    reasons: {
      low: "Once an edge is eased and sanded little is left of it.",
      high: "A strip that thick is seen to be another board, and swells over the sheet’s faces.",
    },
  });
}
