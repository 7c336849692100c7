"use client";
import { useEffect, useRef, useState } from "react";
import type { AllComposed } from "../../core/layout/compose-all";
import { panelsToCompose } from "../../core/panels/composing";
import { changed } from "../../core/panels/lens";
import type { Patch } from "../../core/piece/patch";
import type { AllReport, ComposeOrder } from "../../workers/compose-panel";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** One search for every panel of a piece: none takes a board that another needs more. */
export function ComposeAll() {
  const { piece, plan, rack, shop, edit } = usePiece();
  const { say } = useUnit();
  const worker = useRef<Worker>(undefined);
  const [search, setSearch] = useState<{ running: boolean; best: AllComposed | null; fault: string | null }>({
    ...{ running: false, best: null, fault: null },
  });
  useEffect(() => () => worker.current?.terminate(), []);
  const panels = panelsToCompose(piece, plan, rack, shop);
  if (panels.length < 2) return null;
  const take = ({ panels: found }: AllComposed) => {
    const patches = found.flatMap(({ id, strips }): Patch[] => {
      const patch: Patch = { path: ["panels", "top", "strips"], value: strips };
      const place = plan.panels.find((each) => each.place.id === id)?.place;
      const mine = place ? changed(patch, place, piece) : patch;
      return mine ? [mine] : [];
    });
    // what found no boards gives back those it had: another panel has them now
    const emptied = Object.entries(piece.panels).flatMap(([id, { strips }]): Patch[] =>
      strips.length > 0 && !found.some((each) => each.id === id) ? [{ path: ["panels", id, "strips"], value: [] }] : [],
    );
    return patches.length > 0 ? edit("All panels composed", [...patches, ...emptied]) : null;
  };
  const start = () => {
    worker.current?.terminate();
    const mine = new Worker(new URL("../../workers/compose-panel.ts", import.meta.url), { type: "module" });
    worker.current = mine;
    mine.onmessage = ({ data: { best } }: MessageEvent<AllReport>) =>
      setSearch({ running: !best.done, best, fault: best.done ? take(best) : null });
    mine.onerror = () =>
      setSearch({
        ...{ running: false, best: null },
        fault: "The search stopped with an error. Reload the page and start it again; nothing was changed.",
      });
    setSearch({ running: true, best: null, fault: null });
    mine.postMessage({ kind: "all", panels } satisfies ComposeOrder);
  };
  const { running, best, fault } = search;
  return (
    <div className="flex flex-wrap items-center gap-3" data-all={running ? "running" : best ? "done" : "resting"}>
      <button className="button" disabled={running} onClick={start}>
        Compose {panels.length === 2 ? "both" : `all ${panels.length}`} panels
      </button>
      {running && (
        <p className="text-[13px] text-graphite" role="status">
          {best ? `${best.panels.length} of ${panels.length} have their boards` : "Comparing which panel chooses first"}
        </p>
      )}
      {best?.done && best.panels.length > 0 && (
        <p className="text-[13px] text-graphite" role="status">
          {best.panels.map(({ name, strips }, i) => `${i ? "the" : "The"} ${name} from ${strips.length}`).join(", ")}{" "}
          boards; <b className="text-ink">{((100 * (best.cost - best.net)) / best.cost).toFixed(1)} %</b> of the wood
          used up goes to chips
          {best.without.length === 0 &&
            (best.cost - best.bound < 1
              ? ", and no choice of these boards wastes less"
              : `, ${((100 * (best.cost - best.bound)) / best.bound).toFixed(1)} % more than if each had the rack to itself`)}
          .
        </p>
      )}
      {best?.done &&
        best.without.map(({ id, name, none }) => (
          <p key={id} role="alert" className="basis-full border border-fix bg-white p-2 text-fix">
            The {name}: {say(none)}
          </p>
        ))}
      {fault && (
        <p role="alert" className="basis-full border border-fix bg-white p-2 text-fix">
          {fault}
        </p>
      )}
    </div>
  );
}
