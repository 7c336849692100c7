import type { RoughPiece } from "./sawing";
import { AssemblyPart, extentOf } from "../assembly/part";
import type { Make, Role } from "../assembly/sort";
import { measuredOr } from "../piece/measured";
import type { JointChoices, Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { copies, markIn } from "../piece/times";
import { LegPiece, legPieces } from "./leg-stock";
import { numbered, Small, SMALL, SMALL_EXTRA, Stick, sticksOf } from "./small-stock";

/** A kind of part with its joints: what is cut, milled and sawn out, so many times. mm. */
export interface Part {
  id: string;
  name: string;
  plural?: string;
  letter: string;
  role: Role;
  make: Make;
  count: number;
  /** left over its length, at the foot of a leg until the base stands or until it is scribed, mm; and what it is scribed from */
  long: number;
  markedFrom?: string;
  /** what it is cut from, where that is no board */
  sheet?: AssemblyPart["sheet"];
  ownEdges?: true;
  /** what shows between its joints */
  shoulder: number;
  finished: { length: number; width: number; thickness: number };
  milled: { length: number; width: number; thickness: number };
  rough: { length: number; width: number };
  /** pieces one of it is glued from; 1 when it is solid */
  leaves: number;
  /** those pieces, as they are sawn and milled */
  stock: LegPiece[];
  note: string;
  marks: string[];
  /** by mark, the group whose pieces come from one board; none where each comes from any */
  fromOne?: Readonly<Record<string, string>>;
  /** sticks that several of it are sawn from, each by the marks of its first and last; none where each is its own piece */
  sticks?: Stick[];
}

/** Legs that stay long have so much at the foot until the base stands, mm: 720 is left at 750. @source common practice */
const LEG_EXTRA = 30;
/** What is scribed from its mate is left so much over its list, mm. @source common practice */
const SCRIBED_EXTRA = 5;
/** Every kind of part with its tenons and allowances, in the order of the parts. Sizes measured on the work count before planned ones. */
export function cutParts(
  parts: readonly AssemblyPart[],
  fasteners: { joints: JointChoices; count: number },
  { asBuilt, choices }: Pick<Piece, "asBuilt" | "choices">,
  shop: Shop,
): Part[] {
  const kinds = new Map<string, AssemblyPart[]>();
  for (const part of parts.filter(({ bought }) => !bought))
    kinds.set(part.kind, [...(kinds.get(part.kind) ?? []), part]);
  const all = [...kinds].map(([id, same]): Part => {
    const [{ name, plural, letter, role, make, note, shape, markedFrom, sheet, ownEdges }] = same;
    const box = same.map(extentOf).reduce((a, b) => ({
      length: Math.max(a.length, b.length),
      width: Math.max(a.width, b.width),
      thickness: Math.max(a.thickness, b.thickness),
    }));
    const finished = {
      length: measuredOr(asBuilt, id, "length", box.length),
      width: measuredOr(asBuilt, id, "width", box.width),
      thickness: measuredOr(asBuilt, id, "thickness", box.thickness),
    };
    const known = { id, name, letter, role, make, note, shoulder: shape.length, ...(plural ? { plural } : {}) };
    const long = role === "leg" && choices.legs === "left-long" ? LEG_EXTRA : markedFrom ? SCRIBED_EXTRA : 0;
    return {
      ...known,
      long,
      ...(markedFrom ? { markedFrom } : {}),
      ...(sheet ? { sheet } : {}),
      ...(ownEdges ? { ownEdges } : {}),
      ...milledOf(role, make, finished, { ...shop, long: markedFrom ? 0 : long }),
      count: same.length,
      finished,
      marks: marksOf(same),
      ...(same.some(({ fromOne }) => fromOne) ? { fromOne: groupsOf(same) } : {}),
    };
  });
  all.push(...parts.flatMap((part) => stripParts(part, asBuilt, shop)));
  const small = fasteners.count > 0 ? SMALL[fasteners.joints.fastening]?.(fasteners.joints) : undefined;
  if (!small) return all;
  // no two pieces carry one mark: where another part has the letter, it is doubled
  const letter = all.some((part) => part.letter === small.letter) ? small.letter.repeat(2) : small.letter;
  return [...all, smallPart({ ...small, letter }, fasteners.count, asBuilt, shop)];
}

/**
 * The cut list of a piece that is made several times: each copy's marks after the first's. What is sawn from sticks is counted through.
 *
 * @param kerf  of the saw, mm
 */
export function partsMade(parts: readonly Part[], times: number, kerf: number): Part[] {
  if (times === 1) return [...parts];
  return parts.map((part) => {
    const count = part.count * times;
    if (part.sticks)
      return {
        ...part,
        ...{ count, marks: numbered(part.letter, count) },
        sticks: sticksOf(part.letter, count, part.finished.length + kerf),
      };
    return {
      ...part,
      count,
      marks: [1, ...copies(times)].flatMap((copy) => part.marks.map((mark) => markIn(copy, mark))),
      // each copy's from a board of its own
      ...(part.fromOne
        ? {
            fromOne: Object.fromEntries(
              [1, ...copies(times)].flatMap((copy) =>
                Object.entries(part.fromOne!).map(([mark, group]) => [markIn(copy, mark), markIn(copy, group)]),
              ),
            ),
          }
        : {}),
    };
  });
}

/** Strips of a part that is glued from kinds of them: as long as it is with its tongues, planed with it to its thickness. */
function stripParts(part: AssemblyPart, asBuilt: Piece["asBuilt"], shop: Shop): Part[] {
  const { length, thickness } = extentOf(part);
  const kinds = [...new Set((part.strips ?? []).map(({ kind }) => kind))];
  return kinds.map((id): Part => {
    const same = part.strips!.filter(({ kind }) => kind === id);
    const finished = {
      length,
      width: measuredOr(asBuilt, id, "width", same[0].width),
      thickness: thickness + shop.panelOver,
    };
    return {
      ...{
        id,
        name: "Stripe",
        letter: "ST",
        role: "rail",
        make: "solid",
        long: 0,
        shoulder: part.shape.length,
        finished,
      },
      note: `Planed to one width with all of its kind, ${shop.panelOver} mm over in thickness: the glued panel is flattened.`,
      ...milledOf("rail", "solid", finished, { ...shop, long: 0 }),
      count: same.length,
      marks: same.map(({ mark }) => mark),
    };
  });
}

const groupsOf = (same: readonly AssemblyPart[]): Record<string, string> =>
  Object.fromEntries(same.flatMap(({ id, fromOne }) => (fromOne ? [[id, fromOne] as const] : [])));

/** A kind that there is one of stands by its letter alone. */
const marksOf = (same: readonly AssemblyPart[]) => same.map((part) => part.id);

function milledOf(
  role: Role,
  make: Make,
  finished: Part["finished"],
  shop: Shop & { long: number },
): Pick<Part, "milled" | "rough" | "leaves" | "stock"> {
  const stock = legPieces(make, finished, shop.kerf);
  // a sheet is cut to its size at once
  if (role === "sheet")
    return { stock, leaves: 1, milled: finished, rough: { length: finished.length, width: finished.width } };
  const extra = shop.long > 0 ? shop.long : role === "block" || role === "button" ? SMALL_EXTRA : shop.lengthAllowance;
  const milled = { length: finished.length + extra, width: stock[0].width, thickness: stock[0].thickness };
  return {
    stock,
    leaves: stock.length,
    milled,
    rough: { length: milled.length, width: milled.width + shop.widthAllowance },
  };
}

function smallPart(
  { id, name, letter, size, note }: Small,
  count: number,
  asBuilt: Piece["asBuilt"],
  shop: Shop,
): Part {
  const measured = (dimension: "length" | "width" | "thickness") => measuredOr(asBuilt, id, dimension, size[dimension]);
  const finished = { length: measured("length"), width: measured("width"), thickness: measured("thickness") };
  return {
    ...{ id, name, letter, role: "button", make: "solid", count, note, finished, long: 0, shoulder: size.length },
    ...milledOf("button", "solid", finished, { ...shop, long: 0 }),
    marks: numbered(letter, count),
    sticks: sticksOf(letter, count, finished.length + shop.kerf),
  };
}

/** Parts that nobody sees when the table stands: sapwood may lie in them. */
const HIDDEN: Role[] = ["block", "button"];

/** Every rough piece to saw, but for the top, whose boards are chosen one by one. @param wood  species of a kind of part, by its id */
export function roughPieces(
  parts: readonly Part[],
  shop: Pick<Shop, "widthAllowance">,
  wood: (kind: string) => string,
): RoughPiece[] {
  return parts
    .filter((part) => part.role !== "panel")
    .flatMap((part) =>
      (part.sticks ?? part.marks.map((mark) => ({ mark, length: part.rough.length }))).flatMap(
        ({ mark, length }, _, all) =>
          part.stock.map(({ suffix, width, thickness, matched }) => ({
            id: `${mark}${suffix}`,
            part: part.id,
            label: `${mark}${suffix}`,
            length,
            width: width + shop.widthAllowance,
            thickness,
            net:
              (part.finished.length * part.finished.width * part.finished.thickness * part.count) /
              (all.length * part.stock.length),
            hidden: HIDDEN.includes(part.role),
            species: wood(part.id),
            ...(matched
              ? { matched: mark }
              : part.fromOne?.[mark]
                ? { matched: part.fromOne[mark], row: true as const }
                : {}),
            ...(part.ownEdges ? { ownEdges: true as const } : {}),
          })),
      ),
    );
}
