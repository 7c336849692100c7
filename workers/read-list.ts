/** Reads lists and drawings off the main thread, however long they are: boards, a logger's log, readings, an outline. Posts how far it is, then what it read. */
import { ReadLogger, readLogger } from "../core/formats/logger-csv";
import { ReadOutline, readOutline } from "../core/formats/outline-file";
import { ReadEdge, readEdge } from "../core/formats/outline-edge";
import { ReadRack, readRack } from "../core/formats/rack-csv";
import { ReadReadings, readReadings } from "../core/formats/readings-csv";

export type ListOrder =
  | { kind: "rack"; file: Blob; species: readonly { id: string; name: string }[]; today: string }
  | { kind: "logger"; file: Blob }
  | { kind: "outline"; file: Blob; name: string; long: number | null }
  | { kind: "edge"; file: Blob; name: string; length: number; edge: "lower" | "upper" }
  | { kind: "readings"; file: Blob; boards: readonly string[] };
export interface ListRead {
  rack: ReadRack;
  logger: ReadLogger;
  readings: ReadReadings;
  outline: ReadOutline;
  edge: ReadEdge;
}
export type ListReport =
  | { kind: "share"; share: number }
  | { kind: "read"; read: ListRead[keyof ListRead] }
  | { kind: "failed"; message: string };

self.onmessage = async ({ data }: MessageEvent<ListOrder>) => {
  const post = (report: ListReport) => self.postMessage(report);
  try {
    post({ kind: "read", read: read(data, await data.file.text(), (share) => post({ kind: "share", share })) });
  } catch (error) {
    post({ kind: "failed", message: error instanceof Error ? error.message : String(error) });
  }
};

function read(order: ListOrder, text: string, told: (share: number) => void): ListRead[keyof ListRead] {
  switch (order.kind) {
    case "rack":
      return readRack(text, order.species, order.today, told);
    case "logger":
      return readLogger(text);
    case "outline":
      return readOutline(order.name, text, order.long);
    case "edge":
      return readEdge(order.name, text, order);
    case "readings":
      return readReadings(text, () => crypto.randomUUID(), order.boards);
  }
}
