"use client";
import { FileUp, Plus } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import type { Scene } from "../../core/drawing/scene";
import type { Level, Stage } from "../../core/verdict/verdict";
import { SceneView } from "../drawing/SceneView";
import { FindAnything } from "../find/FindAnything";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { dayName } from "../frame/sentences";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { STAGE_NAMES } from "../stick/StoryStick";
import { Sign } from "../twice/Sign";

export interface BenchCard { id: string; name: string; commission: string; putAway: boolean; revision: number; deadline: string | null; species: string; size: [number, number, number]; scene: Scene; levels: { stage: Stage; level: Level | null }[]; next: { stage: Stage; text: string; level: Level } }

export function BenchView({ cards, shop }: { cards: BenchCard[]; shop: string }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [message, setMessage] = useState("");
  const [away, setAway] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const post = async (address: string, body?: unknown): Promise<{ id?: string } | null> => {
    try {
      const answer = await fetch(address, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body ?? {}) });
      const json = await answer.json();
      if (!answer.ok) { setMessage(json.message); return null; }
      setMessage("");
      return json;
    } catch {
      setMessage("The server does not answer. Nothing was changed; try again.");
      return null;
    }
  };
  const open = async (made: Promise<{ id?: string } | null>) => { const piece = await made; if (piece?.id) router.push(`/pieces/${piece.id}/brief`); };
  const begin = () => (name.trim() ? void open(post("/api/pieces", { kind: "fresh", name })) : setMessage("Give the new piece a name first, such as “Dining table”."));
  const shown = cards.filter((card) => card.putAway === away);
  const putAway = cards.filter((card) => card.putAway).length;
  const scale = Math.max(...cards.map((card) => card.size[0]), 1000);
  return (
    <>
      <TopBar where={<span className="text-white">{shop}</span>}><ShopLinks here="bench" /><FindAnything pieces={cards} /></TopBar>
      <main className="mx-auto max-w-[1240px] px-5 py-5">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <div className="mr-auto"><h1>{away ? "Put away" : "On the bench"}</h1><p className="lede">{away ? "Their boards are free for others. Get one back whenever you like." : "Every piece to one scale, with what it needs next."}</p></div>
          <form className="flex items-end gap-2" onSubmit={(event) => { event.preventDefault(); begin(); }}>
            <label className="text-[13px] text-graphite">New piece<input className="input ml-0 block w-52 text-ink" value={name} onChange={(event) => setName(event.target.value)} placeholder="Dining table" /></label>
            <button className="button"><Plus size={15} />Begin</button>
          </form>
          <button className="button button-plain" onClick={() => file.current?.click()}><FileUp size={15} />Import a piece</button>
          <input ref={file} type="file" accept=".json,application/json" className="hidden" aria-label="Piece file" onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (!chosen) return;
            if (chosen.size > 2_000_000) { setMessage(`${chosen.name} is ${(chosen.size / 1e6).toFixed(1)} MB; a piece is never over 2 MB. Choose the JSON file that Taller exported.`); return; }
            void chosen.text().then((text) => open(post("/api/pieces", { kind: "import", text })));
          }} />
        </div>
        {message && <p role="alert" className="mt-3 border border-fix bg-white p-2.5 text-fix">{message}</p>}
        <ul className="mt-5 grid grid-cols-1 gap-x-6 gap-y-7 md:grid-cols-2 xl:grid-cols-3">
          {shown.map((card) => <Card key={card.id} card={card} scale={scale} onCopy={() => void open(post(`/api/pieces/${card.id}/copy`))} onAway={() => void post(`/api/pieces/${card.id}/away`, { away: !card.putAway }).then(() => router.refresh())} />)}
        </ul>
        {shown.length === 0 && <p className="lede mt-8">{away ? "Nothing is put away." : "Nothing is on the bench. Give a piece a name above and begin with its brief: the room, the seats, the climate."}</p>}
        {(putAway > 0 || away) && <button className="button button-plain mt-8" onClick={() => setAway(!away)}>{away ? "Back to the bench" : `Show ${putAway} put away`}</button>}
      </main>
    </>
  );
}

function Card({ card, scale, onCopy, onAway }: { card: BenchCard; scale: number; onCopy: () => void; onAway: () => void }) {
  const { length, withUnit, say } = useUnit();
  const scene = { ...card.scene, bounds: { x: -scale / 2 - 40, y: -10, w: scale + 80, h: 800 } };
  const [l, w, h] = card.size;
  return (
    <li className="border-t-2 border-ink bg-sheet" data-piece={card.id}>
      <Link href={`/pieces/${card.id}/${card.next.stage}`} className="block px-4 pt-3 hover:bg-white">
        <div className="flex items-baseline justify-between gap-2"><h2 className="truncate">{card.name}</h2><span className="truncate text-[13px] text-graphite">{card.commission}</span></div>
        <SceneView scene={scene} height={158} />
        <p className="text-[13px] text-graphite">{card.species}, {fractions(`${length(l)} by ${length(w)} by ${withUnit(h)}`)}{card.deadline ? `, due ${dayName(card.deadline)}` : ""}</p>
        <p className="mt-2 flex min-h-10 gap-2 font-[560]"><span className="pt-0.5"><Sign level={card.next.level} /></span><span>{fractions(say(card.next.text))}</span></p>
      </Link>
      <ul className="flex justify-between px-4 pt-2" aria-label="Stages">{card.levels.map(({ stage, level }) => <li key={stage}><Link href={`/pieces/${card.id}/${stage}`} className="flex size-8 items-center justify-center hover:bg-wash" title={STAGE_NAMES[stage]} aria-label={STAGE_NAMES[stage]}><Sign level={level} size={12} /></Link></li>)}</ul>
      <div className="flex gap-2 px-4 pt-1 pb-3">
        {!card.putAway && <button className="button button-plain" onClick={onCopy}>Copy</button>}
        <button className="button button-plain" onClick={onAway}>{card.putAway ? "Get it back" : "Put away"}</button>
        <a className="button button-plain" href={`/api/pieces/${card.id}/file`}>Export</a>
      </div>
    </li>
  );
}
