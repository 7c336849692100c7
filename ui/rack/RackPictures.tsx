"use client";
import { useMemo, useState } from "react";
import { boardScene } from "../../core/drawing/boards";
import type { RackBoard } from "../../core/stock/board";
import { findSpecies, Species } from "../../core/wood/species";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";

export interface BoardNote {
  text: string;
  usable: boolean;
  action: { name: string; run: () => void } | null;
}

/** Pictures shown at once; a large rack is found through its own page. */
const FEW = 60;

/** The rack as pictures to one scale, by species. Pale boards can't serve here, and say why. */
export function RackPictures({
  boards,
  species,
  ownSpecies,
  note,
}: {
  boards: readonly RackBoard[];
  species: string | null;
  ownSpecies: readonly Species[];
  note: (board: RackBoard) => BoardNote;
}) {
  const { length, withUnit } = useUnit();
  const [chosen, setChosen] = useState<string>(species ?? "all");
  const [usableOnly, setUsableOnly] = useState(false);
  const [many, setMany] = useState(FEW);
  const kinds = useMemo(() => [...new Set(boards.map((board) => board.species))], [boards]);
  const longest = Math.max(1000, ...boards.map((board) => board.length));
  const shown = boards
    .filter((board) => chosen === "all" || board.species === chosen)
    .map((board) => ({ board, ...note(board) }))
    .filter((each) => !usableOnly || each.usable);
  const filter = (id: string, name: string) => (
    <button
      key={id}
      className={`button ${chosen === id ? "bg-wash" : "button-plain"}`}
      aria-pressed={chosen === id}
      onClick={() => setChosen(id)}
    >
      {name}
    </button>
  );
  return (
    <section aria-label="Rack">
      <div className="flex flex-wrap items-center gap-2 border-t border-hairline pt-3">
        <h2 className="mr-1">Rack</h2>
        {kinds.map((id) =>
          filter(
            id,
            `${findSpecies(id, ownSpecies)?.name ?? id} ${boards.filter((board) => board.species === id).length}`,
          ),
        )}
        {filter("all", `All ${boards.length}`)}
        {species && (
          <button
            className={`button ${usableOnly ? "bg-wash" : "button-plain"}`}
            aria-pressed={usableOnly}
            onClick={() => setUsableOnly(!usableOnly)}
          >
            Usable here
          </button>
        )}
        <span className="ml-auto text-[13px] text-graphite">Drawn to one scale</span>
      </div>
      <ul className="mt-3 grid grid-cols-2 gap-x-5 gap-y-3 xl:grid-cols-3">
        {shown.slice(0, many).map(({ board, text, usable, action }) => (
          <li key={board.id} data-board={board.id} className="min-w-0">
            <SceneView
              scene={boardScene(board, findSpecies(board.species, ownSpecies)?.colour ?? ["#dcc8a2", "#b39868"], {
                longest,
                widest: board.width,
                pale: !usable,
              })}
              height="to-width"
            />
            <p className="flex items-center gap-1 text-[13px] text-graphite">
              <span className="min-w-0 flex-1">
                <b className="font-semibold text-ink">{board.id}</b>{" "}
                {fractions(
                  `${length(board.length)} by ${length(board.width)} by ${withUnit(board.thickness)}, ${text}`,
                )}
                {board.defects.length ? `; ${board.defects.map((each) => each.kind).join(", ")}` : ""}
              </span>
              {action && (
                <button className="button px-2" onClick={action.run} aria-label={`${action.name} ${board.id}`}>
                  {action.name}
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
      {shown.length > many && (
        <button className="button mt-3" onClick={() => setMany(many + FEW)}>
          Show {Math.min(FEW, shown.length - many)} more of {shown.length}
        </button>
      )}
      {shown.length === 0 && (
        <p className="lede mt-2">No board here. Choose another species above, or add boards on the rack page.</p>
      )}
    </section>
  );
}
