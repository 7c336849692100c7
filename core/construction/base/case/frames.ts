/** What drawers run on and what keeps them from tipping: a rail in front, runners and kickers from it to the back. mm */
import { isDrawn } from "../../../piece/case-choices";
import type { Bay, Case, Division } from "./case";
import { HANG } from "./drawer";

/** Stub tenons from both sides of a divider leave so much between each and its middle, with the mortise's own depth, mm. @source common practice */
export const STUBS_APART = 3.5;

/** @source common practice */
export const RUNNER = {
  width: 32,
  /** clear of the back, and of the rail at the back that the sides carry away from it */
  clear: 3,
  apart: 8,
  /** its stub tenon is so long at most; a kicker's goes in between two rails that are there, so it is shorter than what is free behind it */
  stub: 15,
  slack: 2,
  /** its screws lie in so much of its length from the back; those on the two sides of a divider pass each other by so much */
  screwed: 0.7,
  aside: 24,
  /** a screw’s point stays so far inside */
  over: 4,
};

/** Whether a drawer that is drawn out behind runs above or below a division. */
const through = ({ openings }: Bay, row: number) =>
  [openings[row], openings[row + 1]].some(({ holds }) => holds === "drawers-through");

/** A rail between two drawers: W1, W2, bay by bay from above; where some are drawn out behind, a second one there. */
export const framesOf = ({
  bays,
}: Pick<Case, "bays">): { id: string; bay: number; at: Division; behind: boolean; through: boolean }[] => {
  const all = bays.flatMap((bay, i) =>
    bay.to - bay.from > 0
      ? bay.divisions.flatMap((at, row) => {
          if (at.kind !== "rail") return [];
          const one = { bay: i, at, behind: false, through: through(bay, row) };
          return one.through ? [one, { ...one, behind: true }] : [one];
        })
      : [],
  );
  return all.map((each, i) => ({ ...each, id: all.length > 1 ? `W${i + 1}` : "W" }));
};

/** A runner or a kicker: on which side of its bay, what it is tenoned into in front and screwed to beside it, where it lies. */
export interface Runner {
  id: string;
  kind: "runner" | "kicker" | "hanger";
  bay: number;
  side: -1 | 1;
  /** the rail in front */
  front: string;
  /** the part beside it, and whether that is a divider */
  beside: string;
  divider: boolean;
  x: number;
  y: number;
  thickness: number;
  /** out from what stands beside it */
  width: number;
  /** z, from the back to the rail */
  from: number;
  to: number;
}

/** What stands beside a bay: a side of the case, or a divider. */
export function besideOf({ bays, dividers }: Pick<Case, "bays" | "dividers">, bay: number, side: -1 | 1) {
  const last = side < 0 ? bay === 0 : bay === bays.length - 1;
  const n = side < 0 ? bay : bay + 1;
  return last
    ? { id: side < 0 ? "P1" : "P2", divider: false }
    : { id: dividers.length > 1 ? `DV${n}` : "DV", divider: true };
}

/** Runners Y1, Y2 on rails between drawers; kickers YK1, YK2 above a drawer that lies under the top. */
export function runnersOf(at: Case): Runner[] {
  const { bays, deep, insideBack, rail, inner, under } = at;
  if (at.slid) return [];
  if (at.sideHung) return hangersOf(at);
  const to = deep.to - rail;
  const pair = (bay: number) =>
    ([-1, 1] as const).map((side) => {
      const { id, divider } = besideOf(at, bay, side);
      const x = side < 0 ? bays[bay].from : bays[bay].to - RUNNER.width;
      return { bay, side, beside: id, divider, x, thickness: inner, width: RUNNER.width, to };
    });
  const runners = framesOf(at).flatMap(({ id, bay, at: { from: y }, behind, through }) => {
    if (behind) return [];
    const from = insideBack + (through ? rail + RUNNER.apart : RUNNER.clear);
    return pair(bay).map((each) => ({ ...each, kind: "runner" as const, front: id, y, from }));
  });
  const kickers = bays.flatMap(({ openings: [first], from, to: right }, bay) =>
    // a board from side to side keeps a drawer from tipping by itself
    isDrawn(first.holds) && right > from && at.corners === "rails" && !at.subTop
      ? pair(bay).map((each) => ({
          ...each,
          ...{ kind: "kicker" as const, front: "A1", y: under - inner, from: insideBack + rail + RUNNER.apart },
        }))
      : [],
  );
  const room = ({ bay, from }: { bay: number; from: number }) =>
    to - from > RUNNER.width && bays[bay].to - bays[bay].from > 2 * RUNNER.width;
  return [
    ...runners.filter(room).map((each, i) => ({ ...each, id: `Y${i + 1}` })),
    ...kickers.filter(room).map((each, i) => ({ ...each, id: `YK${i + 1}` })),
  ];
}

/** Strips YH1, YH2 on what stands beside each drawer that hangs by its sides: they fill the gap and the groove but for its play. */
function hangersOf(at: Case): Runner[] {
  const { drawers, bays, onWall, insideBack } = at;
  return drawers
    .flatMap(({ bay, across, hanger }) =>
      hanger
        ? ([-1, 1] as const).map((side): Omit<Runner, "id"> => {
            const { id, divider } = besideOf(at, bay, side);
            const gap = side < 0 ? across.from - bays[bay].from : bays[bay].to - across.to;
            const width = gap + hanger.depth - HANG.play;
            return {
              ...{ kind: "hanger", bay, side, front: "", beside: id, divider, width },
              x: side < 0 ? bays[bay].from : bays[bay].to - width,
              ...{ y: hanger.y, thickness: hanger.height, to: hanger.to },
              from: (onWall ? onWall.z.to : insideBack) + RUNNER.clear,
            };
          })
        : [],
    )
    .filter(({ from, to }) => to - from > RUNNER.width)
    .map((each, i) => ({ ...each, id: `YH${i + 1}` }));
}
