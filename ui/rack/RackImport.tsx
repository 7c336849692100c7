"use client";
import { useEffect, useState } from "react";
import type { Board } from "../../core/stock/board";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";

interface Looked { count: number; first: Board[]; faults: { line: number; message: string }[]; faultCount: number; there: string[]; thereCount: number }
/** A file larger than this is no rack, bytes. */
const LARGEST = 30_000_000;

/** A CSV that is looked at before anything is kept: what is good, what is not and why, what would be replaced. */
export function RackImport({ file, onDone, onLeave }: { file: File; onDone: (said: string) => void; onLeave: () => void }) {
  const [looked, setLooked] = useState<Looked | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(true);
  const { length, withUnit } = useUnit();
  const ask = async (kind: "look" | "import") => {
    setBusy(true);
    try {
      const answer = await fetch("/api/rack", { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify({ kind, text: await file.text() }) });
      const json = await answer.json();
      if (answer.ok) return json;
      setFault(json.message);
    } catch { setFault("The server does not answer. Nothing on the rack was changed; try again."); } finally { setBusy(false); }
    return null;
  };
  useEffect(() => {
    if (file.size > LARGEST) { setBusy(false); setFault(`${file.name} is ${(file.size / 1e6).toFixed(0)} MB, more than a rack can be. Choose the CSV of boards.`); return; }
    void ask("look").then((found) => found && setLooked(found));
  }, []);
  const put = async () => { const done = await ask("import"); if (done) onDone(`${done.added} boards are new on the rack, ${done.replaced} replaced.`); };
  return (
    <section className="mt-3 border border-layout bg-white p-4" aria-label="Import">
      {!looked && !fault && <p role="status">Reading {file.name}</p>}
      {fault && <p role="alert" className="text-fix">{fault}</p>}
      {looked && <>
        <h2>{file.name}: {looked.count} good rows{looked.faultCount > 0 && `, ${looked.faultCount} that can't be read`}</h2>
        {looked.faults.length > 0 && <ul className="mt-2 max-h-56 overflow-auto text-[13.5px]">{looked.faults.map((each) => <li key={`${each.line} ${each.message}`} className="border-b border-hairline py-1"><b className="font-[560]">Line {each.line}:</b> {each.message}</li>)}</ul>}
        {looked.first.length > 0 && <p className="mt-2 text-[13px] text-graphite">Read as {looked.first.map((each, i) => <span key={each.id}>{i > 0 && "; "}{each.id} {fractions(`${length(each.length)} by ${length(each.width)} by ${withUnit(each.thickness)}`)}</span>)}{looked.count > looked.first.length && " and so on"}.</p>}
        {looked.thereCount > 0 && <p className="mt-2 text-tight">{looked.thereCount} boards are on the rack already by that name and will be replaced: {looked.there.join(", ")}{looked.thereCount > looked.there.length && " and others"}.</p>}
      </>}
      <div className="mt-3 flex gap-2">{looked && looked.count > 0 && <button className="button" disabled={busy} onClick={() => void put()}>Put {looked.count} boards on the rack</button>}<button className="button button-plain" onClick={onLeave}>Leave it</button></div>
    </section>
  );
}
