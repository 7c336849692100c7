"use client";
import { useEffect, useState } from "react";
import type { ReadRack } from "../../core/formats/rack-csv";
import { Species, SPECIES } from "../../core/wood/species";
import { ask } from "../frame/ask";
import { fractions } from "../frame/fractions";
import { readList } from "../frame/readList";
import { useUnit } from "../frame/unit";

/** Boards put and names asked at once, bad lines and names that are shown. */
const [LOT, NAMES, SHOWN] = [1000, 20_000, 100];
interface Looked extends ReadRack {
  there: string[];
  cut: string[];
}

/** A CSV that is looked at before anything is kept: what is good, what is not and why, what would be replaced, what was cut and stays so. */
export function RackImport({
  file,
  ownSpecies,
  today,
  onDone,
  onLeave,
}: {
  file: File;
  ownSpecies: readonly Species[];
  today: string;
  onDone: (said: string) => void;
  onLeave: () => void;
}) {
  const [looked, setLooked] = useState<Looked | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [at, setAt] = useState<string | null>(`Reading ${file.name}`);
  const { length, withUnit } = useUnit();
  useEffect(() => {
    void look(file, [...ownSpecies, ...SPECIES], today, (share) =>
      setAt(`Reading ${file.name}, ${Math.round(100 * share)} %`),
    )
      .then(setLooked, (error: Error) => setFault(error.message))
      .finally(() => setAt(null));
  }, []);
  const put = async () => {
    if (!looked) return;
    let [added, replaced, cut] = [0, 0, 0];
    for (let from = 0; from < looked.boards.length; from += LOT) {
      setAt(`Putting boards on the rack, ${from} of ${looked.boards.length}`);
      const answer = await ask<{ added: number; replaced: number; cut: string[] }>("POST", "/api/rack", {
        kind: "put",
        boards: looked.boards.slice(from, from + LOT),
      });
      if (!answer.ok) {
        setAt(null);
        setFault(
          `${answer.message} ${from > 0 ? `The first ${from} boards are on the rack; press again, and what is there is only replaced.` : ""}`,
        );
        return;
      }
      [added, replaced, cut] = [
        added + answer.json.added,
        replaced + answer.json.replaced,
        cut + answer.json.cut.length,
      ];
    }
    onDone(
      `${added} boards are new on the rack, ${replaced} replaced.${cut > 0 ? ` ${cut} were cut before and stay so.` : ""}`,
    );
  };
  const busy = at !== null;
  return (
    <section className="mt-3 border border-layout bg-white p-4" aria-label="Import">
      {at && <p role="status">{at}</p>}
      {fault && (
        <p role="alert" className="text-fix">
          {fault}
        </p>
      )}
      {looked && (
        <>
          <h2>
            {file.name}: {looked.boards.length} good rows
            {looked.faults.length > 0 && `, ${looked.faults.length} that can't be read`}
          </h2>
          {looked.faults.length > 0 && (
            <ul className="mt-2 max-h-56 overflow-auto text-[13.5px]">
              {looked.faults.slice(0, SHOWN).map((each, i) => (
                <li key={i} className="border-b border-hairline py-1">
                  <b className="font-[560]">Line {each.line}:</b> {each.message}
                </li>
              ))}
            </ul>
          )}
          {looked.boards.length > 0 && (
            <p className="mt-2 text-[13px] text-graphite">
              Read as{" "}
              {looked.boards.slice(0, 3).map((each, i) => (
                <span key={each.id}>
                  {i > 0 && "; "}
                  {each.id}{" "}
                  {fractions(`${length(each.length)} by ${length(each.width)} by ${withUnit(each.thickness)}`)}
                </span>
              ))}
              {looked.boards.length > 3 && " and so on"}.
            </p>
          )}
          {looked.there.length > 0 && (
            <p className="mt-2 text-tight">
              {looked.there.length} boards are on the rack already by that name and will be replaced:{" "}
              {few(looked.there)}.
            </p>
          )}
          {looked.cut.length > 0 && (
            <p className="mt-2 text-tight">
              {looked.cut.length} boards of that name were cut and stay so, whatever the list says: {few(looked.cut)}.
              Give a new board another name.
            </p>
          )}
        </>
      )}
      <div className="mt-3 flex gap-2">
        {looked && looked.boards.length > 0 && (
          <button className="button" disabled={busy} onClick={() => void put()}>
            Put {looked.boards.length} boards on the rack
          </button>
        )}
        <button className="button button-plain" onClick={onLeave}>
          Leave it
        </button>
      </div>
    </section>
  );
}

const few = (names: readonly string[]) => `${names.slice(0, 20).join(", ")}${names.length > 20 ? " and others" : ""}`;

/** What the file holds, and how its names stand on the rack. @throws Error with a sentence */
async function look(
  file: File,
  species: readonly Species[],
  today: string,
  told: (share: number) => void,
): Promise<Looked> {
  const read = await readList(
    file.name,
    { kind: "rack", file, species: species.map(({ id, name }) => ({ id, name })), today },
    told,
  );
  const [there, cut]: string[][] = [[], []];
  for (let from = 0; from < read.boards.length; from += NAMES) {
    const answer = await ask<{ there: string[]; cut: string[] }>("POST", "/api/rack", {
      kind: "there",
      ids: read.boards.slice(from, from + NAMES).map((board) => board.id),
    });
    if (!answer.ok) throw new Error(answer.message);
    there.push(...answer.json.there);
    cut.push(...answer.json.cut);
  }
  return { ...read, there, cut };
}
