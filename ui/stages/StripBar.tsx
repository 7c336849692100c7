"use client";
import { LengthField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { usePanelStrips } from "./usePanelStrips";

/** What a maker does with one board of the panel: moves, flips, turns, slides, swaps, pins it, or takes it out. @param picked  `strip:` and its board */
export function StripBar({ picked, onPick }: { picked: string | null; onPick: (picked: string | null) => void }) {
  const { plan, edit } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const { panel, change, moved } = usePanelStrips();
  const index = panel.strips.findIndex((each) => `strip:${each.board}` === picked);
  const strip = panel.strips[index];
  return (
    <div className="flex min-h-9 flex-wrap items-center gap-2" aria-label="Boards of the panel">
      <select
        className="input"
        aria-label="Board of the panel"
        value={picked ?? ""}
        onChange={(event) => onPick(event.target.value || null)}
      >
        <option value="">Pick a board</option>
        {panel.strips.map((each) => (
          <option key={each.board} value={`strip:${each.board}`}>
            {each.board}
          </option>
        ))}
      </select>
      {strip && (
        <>
          <button
            className="button button-plain"
            disabled={index === 0}
            onClick={() => change(`${strip.board} toward the front`, moved(index, index - 1))}
          >
            To the front
          </button>
          <button
            className="button button-plain"
            disabled={index === panel.strips.length - 1}
            onClick={() => change(`${strip.board} toward the back`, moved(index, index + 1))}
          >
            To the back
          </button>
          <button
            className="button button-plain"
            onClick={() =>
              set(
                `${strip.board} flipped`,
                ["panels", "top", "strips", index, "face"],
                strip.face === "bark-up" ? "bark-down" : "bark-up",
              )
            }
          >
            Flip
          </button>
          <button
            className="button button-plain"
            onClick={() => set(`${strip.board} turned`, ["panels", "top", "strips", index, "turned"], !strip.turned)}
          >
            Turn end for end
          </button>
          <LengthField
            label="Starts from its left end at"
            value={strip.slide}
            onTake={(slide) => set(`${strip.board} slid along`, ["panels", "top", "strips", index, "slide"], slide)}
          />
          <select
            className="input"
            aria-label={`Swap ${strip.board} for`}
            value=""
            onChange={(event) => {
              const other = plan.panel.candidates.find((each) => each.board === event.target.value);
              if (other) {
                onPick(`strip:${other.board}`);
                change(
                  `${strip.board} swapped for ${other.board}`,
                  panel.strips.map((each) =>
                    each === strip ? { ...strip, board: other.board, slide: other.slide, width: null } : each,
                  ),
                );
              }
            }}
          >
            <option value="">Swap for a board of the rack</option>
            {plan.panel.candidates
              .filter((each) => !panel.strips.some((one) => one.board === each.board))
              .map((each) => (
                <option key={each.board} value={each.board}>
                  {each.board}, gives {withUnit(each.width)}
                </option>
              ))}
          </select>
          <button
            className="button button-plain"
            onClick={() =>
              set(
                `${strip.board} pinned`,
                ["panels", "top", "pinned"],
                panel.pinned.includes(strip.board)
                  ? panel.pinned.filter((each) => each !== strip.board)
                  : [...panel.pinned, strip.board],
              )
            }
          >
            {panel.pinned.includes(strip.board) ? "Unpin" : "Pin"}
          </button>
          <button
            className="button button-plain"
            onClick={() => {
              onPick(null);
              edit(`${strip.board} kept for something else`, [
                { path: ["panels", "top", "strips"], value: panel.strips.filter((each) => each !== strip) },
                { path: ["panels", "top", "banned"], value: [...panel.banned, strip.board] },
                { path: ["panels", "top", "pinned"], value: panel.pinned.filter((each) => each !== strip.board) },
              ]);
            }}
          >
            Keep for something else
          </button>
          <button
            className="button button-plain"
            onClick={() => {
              onPick(null);
              change(
                `${strip.board} taken out`,
                panel.strips.filter((each) => each !== strip),
              );
            }}
          >
            Take out
          </button>
        </>
      )}
    </div>
  );
}
