"use client";
import { Choice } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { useState } from "react";

export function Match() {
  const { plan, piece, edit } = usePiece();
  const marks = plan.cutting.pieces.map((each) => each.id);
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const options = marks.map((each) => ({ value: each, name: each }));
  if (marks.length < 2) return null;
  const [a, b] = [marks.includes(one) ? one : marks[0], marks.includes(other) ? other : marks[1]];
  return (
    <>
      <Choice label="Matching: cut" value={a} options={options} onTake={setOne} />
      <Choice label="from the board of" value={b} options={options} onTake={setOther} />
      <button
        className="button"
        disabled={a === b}
        onClick={() =>
          edit(`${a} matches ${b}`, [
            { path: ["cutting", "matches", piece.cutting.matches.length], value: { piece: a, as: b } },
          ])
        }
      >
        Match them
      </button>
    </>
  );
}

export function Matches() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { matches } = piece.cutting;
  if (matches.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-4">
      {matches.map((each, i) => (
        <li key={`${each.piece} ${each.as} ${i}`} className="flex items-center gap-1 text-[13.5px]">
          {each.piece} from the board of {each.as}
          <button
            className="button button-plain px-2"
            aria-label={`Unmatch ${each.piece} and ${each.as}`}
            onClick={() =>
              set(
                "Match taken back",
                ["cutting", "matches"],
                matches.filter((_, j) => j !== i),
              )
            }
          >
            Unmatch
          </button>
        </li>
      ))}
    </ul>
  );
}
