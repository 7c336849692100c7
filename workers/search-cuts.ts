/** Runs the search for cuts off the main thread, a round at a time: posts the best so far, stops when told, and goes on from where it stopped. */
import { Cut, searchCuts, SearchInputs, Stopped } from "../core/layout/search";

export type CutsOrder = { kind: "start"; inputs: SearchInputs; from: Stopped | null } | { kind: "stop" };

let running = 0;

self.onmessage = async ({ data }: MessageEvent<CutsOrder>) => {
  running += 1;
  if (data.kind === "stop") return;
  const mine = running;
  for (const cut of searchCuts(data.inputs, data.from)) {
    self.postMessage(cut satisfies Cut);
    // let a stop come through
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (mine !== running) return;
  }
};
