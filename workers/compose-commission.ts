/** Runs the search for all boards of a commission off the main thread: posts how far it is, then the pieces as they would be. */
import { CommissionOrder, composedPieces, wantedBy } from "../core/commission-boards";
import { AllComposed, composeAll } from "../core/layout/compose-all";
import type { Piece } from "../core/piece/schema";

export type CommissionReport =
  | { kind: "so-far"; found: number; of: number }
  | { kind: "done"; best: AllComposed; pieces: { id: string; piece: Piece }[] }
  | { kind: "failed"; message: string };

self.onmessage = ({ data }: MessageEvent<CommissionOrder>) => {
  const post = (report: CommissionReport) => self.postMessage(report);
  try {
    const wanted = wantedBy(data);
    post({ kind: "so-far", found: 0, of: wanted.panels.length });
    for (const best of composeAll(wanted.panels))
      post(
        best.done
          ? { kind: "done", best, pieces: composedPieces(data, wanted, best) }
          : { kind: "so-far", found: best.panels.length, of: wanted.panels.length },
      );
  } catch (error) {
    post({ kind: "failed", message: error instanceof Error ? error.message : String(error) });
  }
};
