"use client";
import { FileDown, FileUp } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { boardFeet, cubicMetres } from "../../core/units/lumber";
import type { Board, RackBoard } from "../../core/stock/board";
import type { Species } from "../../core/wood/species";
import { FindAnything } from "../find/FindAnything";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { RackPictures } from "./RackPictures";

interface Looked { boards: Board[]; faults: { line: number; message: string }[]; faultCount: number; file: string }

/** The rack: every board to scale, in and out as CSV. */
export function RackView({ boards, ownSpecies }: { boards: RackBoard[]; ownSpecies: Species[] }) {
  const router = useRouter();
  const file = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [message, setMessage] = useState("");
  const [off, setOff] = useState<Board | null>(null);
  const volume = boards.reduce((sum, board) => sum + cubicMetres(board.length, board.width, board.thickness), 0);
  const feet = boards.reduce((sum, board) => sum + boardFeet(board.length, board.width, board.thickness), 0);
  const ask = async (body: unknown) => {
    try {
      const answer = await fetch("/api/rack", { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) });
      const json = await answer.json();
      if (answer.ok) return json;
      setMessage(json.message);
    } catch { setMessage("The server does not answer. Nothing on the rack was changed; try again."); }
    return null;
  };
  const look = async (chosen: File) => {
    setMessage("");
    if (chosen.size > 10_000_000) { setMessage(`${chosen.name} is ${(chosen.size / 1e6).toFixed(0)} MB, more than a rack can be. Choose the CSV of boards.`); return; }
    const found = await ask({ kind: "look", text: await chosen.text() });
    if (found) setLooked({ ...found, file: chosen.name });
  };
  const put = async () => {
    const done = await ask({ kind: "put", boards: looked!.boards });
    if (!done) return;
    setLooked(null);
    setMessage(`${done.added} boards are new on the rack, ${done.replaced} replaced.`);
    router.refresh();
  };
  const takeOff = async (board: RackBoard) => {
    const answer = await fetch(`/api/rack/${encodeURIComponent(board.id)}`, { method: "DELETE" }).catch(() => null);
    if (!answer) { setMessage("The server does not answer. Nothing on the rack was changed; try again."); return; }
    if (!answer.ok) { setMessage((await answer.json()).message); return; }
    const { reservedBy: _, ...plain } = board;
    setOff(plain);
    setMessage(`${board.id} is off the rack.`);
    router.refresh();
  };
  const putBack = async () => { if (off && (await ask({ kind: "put", boards: [off] }))) { setMessage(`${off.id} is back on the rack.`); setOff(null); router.refresh(); } };
  const taken = new Set(boards.map((board) => board.id));
  return (
    <>
      <TopBar where={<span className="text-white">Rack</span>}><ShopLinks here="rack" /><FindAnything more={boards.map((board) => ({ name: board.id, kind: "board", go: () => document.querySelector(`[data-board="${board.id}"]`)?.scrollIntoView({ block: "center" }) }))} /></TopBar>
      <main className="mx-auto max-w-[1240px] px-5 py-5">
        <div className="flex flex-wrap items-start justify-between gap-3">
          <div><h1>What is on the rack</h1><p className="lede">{boards.length} boards, {volume.toFixed(2)} m³ or {Math.round(feet)} board feet, {boards.filter((board) => board.reservedBy).length} of them reserved.</p></div>
          <div className="flex gap-2"><button className="button" onClick={() => file.current?.click()}><FileUp size={15} />Import CSV</button><a className="button button-plain" href="/api/rack"><FileDown size={15} />Export CSV</a></div>
          <input ref={file} type="file" accept=".csv,text/csv" className="hidden" aria-label="Rack file" onChange={(event) => { const chosen = event.target.files?.[0]; event.target.value = ""; if (chosen) void look(chosen); }} />
        </div>
        {message && <p role="status" className="mt-3 border border-layout bg-white p-2.5">{message}{off && <button className="button ml-3" onClick={() => void putBack()}>Put {off.id} back</button>}</p>}
        {looked && (
          <section className="mt-3 border border-layout bg-white p-4" aria-label="Import">
            <h2>{looked.file}: {looked.boards.length} good rows{looked.faultCount > 0 && `, ${looked.faultCount} that can't be read`}</h2>
            {looked.faults.length > 0 && <ul className="mt-2 max-h-56 overflow-auto text-[13.5px]">{looked.faults.map((fault) => <li key={`${fault.line} ${fault.message}`} className="border-b border-hairline py-1"><b className="font-[560]">Line {fault.line}:</b> {fault.message}</li>)}</ul>}
            {looked.boards.some((board) => taken.has(board.id)) && <p className="mt-2 text-tight">{looked.boards.filter((board) => taken.has(board.id)).length} boards are on the rack already by that name and will be replaced: {looked.boards.filter((board) => taken.has(board.id)).slice(0, 8).map((board) => board.id).join(", ")}.</p>}
            <div className="mt-3 flex gap-2">{looked.boards.length > 0 && <button className="button" onClick={() => void put()}>Put {looked.boards.length} boards on the rack</button>}<button className="button button-plain" onClick={() => setLooked(null)}>Leave it</button></div>
          </section>
        )}
        <div className="mt-4"><RackPictures boards={boards} species={null} ownSpecies={ownSpecies} note={(board) => ({ text: `${board.moisture} %${board.reservedBy ? `, reserved for ${board.reservedBy.name}` : ""}`, usable: !board.reservedBy, action: board.reservedBy ? null : { name: "Take off", run: () => void takeOff(board) } })} /></div>
        <p className="lede mt-6">CSV: the first line names the columns; id, species, length, width and thickness must be there, in mm. Defects read like knot@620,40,55,45, several joined by a bar.</p>
      </main>
    </>
  );
}
