import { freshSurroundings } from "./fresh";
import { USUAL_FASTENING, USUAL_TOP } from "./movement-choices";

type Json = Record<string, unknown>;

/**
 * A piece of an earlier version as the next one would have written it; anything else comes back as it is. What the maker
 * typed is never changed: new fields get the value that leaves the plan as it was meant.
 */
export function upgraded(json: unknown): unknown {
  if (json === null || typeof json !== "object" || (json as Json).version !== 1) return json;
  const old = json as Json;
  const { form, joints, log } = old;
  return {
    ...old, version: 2,
    form: isRecord(form) ? { ...form, use: "table", ...USUAL_TOP } : form,
    joints: isRecord(joints) ? { ...joints, ...USUAL_FASTENING } : joints,
    log: Array.isArray(log) ? log.map(upgradedEntry) : log,
    ...freshSurroundings(),
  };
}

function upgradedEntry(entry: unknown): unknown {
  if (!isRecord(entry)) return entry;
  if (entry.kind === "moisture") return { ...entry, what: "top", meter: null };
  return entry.kind === "width" ? { ...entry, what: "top", moisture: null } : entry;
}

const isRecord = (value: unknown): value is Json => value !== null && typeof value === "object" && !Array.isArray(value);
