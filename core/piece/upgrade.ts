import { USUAL_LEG, USUAL_LOW, USUAL_SHELF, USUAL_TRESTLE } from "./base-choices";
import { freshCutting, USUAL_OUTLINE } from "./cutting-choices";
import { freshSurroundings } from "./fresh";
import { TopChoices, USUAL_FASTENING, USUAL_TOP } from "./movement-choices";

type Json = Record<string, unknown>;

/**
 * A piece of an earlier version as the next one would have written it; anything else comes back as it is. What the maker
 * typed is never changed: new fields get the value that leaves the plan as it was meant.
 */
export function upgraded(json: unknown): unknown {
  return fromThird(fromSecond(fromFirst(json)));
}

/** A top as the second version began it. */
const { breadboard, channel, slats, frame } = USUAL_TOP;
const SECOND_TOP = { construction: "solid", breadboard, channel, slats, frame };

function fromFirst(json: unknown): unknown {
  if (!isRecord(json) || json.version !== 1) return json;
  const { form, joints, log } = json;
  return {
    ...json,
    version: 2,
    form: isRecord(form) ? { ...form, use: "table", ...SECOND_TOP } : form,
    joints: isRecord(joints) ? { ...joints, ...USUAL_FASTENING } : joints,
    log: Array.isArray(log) ? log.map(upgradedEntry) : log,
    ...freshSurroundings(),
  };
}

/** The third version knows outlines, cutting plans and glue-ups that were run. */
function fromSecond(json: unknown): unknown {
  if (!isRecord(json) || json.version !== 2) return json;
  const { form, glueUp } = json;
  return {
    ...json,
    version: 3,
    form: isRecord(form) && isRecord(form.top) ? { ...form, top: { ...form.top, ...USUAL_OUTLINE } } : form,
    cutting: freshCutting(),
    glueUp: isRecord(glueUp) ? { ...glueUp, runs: [] } : glueUp,
  };
}

/** The fourth version knows more than one base, and joints by their groups. */
function fromThird(json: unknown): unknown {
  if (!isRecord(json) || json.version !== 3) return json;
  const { form, joints, panel, ...rest } = json;
  return {
    ...rest,
    version: 4,
    kinds: {},
    panels: { top: panel },
    form: isRecord(form) ? withBases(form) : form,
    joints: isRecord(joints) ? { ...joints, groups: {}, figure8: plates(joints.figure8) } : joints,
  };
}

/** What a top of the second and third version was made like, as its field, its ends and what keeps it flat. */
const TOPS: Record<string, Pick<TopChoices, "field" | "ends" | "stiffener">> = {
  solid: { field: "solid", ends: "none", stiffener: "none" },
  breadboard: { field: "solid", ends: "breadboards", stiffener: "none" },
  channel: { field: "solid", ends: "none", stiffener: "channels" },
  slatted: { field: "slats", ends: "none", stiffener: "none" },
  framed: { field: "solid", ends: "frame", stiffener: "none" },
};

const withBases = ({ construction, ...form }: Json): Json => ({
  ...form,
  // a word that is none of these stays, so that it is refused by its name
  ...(typeof construction === "string" && construction in TOPS
    ? TOPS[construction]
    : construction === undefined
      ? {}
      : { construction }),
  batten: USUAL_TOP.batten,
  ...(isRecord(form.leg) ? { leg: { ...form.leg, ...USUAL_LEG } } : {}),
  ...(isRecord(form.apron) ? { apron: { ...form.apron, arch: 0 } } : {}),
  low: USUAL_LOW,
  trestle: USUAL_TRESTLE,
  shelf: USUAL_SHELF,
});

/** How plates lie was asked of rails by name. */
function plates(figure8: unknown): unknown {
  if (!isRecord(figure8) || !("longRails" in figure8)) return figure8;
  const { longRails, ...rest } = figure8;
  return { ...rest, lengthwise: longRails };
}

function upgradedEntry(entry: unknown): unknown {
  if (!isRecord(entry)) return entry;
  if (entry.kind === "moisture") return { ...entry, what: "top", meter: null };
  return entry.kind === "width" ? { ...entry, what: "top", moisture: null } : entry;
}

const isRecord = (value: unknown): value is Json =>
  value !== null && typeof value === "object" && !Array.isArray(value);
