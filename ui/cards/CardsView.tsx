"use client";
import { Check, Square } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { cuttingScene } from "../../core/drawing/cutting";
import type { CutCard } from "../../core/layout/card";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSaw } from "../stages/useCuts";

/** The cutting cards for a tablet at the saw: one machine and one setting a card, large enough for a dusty thumb. */
export function CardsView() {
  const { id, piece, plan } = usePiece();
  const { saw, whole, tick } = useSaw();
  const [shown, setShown] = useState<"open" | "all">("open");
  const { cards } = plan.cutting;
  const isDone = (card: CutCard) =>
    card.board
      ? piece.cutting.sawn.some((each) => each.board.id === card.board)
      : piece.cutting.ticked.includes(card.id);
  const done = cards.filter(isDone).length;
  const listed = cards.filter((card) => shown === "all" || !isDone(card));
  return (
    <main className="min-h-[calc(100vh-44px)] bg-ink px-5 py-5 text-[17px] text-white">
      <div className="mx-auto max-w-[1180px]">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="mr-auto text-[24px]">Cutting cards</h1>
          <span className="text-pale" role="status" data-done={done}>
            {done} of {cards.length} done
          </span>
          <button
            className="min-h-12 border border-pale px-4"
            onClick={() => setShown(shown === "all" ? "open" : "all")}
          >
            {shown === "all" ? "Show what is open" : "Show all"}
          </button>
          <Link className="flex min-h-12 items-center border border-pale px-4" href={`/pieces/${id}/cutting`}>
            Back to Cutting
          </Link>
        </div>
        {plan.cutting.missing.length > 0 && (
          <p role="alert" className="mt-3 border border-pale p-3">
            {plan.cutting.missing.length} pieces have no board and are on no card:{" "}
            {plan.cutting.missing.map((each) => each.label).join(", ")}.
          </p>
        )}
        <ol className="mt-4 flex flex-col gap-4">
          {listed.map((card) => (
            <li key={card.id} data-card={card.id} className="border border-graphite p-4">
              <Card
                card={card}
                done={isDone(card)}
                toggle={() => (card.board ? (isDone(card) ? whole(card.board) : saw(card.board)) : tick(card.id))}
              />
            </li>
          ))}
        </ol>
        {listed.length === 0 && (
          <p className="mt-6 text-pale">Every card is ticked. The parts are sawn, planed and cut to length.</p>
        )}
      </div>
    </main>
  );
}

function Card({ card, done, toggle }: { card: CutCard; done: boolean; toggle: () => void }) {
  const { plan, shop } = usePiece();
  const { withUnit, say } = useUnit();
  const cut = card.board ? plan.cutting.boards.find((each) => each.board.id === card.board) : undefined;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-[19px]">{fractions(say(card.title))}</h2>
        <span className="text-pale">
          {card.machine}
          {card.setting !== null && fractions(`, set to ${withUnit(card.setting)}`)}
          {cut?.board.shelf && `, shelf ${cut.board.shelf}`}
        </span>
        <button
          className={`ml-auto flex min-h-12 items-center gap-2 border px-5 font-[600] ${done ? "border-holds bg-holds text-white" : "border-white"}`}
          aria-pressed={done}
          onClick={toggle}
          aria-label={`${card.title}: ${done ? "done" : "tick off"}`}
        >
          {done ? <Check size={20} /> : <Square size={20} />}
          {done ? "Done" : "Tick off"}
        </button>
      </div>
      {cut && (
        <div className="mt-3 bg-film p-1">
          <SceneView
            scene={cuttingScene(cut, plan.species.colour, {
              pieces: new Map(plan.cutting.pieces.map((each) => [each.id, each])),
              kerf: shop.kerf,
              longest: cut.board.length,
            })}
            height="to-width"
          />
        </div>
      )}
      <table className="mt-3 w-full border-collapse text-left">
        <thead className="text-[15px] text-pale">
          <tr>
            <th className="py-1 pr-4 font-[500]">From</th>
            <th className="pr-4 font-[500]">What is done</th>
            <th className="pr-4 font-[500]">It becomes</th>
            <th className="font-[500]">Check</th>
          </tr>
        </thead>
        <tbody>
          {card.rows.map((row, i) => (
            <tr key={i} className="border-t border-graphite">
              <td className="py-1.5 pr-4">{row.from}</td>
              <td className="pr-4">{fractions(say(row.what))}</td>
              <td className="pr-4 font-[600]">{row.to.join(" ")}</td>
              <td className="text-pale">{fractions(say(row.check))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
