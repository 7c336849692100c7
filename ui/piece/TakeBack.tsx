"use client";
import Link from "next/link";
import { useOpenPiece } from "./PieceProvider";

/** The way back from a fault: the change that brought it, the last change, and every earlier state. */
export function TakeBack() {
  const { id, fault, to, undo, undoLabel } = useOpenPiece();
  const back = fault?.back;
  return (
    <p className="mt-1.5 flex flex-wrap gap-1.5">
      {fault && back === undefined && (
        <span role="status" className="self-center text-[13px] text-graphite">
          Looking for the change that brought it
        </span>
      )}
      {back && (
        <button className="button" onClick={() => void to(back.to)}>
          Take back “{back.label}”{back.steps > 1 && ` and ${back.steps - 1} after it`}
        </button>
      )}
      {!back && undoLabel && (
        <button className="button" onClick={undo}>
          Undo “{undoLabel}”
        </button>
      )}
      <Link className="button button-plain" href={`/pieces/${id}/history`}>
        Earlier states
      </Link>
    </p>
  );
}
