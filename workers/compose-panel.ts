/** Runs the search for one panel, or for all of them, off the main thread: posts the best so far as it goes, and stops when told. */
import { ComposeInputs, Composed, composePanel, NoPanel } from "../core/layout/compose";
import { AllComposed, composeAll, PanelToCompose } from "../core/layout/compose-all";

export type ComposeOrder = { kind: "one"; inputs: ComposeInputs } | { kind: "all"; panels: PanelToCompose[] } | "stop";
export type ComposeReport = { kind: "so-far" | "done"; best: Composed } | ({ kind: "none" } & NoPanel);
export type AllReport = { kind: "all"; best: AllComposed };

let stopped = false;

self.onmessage = async (event: MessageEvent<ComposeOrder>) => {
  if (event.data === "stop") {
    stopped = true;
    return;
  }
  stopped = false;
  await (event.data.kind === "one" ? one(event.data.inputs) : all(event.data.panels));
};

/** Lets a stop come through. */
const breath = () => new Promise((resolve) => setTimeout(resolve, 0));

async function all(panels: readonly PanelToCompose[]): Promise<void> {
  for (const best of composeAll(panels)) {
    self.postMessage({ kind: "all", best: stopped ? { ...best, done: true } : best } satisfies AllReport);
    await breath();
    if (stopped) return;
  }
}

async function one(inputs: ComposeInputs): Promise<void> {
  let last: Composed | null = null;
  for (const found of composePanel(inputs)) {
    if ("none" in found) {
      self.postMessage({ kind: "none", none: found.none } satisfies ComposeReport);
      return;
    }
    last = found;
    self.postMessage({ kind: found.done ? "done" : "so-far", best: found } satisfies ComposeReport);
    await breath();
    if (stopped) break;
  }
  if (last && !last.done) self.postMessage({ kind: "done", best: last } satisfies ComposeReport);
}
