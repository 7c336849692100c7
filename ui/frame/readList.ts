import type { ListOrder, ListRead, ListReport } from "../../workers/read-list";

/** A file larger than this is no list, bytes. */
const LARGEST = 60_000_000;

/**
 * Reads a list in a worker of its own.
 *
 * @param told  hears the share that is read
 * @throws Error with a sentence when the file can't be read at all
 */
export function readList<K extends ListOrder["kind"]>(
  name: string,
  order: ListOrder & { kind: K },
  told: (share: number) => void = () => undefined,
): Promise<ListRead[K]> {
  if (order.file.size > LARGEST)
    return Promise.reject(
      new Error(`${name} is ${(order.file.size / 1e6).toFixed(0)} MB, more than any list. Choose the right CSV.`),
    );
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL("../../workers/read-list.ts", import.meta.url), { type: "module" });
    const done = (end: () => void) => {
      worker.terminate();
      end();
    };
    worker.onmessage = ({ data }: MessageEvent<ListReport>) => {
      if (data.kind === "share") told(data.share);
      else if (data.kind === "read") done(() => resolve(data.read as ListRead[K]));
      else done(() => reject(new Error(`${name} can’t be read: ${data.message}`)));
    };
    worker.onerror = () =>
      done(() => reject(new Error(`${name} can’t be read in this browser just now. Reload the page and try again.`)));
    worker.postMessage(order);
  });
}
