"use client";
import Link from "next/link";
import { memo } from "react";
import { boardScene } from "../../core/drawing/boards";
import { holdersSaid, isShared, RackBoard } from "../../core/stock/board";
import { findSpecies, Species } from "../../core/wood/species";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";

/** Height of a board's row, and the length that its picture's width stands for; one scale for the whole rack. */
export const ROW = 64;
const PICTURE = { width: 420, length: 4200 };

/** One board as it lies on the rack: to scale, with its sizes, where it is and who keeps it. */
export const RackRow = memo(function RackRow({
  board,
  ownSpecies,
  takeOff,
}: {
  board: RackBoard;
  ownSpecies: readonly Species[];
  takeOff: (board: RackBoard) => Promise<void>;
}) {
  const { length, say, withUnit } = useUnit();
  const wood = findSpecies(board.species, ownSpecies);
  return (
    <>
      <Link
        prefetch={false}
        href={`/rack/${encodeURIComponent(board.id)}`}
        className="block shrink-0 overflow-hidden max-md:hidden"
        style={{ width: PICTURE.width, maxHeight: ROW - 8 }}
        tabIndex={-1}
        aria-hidden
      >
        <SceneView
          scene={boardScene(board, wood?.colour ?? ["#dcc8a2", "#b39868"], {
            longest: Math.max(PICTURE.length, board.length),
            widest: Math.max(board.width, board.widthEnd ?? 0),
            pale: board.reservedBy !== null && !isShared(board),
            kept: isShared(board) ? board.held : [],
          })}
          height="to-width"
          width={PICTURE.width}
        />
      </Link>
      <Link
        prefetch={false}
        href={`/rack/${encodeURIComponent(board.id)}`}
        className="w-24 shrink-0 truncate font-semibold text-layout underline-offset-2 hover:underline"
      >
        {board.id}
      </Link>
      <span className="w-52 shrink-0 text-[13.5px]">
        {fractions(
          `${length(board.length)} by ${length(board.width)}${board.widthEnd === null ? "" : ` to ${length(board.widthEnd)}`} by ${withUnit(board.thickness)}`,
        )}
        <span className="block text-[13px] text-graphite">{wood?.name ?? board.species}</span>
      </span>
      <span className="min-w-0 flex-1 text-[13px] text-graphite">
        {board.moisture} % on {dayName(board.measuredOn)}
        {board.shelf && `, shelf ${board.shelf}`}
        {board.tree && `, tree ${board.tree}`}
        <span className="block truncate">
          {[
            board.cutFrom && `offcut of ${board.cutFrom}`,
            board.defects.map((each) => each.kind).join(", "),
            holdersSaid(board) && `reserved for ${say(holdersSaid(board)!)}`,
          ]
            .filter(Boolean)
            .join("; ")}
        </span>
      </span>
      {!board.reservedBy && (
        <button className="button px-2" aria-label={`Take off ${board.id}`} onClick={() => void takeOff(board)}>
          Take off
        </button>
      )}
    </>
  );
});
