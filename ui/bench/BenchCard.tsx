"use client";
import { AlertDialog } from "radix-ui";
import Link from "next/link";
import type { BenchPiece } from "../../core/summary";
import { MARK_NAMES } from "../../core/verdict/faults";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { Sign } from "../twice/Sign";

interface Given {
  piece: BenchPiece;
  scale: number;
  onCopy: () => void;
  onAway: () => void;
  onDelete: () => void;
}

/** One piece on the bench: drawn to the bench's scale, with what it needs next and what can be done with it. */
export function BenchCard({ piece, scale, onCopy, onAway, onDelete }: Given) {
  const { length, withUnit, say } = useUnit();
  const { card, id, putAway } = piece;
  const plain = putAway ? (
    <button className="button button-plain" onClick={onAway}>
      Get it back
    </button>
  ) : (
    <button className="button button-plain" onClick={onAway}>
      Put away
    </button>
  );
  return (
    <li
      className="flex flex-col border-t-2 border-ink bg-sheet"
      data-piece={id}
      data-planned={card === null || piece.pending ? "waiting" : card.scene ? "yes" : "not"}
    >
      <Link href={`/pieces/${id}/${card?.next.stage ?? "brief"}`} className="block grow px-4 pt-3 hover:bg-white">
        <div className="flex items-baseline justify-between gap-2">
          <h2 className="truncate">{piece.name}</h2>
          <span className="truncate text-[13px] text-graphite">{piece.commission}</span>
        </div>
        {card?.scene ? (
          <SceneView
            scene={{ ...card.scene, bounds: { x: -scale / 2 - 40, y: -10, w: scale + 80, h: 800 } }}
            height={158}
          />
        ) : (
          <p className="flex h-[158px] items-end pb-3 text-graphite">{card ? "Not planned" : "Being planned"}</p>
        )}
        <p className="text-[13px] text-graphite">
          {card ? (
            <>
              {card.times ? `${card.times} alike, ` : ""}
              {card.species},{" "}
              {fractions(`${length(card.size[0])} by ${length(card.size[1])} by ${withUnit(card.size[2])}`)}
              {card.deadline ? `, due ${dayName(card.deadline)}` : ""}
            </>
          ) : (
            "Its sizes come with the plan"
          )}
        </p>
        <p className="mt-2 flex min-h-10 gap-2 font-[560]">
          {card && (
            <>
              <span className="pt-0.5">
                <Sign level={card.next.level} />
              </span>
              <span>{fractions(say(card.next.text))}</span>
            </>
          )}
        </p>
      </Link>
      <ul className="flex min-h-8 justify-between px-4 pt-2" aria-label="Stages">
        {card?.levels.map(({ stage, level }) => (
          <li key={stage}>
            <Link
              href={`/pieces/${id}/${stage}`}
              className="flex size-8 items-center justify-center hover:bg-wash"
              title={MARK_NAMES[stage]}
              aria-label={MARK_NAMES[stage]}
            >
              <Sign level={level} size={12} />
            </Link>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2 px-4 pt-1 pb-3">
        {!putAway && (
          <button className="button button-plain" onClick={onCopy}>
            Copy
          </button>
        )}
        {plain}
        <a className="button button-plain" href={`/api/pieces/${id}/file`}>
          Export
        </a>
        {putAway && <DeleteForGood name={piece.name} onDelete={onDelete} />}
      </div>
    </li>
  );
}

function DeleteForGood({ name, onDelete }: { name: string; onDelete: () => void }) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger className="button button-plain">Delete for good</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-[#14201c66]" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[480px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-sheet p-6">
          <AlertDialog.Title asChild>
            <h1>Delete “{name}” for good?</h1>
          </AlertDialog.Title>
          <AlertDialog.Description className="lede mt-1">
            The piece goes with every earlier state, its log and its searches, and can’t be had back. Boards it has sawn
            stay sawn. Export it first if you may want it again.
          </AlertDialog.Description>
          <div className="mt-4 flex gap-2">
            <AlertDialog.Action className="button" onClick={onDelete}>
              Delete it
            </AlertDialog.Action>
            <AlertDialog.Cancel className="button button-plain">Keep it</AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
