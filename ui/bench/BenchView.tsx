"use client";
import { FileButton } from "../fields/FileButton";
import { Plus } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { FindAnything } from "../find/FindAnything";
import { ask, Asked } from "../frame/ask";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { BenchCard } from "./BenchCard";
import { BenchPage, useBench } from "./useBench";

/** A piece's file is never larger, bytes. */
const LARGEST = 2_000_000;

/** The bench, or what is put away: pages of cards to one scale, and the ways to begin a piece. */
export function BenchView({ first, away, shop }: { first: BenchPage; away: boolean; shop: string }) {
  const router = useRouter();
  const { pieces, sum, total, silent, reload, more } = useBench(first, away);
  const [name, setName] = useState("");
  const [message, setMessage] = useState("");
  const [arrived, setArrived] = useState<{ id: string; said: string[] } | null>(null);
  const told = async <T,>(asked: Promise<Asked<T>>): Promise<T | null> => {
    const answer = await asked;
    setMessage(answer.ok ? "" : answer.message);
    return answer.ok ? answer.json : null;
  };
  const open = async (made: Promise<Asked<{ id: string }>>) => {
    const piece = await told(made);
    if (piece) router.push(`/pieces/${piece.id}/brief`);
  };
  const begin = () =>
    name.trim()
      ? void open(ask("POST", "/api/pieces", { kind: "fresh", name }))
      : setMessage("Give the new piece a name first, such as “Dining table”.");
  const bring = async (chosen: File) => {
    if (chosen.size > LARGEST) {
      setMessage(
        `${chosen.name} is ${(chosen.size / 1e6).toFixed(1)} MB; a piece is never over 2 MB. Choose the JSON file that Taller exported.`,
      );
      return;
    }
    const come = await told(
      ask<{ id: string; said: string[] }>("POST", "/api/pieces", { kind: "import", text: await chosen.text() }),
    );
    if (!come) return;
    if (come.said.length === 0) {
      router.push(`/pieces/${come.id}/brief`);
      return;
    }
    setArrived(come);
    void reload();
  };
  const scale = Math.max(sum.longest, 1000);
  return (
    <>
      <TopBar where={<span className="text-white">{shop}</span>}>
        <ShopLinks here="bench" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto max-w-[1240px] px-5 py-5">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <div className="mr-auto">
            <h1>{away ? "Put away" : "On the bench"}</h1>
            <p className="lede">
              {away
                ? "Their boards are free for others. Get one back whenever you like."
                : "Every piece to one scale, with what it needs next."}
            </p>
          </div>
          <form
            className="flex items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              begin();
            }}
          >
            <label className="text-[13px] text-graphite">
              New piece
              <input
                className="input ml-0 block w-52 text-ink"
                value={name}
                onChange={(event) => setName(event.target.value)}
                placeholder="Dining table"
              />
            </label>
            <button className="button">
              <Plus size={15} />
              Begin
            </button>
          </form>
          <FileButton
            label="Import a piece"
            accept=".json,application/json"
            name="Piece file"
            onChosen={(chosen) => void bring(chosen)}
          />
        </div>
        {message && (
          <p role="alert" className="mt-3 border border-fix bg-white p-2.5 text-fix">
            {message}
          </p>
        )}
        {arrived && (
          <div role="status" className="mt-3 border border-layout bg-white p-3">
            <p className="font-semibold">The piece has come, fitted to this shop’s boards:</p>
            <ul className="mt-1">
              {arrived.said.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </ul>
            <Link className="button mt-2" href={`/pieces/${arrived.id}/brief`}>
              Open it
            </Link>
          </div>
        )}
        {silent && (
          <p role="status" className="mt-3 text-tight">
            The server does not answer just now. This page goes on by itself when it does.
          </p>
        )}
        {!sum.runners && pieces.some((each) => each.pending) && (
          <p role="status" className="mt-3 text-tight">
            No runner is up, so changes wait to be planned here; the pieces themselves open as ever. npm run demo starts
            one.
          </p>
        )}
        <ul className="mt-5 grid grid-cols-1 gap-x-6 gap-y-7 md:grid-cols-2 xl:grid-cols-3">
          {pieces.map((piece) => (
            <BenchCard
              key={piece.id}
              piece={piece}
              scale={scale}
              onCopy={() => void open(ask("POST", `/api/pieces/${piece.id}/copy`, {}))}
              onAway={() => void told(ask("POST", `/api/pieces/${piece.id}/away`, { away: !away })).then(reload)}
              onDelete={() => void told(ask("DELETE", `/api/pieces/${piece.id}`)).then(reload)}
            />
          ))}
        </ul>
        {total === 0 && (
          <p className="lede mt-8">
            {away
              ? "Nothing is put away."
              : "Nothing is on the bench. Give a piece a name above and begin with its brief: the room, the seats, the climate."}
          </p>
        )}
        <div className="mt-8 flex flex-wrap gap-2">
          {total > pieces.length && (
            <button className="button" onClick={() => void more()}>
              Show more, {pieces.length} of {total} are here
            </button>
          )}
          {away ? (
            <Link className="button button-plain" href="/">
              Back to the bench
            </Link>
          ) : (
            sum.away > 0 && (
              <Link className="button button-plain" href="/?away">
                Show {sum.away} put away
              </Link>
            )
          )}
        </div>
      </main>
    </>
  );
}
