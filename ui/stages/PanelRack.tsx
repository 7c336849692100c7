"use client";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { RackPictures } from "../rack/RackPictures";

/** The rack below a panel: what each board would give it, and the way to add it. @param elsewhere  boards of the piece's other panels */
export function PanelRack({ name, elsewhere }: { name: string; elsewhere: readonly string[] }) {
  const { piece, plan, rack, ownSpecies } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const panel = piece.panels.top;
  return (
    <RackPictures
      boards={rack}
      species={plan.species.id}
      ownSpecies={ownSpecies}
      note={(board) => {
        if (panel.strips.some((each) => each.board === board.id))
          return { text: `in the ${name}`, usable: false, action: null };
        if (elsewhere.includes(board.id)) return { text: "in another panel", usable: false, action: null };
        if (panel.banned.includes(board.id))
          return {
            text: "kept for something else",
            usable: false,
            action: {
              name: "Release",
              run: () =>
                set(
                  `${board.id} released`,
                  ["panels", "top", "banned"],
                  panel.banned.filter((each) => each !== board.id),
                ),
            },
          };
        const offered = plan.panel.candidates.find((each) => each.board === board.id);
        const reason = plan.panel.unfit.find((each) => each.board === board.id)?.reason;
        const slide = offered?.slide ?? 0;
        return {
          text: offered ? `gives ${withUnit(offered.width)}` : (reason ?? "another species"),
          usable: Boolean(offered),
          action: offered
            ? {
                name: "Add",
                run: () =>
                  set(
                    `${board.id} added`,
                    ["panels", "top", "strips"],
                    [
                      ...panel.strips,
                      {
                        board: board.id,
                        face: panel.strips.length % 2 && piece.choices.rings === "alternate" ? "bark-down" : "bark-up",
                        turned: false,
                        slide,
                        width: null,
                      },
                    ],
                  ),
              }
            : null,
        };
      }}
    />
  );
}
