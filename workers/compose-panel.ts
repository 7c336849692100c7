/** Runs the panel search off the main thread: posts the best so far as it goes, and stops when told. */
import { ComposeInputs, Composed, composePanel, NoPanel } from "../core/layout/compose";

export type ComposeReport = { kind: "so-far" | "done"; best: Composed; of: number } | ({ kind: "none" } & NoPanel);

let stopped = false;

self.onmessage = async (event: MessageEvent<ComposeInputs | "stop">) => {
  if (event.data === "stop") {
    stopped = true;
    return;
  }
  stopped = false;
  const inputs = event.data;
  let last: Composed | null = null;
  for (const found of composePanel(inputs)) {
    if ("none" in found) {
      self.postMessage({ kind: "none", none: found.none } satisfies ComposeReport);
      return;
    }
    last = found;
    self.postMessage({ kind: found.done ? "done" : "so-far", best: found, of: inputs.sets } satisfies ComposeReport);
    // let a stop come through
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (stopped) break;
  }
  if (last && !last.done) self.postMessage({ kind: "done", best: last, of: inputs.sets } satisfies ComposeReport);
};
