import type { AsBuilt, Piece } from "./schema";

/** A size as it counts: what was last measured on the work if anything was, else what is planned. */
export function measuredOr(
  asBuilt: readonly AsBuilt[],
  part: string,
  dimension: AsBuilt["dimension"],
  planned: number,
): number {
  const taken = asBuilt.filter((each) => each.part === part && each.dimension === dimension);
  return taken.length === 0 ? planned : taken.reduce((a, b) => (b.on >= a.on ? b : a)).value;
}

/** The earliest moisture that is known: what a record of years is held against. */
export function firstMoisture(piece: Pick<Piece, "moisture" | "log">): {
  value: number;
  on: string;
  from: "log" | "piece";
} {
  let first: { value: number; on: string; from: "log" | "piece" } = { ...piece.moisture, from: "piece" };
  for (const entry of piece.log)
    if (entry.kind === "moisture" && entry.what === "top" && entry.on < first.on)
      first = { value: entry.value, on: entry.on, from: "log" };
  return first;
}

/** The moisture the year starts from: the latest reading in the log, unless the brief's own is younger. */
export function latestMoisture(piece: Pick<Piece, "moisture" | "log">): {
  value: number;
  on: string;
  from: "log" | "piece";
} {
  let latest: { value: number; on: string; from: "log" | "piece" } = { ...piece.moisture, from: "piece" };
  for (const entry of piece.log)
    if (entry.kind === "moisture" && entry.what === "top" && entry.on >= latest.on)
      latest = { value: entry.value, on: entry.on, from: "log" };
  return latest;
}
