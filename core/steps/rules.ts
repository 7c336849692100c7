import type { LogEntry, Piece } from "../piece/schema";
import { Learned, taken } from "../learning/offers";
import { PanelRecord, WidthEntry, widthsIn } from "../learning/records";
import type { MoistureYear } from "../climate/year";
import { addDays } from "../movement/course";
import type { TopMovement } from "../movement/year";
import { fine, Level, set, Verdict, verdict } from "../verdict/verdict";
import type { DatedStep } from "./step";

export interface BuildFacts {
  piece: Piece;
  steps: readonly DatedStep[];
  today: string;
}

/** Every rule of the build stage. */
export const BUILD_RULES: ((facts: BuildFacts) => Verdict | null)[] = [deadline, cautions, buildDay];

/** What is promised lies so many days after the last step, and no fewer than five. @source common practice: a week for what goes wrong */
const SPARE = 7;

function deadline({ piece, steps }: BuildFacts): Verdict {
  const ready = steps.at(-1)!.ready;
  const spare = addDays(ready, SPARE);
  const by = piece.brief.deadline;
  const days = by ? Math.round((Date.parse(by) - Date.parse(ready)) / 86400000) : null;
  const level: Level = days === null ? "tight" : days < 0 ? "fix" : days < 5 ? "tight" : "holds";
  return verdict({
    id: "build.deadline",
    stage: "build",
    subject: ["deliver"],
    level,
    text:
      days === null
        ? "No deadline is set"
        : days < 0
          ? `Ready ${-days} days after the deadline`
          : `Ready ${days} days before the deadline`,
    why: `Starting ${piece.day}, the last step ends ${ready}${by ? `; promised for ${by}` : ""}. Waiting for glue and finish is counted, weekends rest.`,
    limit: null,
    actual: days,
    unit: "days",
    source: "derived: the longest chain of steps",
    remedies:
      days !== null && days < 0 && (piece.finish === "oil" || piece.finish === "varnish")
        ? [set("Use an oil-wax finish", ["finish"], "oil-wax")]
        : days === null
          ? [set(`Promise it for ${spare}`, ["brief", "deadline"], spare)]
          : [],
  });
}

function cautions({ steps }: BuildFacts): Verdict {
  const marked = steps.filter((step) => step.caution && !step.done);
  return verdict({
    id: "build.cautions",
    stage: "build",
    subject: marked.map((step) => step.id),
    level: "holds",
    text: `${marked.length} steps carry a caution`,
    why: "They are reminders; the tool's own manual and local rules come first.",
  });
}

function buildDay({ piece, steps, today }: BuildFacts): Verdict {
  const begun = steps.some((step) => step.done);
  const late = !begun && piece.day < today;
  return verdict({
    id: "build.day",
    stage: "build",
    level: late ? "tight" : "holds",
    text: late
      ? "The first day has passed and nothing is ticked"
      : begun
        ? `${steps.filter((step) => step.done).length} of ${steps.length} steps done`
        : `Work begins ${piece.day}`,
    why: late ? "Dates and travels count from that day." : "Tick steps as they are done.",
    remedies: late ? [set(`Begin today, ${today}`, ["day"], today)] : [],
  });
}

export interface LogFacts {
  piece: Piece;
  top: TopMovement;
  /** every panel with what Movement says of its widths in the log */
  records: readonly PanelRecord[];
  learned: readonly Learned[];
  year: MoistureYear;
  delivered: string;
  today: string;
}

/** Every rule of the log stage. */
export const LOG_RULES: ((facts: LogFacts) => Verdict | Verdict[] | null)[] = [
  hasReading,
  widthsAgree,
  airAgrees,
  lessons,
  mistakes,
];

function hasReading({ piece }: LogFacts): Verdict {
  const readings = piece.log.filter((each) => each.kind === "moisture");
  return verdict({
    id: "log.reading",
    stage: "log",
    level: readings.length ? "holds" : "tight",
    text: readings.length
      ? `${readings.length} moisture reading${readings.length > 1 ? "s" : ""} in the log`
      : "No moisture reading in the log yet",
    why: "The latest one is where Movement starts from.",
  });
}

/** Agreement a caliper on wood can be held to, mm. @source common practice */
const WIDTH_AGREES = 1;

function widthsAgree({ piece, records }: LogFacts): Verdict[] {
  return records.flatMap((record) => {
    const widths = widthsIn(piece.log, record.id);
    return widths.length > 0 ? [widthAgrees(widths, record)] : [];
  });
}

function widthAgrees(widths: readonly WidthEntry[], { id, name, predicted }: Omit<PanelRecord, "moved">): Verdict {
  const beside = id === "top" ? "" : ` of the ${name}`;
  const worst = widths
    .map((entry) => ({
      entry,
      off: entry.value - (predicted.find((each) => each.on === entry.on)?.width ?? entry.value),
    }))
    .reduce((a, b) => (Math.abs(b.off) > Math.abs(a.off) ? b : a));
  const level: Level =
    Math.abs(worst.off) <= WIDTH_AGREES ? "holds" : Math.abs(worst.off) <= 3 * WIDTH_AGREES ? "tight" : "fix";
  return verdict({
    id: id === "top" ? "log.width" : `log.width.${id}`,
    stage: "log",
    subject: [id],
    level,
    text:
      level === "holds"
        ? `Measured widths${beside} agree with Movement`
        : `Measured${id === "top" ? "" : ` the ${name}`} ${fine(Math.abs(worst.off))} ${worst.off > 0 ? "wider" : "narrower"} than Movement says`,
    why: `${fine(worst.entry.value)} on ${worst.entry.on}; a finish slows the wood, so a difference of about ${WIDTH_AGREES} mm is nothing.`,
    limit: WIDTH_AGREES,
    actual: Math.round(Math.abs(worst.off) * 10) / 10,
    sense: "at most",
    unit: "mm",
  });
}

/** Difference of humidity from the climate's month that tells it is another climate, percent. @source common practice: cheap hygrometers err by 3 to 5 */
const AIR_AGREES = 8;

/** The latest air that was measured in the room, after delivery, against its month. */
function airAgrees({ piece, year, delivered }: LogFacts): Verdict | null {
  const latest = piece.log
    .filter((each): each is Extract<LogEntry, { kind: "air" }> => each.kind === "air" && each.on >= delivered)
    .sort((a, b) => (a.on < b.on ? 1 : -1))[0];
  if (!latest) return null;
  const month = year.months[Number(latest.on.slice(5, 7)) - 1];
  const off = latest.value - month.humidity;
  const level: Level = Math.abs(off) <= AIR_AGREES ? "holds" : "tight";
  return verdict({
    id: "log.air",
    stage: "log",
    level,
    text:
      level === "holds"
        ? "The room's air is as its climate says"
        : `The room is ${off > 0 ? "damper" : "drier"} than its climate says`,
    why: `${latest.value} % on ${latest.on}, where ${year.name.toLowerCase()} has ${Math.round(month.humidity)} % in ${month.name}.${level === "holds" ? "" : " Import a logger's readings in the brief, or type twelve values of your own."}`,
    limit: AIR_AGREES,
    actual: Math.round(Math.abs(off)),
    sense: "at most",
    unit: "%",
  });
}

/** Each measured coefficient beside the table's; the press that takes it is the maker's. */
function lessons({ piece, learned: all, today }: LogFacts): Verdict[] {
  return all.map((each): Verdict => {
    const { fit, table } = each;
    const apart = fit.ok && Math.abs(fit.coefficient - table) > fit.uncertainty;
    const shown = (n: number) => n.toFixed(5);
    const offer = fit.ok && apart && !each.inForce;
    return verdict({
      id: `log.learned.${each.what.replace(/\W+/g, "-")}`,
      stage: "log",
      subject: each.boards.map((id) => `strip:${id}`),
      level: offer ? "tight" : "holds",
      text: !fit.ok
        ? `Widths of ${each.name} do not speak yet`
        : each.inForce
          ? `Movement uses what was measured on ${each.name}`
          : apart
            ? `${sentence(each.name)} moves ${fit.coefficient > table ? "more" : "less"} than the table says`
            : `${sentence(each.name)} moves as the table says`,
      why: fit.ok
        ? `Measured ${shown(fit.coefficient)} ± ${shown(fit.uncertainty)} a percent from ${fit.readings} widths over ${fit.spread.toFixed(1)} % of moisture; the table gives ${shown(table)}.`
        : fit.why,
      limit: fit.ok ? Number(shown(table)) : null,
      actual: fit.ok ? Number(shown(fit.coefficient)) : null,
      unit: "a percent",
      source: "least squares on the log's widths, twice the standard error",
      remedies: offer
        ? [set(`Use ${shown(fit.coefficient)} for ${each.name}`, ["fitted"], taken(piece, each, today))]
        : [],
    });
  });
}
const sentence = (name: string) => name[0].toUpperCase() + name.slice(1);

function mistakes({ piece }: LogFacts): Verdict | null {
  const count = piece.log.filter((each) => each.kind === "mistake").length;
  return count === 0
    ? null
    : verdict({
        id: "log.mistakes",
        stage: "log",
        level: "holds",
        text: `${count} mistake${count > 1 ? "s" : ""} written down`,
        why: "The next piece starts from them.",
      });
}
