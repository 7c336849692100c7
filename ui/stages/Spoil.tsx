"use client";
import { Choice, TextField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useState } from "react";
import { useSaw } from "./useCuts";

/** A piece that went wrong at the saw is planned again from what is left. */
export function Spoil() {
  const { piece } = usePiece();
  const { spoil } = useSaw();
  const [why, setWhy] = useState("");
  const sawn = piece.cutting.sawn.flatMap((each) =>
    each.sections
      .flatMap((section) => section.lanes.flatMap((lane) => lane.pieces))
      .filter((mark) => !piece.cutting.spoiled.some((one) => one.piece === mark && one.board === each.board.id)),
  );
  const [mark, setMark] = useState("");
  if (sawn.length === 0) return null;
  const chosen = sawn.includes(mark) ? mark : sawn[0];
  return (
    <>
      <Choice
        label="Went wrong at the saw"
        value={chosen}
        options={sawn.map((each) => ({ value: each, name: each }))}
        onTake={setMark}
      />
      <TextField
        label="What happened"
        value={why}
        onTake={(value) => {
          setWhy(value);
          return null;
        }}
      />
      <button
        className="button"
        onClick={() => {
          spoil(chosen, why);
          setWhy("");
        }}
      >
        Plan {chosen} again
      </button>
    </>
  );
}
