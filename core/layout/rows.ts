/** Pieces whose figure runs on from one to the next lie after one another on their board, in their order. */
import type { LaidSection, RoughPiece } from "./sawing";

/** The same sections: in each lane those of a row together where the first of them lay, in the order they are named. */
export function inRows(sections: readonly LaidSection[], pieces: readonly RoughPiece[]): LaidSection[] {
  const order = new Map(pieces.map(({ id, matched, row }, i) => [id, { i, group: row ? matched : undefined }]));
  return sections.map((section) => ({
    ...section,
    lanes: section.lanes.map((lane) => {
      const done = new Set<string>();
      const laid = lane.pieces.flatMap((id) => {
        const group = order.get(id)?.group;
        if (group === undefined) return [id];
        if (done.has(group)) return [];
        done.add(group);
        return lane.pieces
          .filter((each) => order.get(each)?.group === group)
          .sort((a, b) => order.get(a)!.i - order.get(b)!.i);
      });
      return { ...lane, pieces: laid };
    }),
  }));
}
