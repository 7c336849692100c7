"use client";
import { useOpenPiece } from "./PieceProvider";

/** Values that are listed before the rest is counted. */
const NAMED = 4;

/** What a maker must know of the piece as a whole before reading it: that it is put away, and what was stored and is read otherwise now. */
export function PieceNotes() {
  const { putAway, mended, getBack } = useOpenPiece();
  return (
    <>
      {putAway && (
        <p
          role="status"
          className="flex flex-wrap items-center gap-3 border-b border-hairline bg-wash px-5 py-1.5 print:hidden"
          data-put-away
        >
          This piece is put away: its boards are free for others, and what you change here reserves none.
          <button className="button" onClick={getBack}>
            Get it back
          </button>
        </p>
      )}
      {mended.length > 0 && (
        <div
          role="status"
          className="border-b border-hairline bg-white px-5 py-2 text-[13.5px] print:hidden"
          data-mended={mended.length}
        >
          <p className="font-[560]">
            {mended.length === 1 ? "One value was" : `${mended.length} values were`} kept before Taller knew their
            bounds, and {mended.length === 1 ? "is" : "are"} read otherwise now. The next change saves the piece so;
            until then nothing is written.
          </p>
          <ul>
            {mended.slice(0, NAMED).map((each, i) => (
              <li key={i}>
                {each.field ? `${each.field} was ${each.was}. ` : ""}
                {each.message}
              </li>
            ))}
            {mended.length > NAMED && <li>and {mended.length - NAMED} more</li>}
          </ul>
        </div>
      )}
    </>
  );
}
