/** One blank for several parts, so that the grain runs on over their corners. */
import type { Inserted, PanelRow, PieceGeometry } from "../construction/geometry";
import { listed } from "../verdict/verdict";

/** What a tilted blade takes at a mitre beside the board's thickness, its kerf with it, mm. @source common practice */
export const MITRE_LOST = 10;
/** What a square cut between two parts takes, its kerf and a shaving at each end, mm. @source common practice */
export const CUT_LOST = 6;

/** How long the blank is, mm. */
export const rowLength = ({ pieces, lost }: PanelRow): number =>
  pieces.reduce((sum, { length }) => sum + length, 0) + Math.max(0, pieces.length - 1) * lost;

/** Where it is crosscut, from its middle along it, mm: the middles of what is lost. */
export function rowCuts(row: PanelRow): number[] {
  let at = -rowLength(row) / 2;
  return row.pieces.slice(0, -1).map(({ length }) => {
    at += length + row.lost;
    return at - row.lost / 2;
  });
}

/** Middle of each part along the blank, from the blank's middle, mm. */
export function rowMiddles(row: PanelRow): number[] {
  let at = -rowLength(row) / 2;
  return row.pieces.map(({ length }) => {
    at += length + row.lost;
    return at - row.lost - length / 2;
  });
}

/** Middle of the top along the panel it is composed as; 0 where it lies there in two. */
export const topMiddle = ({ row, parting }: Pick<PieceGeometry, "row" | "parting">): number =>
  row && !parting
    ? rowMiddles(row)[
        Math.max(
          0,
          row.pieces.findIndex(({ kind }) => kind === "top"),
        )
      ]
    : 0;

/** Where a place along a parted top lies on its blank, from that one's middle, mm; null where each half is a panel by itself. */
export function onBlank({ row, top }: { row: PanelRow; top: { length: number } }, x: number): number | null {
  const middles = rowMiddles(row).filter((_, i) => row.pieces[i].kind === "top");
  if (middles.length < 2) return null;
  const [left, right] = middles;
  return x < 0 ? left + top.length / 4 + x : right - top.length / 4 + x;
}

/** "left end, top and right end, in this order". */
export const rowSaid = ({ pieces }: PanelRow): string => `${listed(pieces.map(({ name }) => name))}, in this order`;

type Blanked = Pick<PieceGeometry, "core" | "top" | "row" | "blankOf" | "inserted" | "wideOf" | "posts">;

/** The top as it is composed, glued and flattened: as long as the blank it is cut from, and less wide by what is glued into it. */
export function asBlank<G extends Blanked>(whole: G): G {
  const at = withoutStrip(whole);
  if (!at.row) return at;
  const length = rowLength(at.row);
  const blankOf = at.top.length;
  return { ...at, blankOf, top: { ...at.top, length }, core: { ...at.core, length, shoulder: length } };
}

/** Behind the strip everything lies so much nearer to the front edge in the blank. */
const nearer = ({ width, lost }: Inserted) => width - lost;

/** Where a place so far behind a top's front edge lies in its blank, mm. */
export const behindInBlank = (strip: Inserted, behind: number): number =>
  behind > strip.front + strip.width / 2 ? behind - nearer(strip) : behind;

function withoutStrip<G extends Blanked>(at: G): G {
  const { inserted, top, core, posts } = at;
  if (!inserted) return at;
  const width = Math.max(1, top.width - nearer(inserted));
  return {
    ...at,
    ...{ top: { ...top, width }, core: { ...core, width }, wideOf: { width: top.width, posts } },
    posts: posts.map((post) => ({ ...post, z: width / 2 - behindInBlank(inserted, top.width / 2 - post.z) })),
  };
}

/** The other way: the top that lies in a blank. */
export function asTop<G extends Blanked>({ blankOf, wideOf, ...at }: G): Omit<G, "blankOf" | "wideOf"> {
  const long = blankOf === undefined ? {} : { length: blankOf };
  const core = blankOf === undefined ? {} : { ...long, shoulder: blankOf };
  const wide = wideOf === undefined ? {} : { width: wideOf.width };
  return {
    ...at,
    ...{ top: { ...at.top, ...long, ...wide }, core: { ...at.core, ...core, ...wide } },
    posts: wideOf?.posts ?? at.posts,
  };
}

/** Kinds of part that a panel becomes. */
export const kindsOf = (kind: string, row?: PanelRow): string[] => [
  ...new Set([kind, ...(row?.pieces.map((each) => each.kind) ?? [])]),
];
