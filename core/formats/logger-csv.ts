/** The log of a thermo-hygrometer as CSV: any sensible column names, any interval, °C or °F. */
import type { MonthAir } from "../climate/rooms";
import { MONTHS } from "../climate/rooms";
import { Bounds, quoted, readTable, squeezed } from "./csv";
import { dayOrderOf, isoDay, readStamp } from "./stamp";

export interface LoggerReading {
  at: number;
  temperature: number;
  humidity: number;
}

export type ReadLogger =
  | { ok: false; message: string }
  | {
      ok: true;
      readings: LoggerReading[];
      from: string;
      to: string;
      /** means of the months the log covers, January first; null where it has too few days */
      months: (MonthAir | null)[];
      /** lines that were left out, each with its reason */
      faults: { line: number; message: string }[];
      /** what should be known about the rest: gaps, months missing, units taken */
      notes: string[];
    };

/** Days a month must have before its mean is believed. */
export const LEAST_DAYS = 7;
/** A pause is a gap when it is longer than so many intervals, and than so many hours. */
const GAP = { intervals: 3, hours: 6 };
/** What a log may hold: a reading every minute for a year. Ours. */
const BOUNDS: Bounds = { letters: 45_000_000, rows: 600_000, columns: 60, cell: 1000 };
/** Lines above the header that a logger may write about itself. */
const PREAMBLE = 40;

const NAMES = {
  time: /^(?!.*(zone|elapsed)).*(date|time|stamp|datum|zeit|fecha|hora|heure)/i,
  clock: /^\s*(time|zeit|hora|heure|uhrzeit|clock)\b/i,
  temperature: /^(?!.*(dew|wet|probe 2|max|min)).*(temp|celsius|fahrenheit|°\s*[cf]|^t$|^t\s*[([])/i,
  humidity: /^(?!.*(dew|abs|max|min)).*(humid|\bhum\b|feuchte|humedad|humidit|\brh\b|r\.h|rel|^h$|%)/i,
};

/**
 * Reads a log. Rows that can't be are left out with a sentence; a file whose meaning is in doubt, such as two units in one
 * column, is refused whole, since half of it would be nonsense.
 */
export function readLogger(text: string): ReadLogger {
  const clean = text.replace(/^\uFEFF/, "");
  if (clean.trim() === "") return refuse("The file is empty. Export the log again as CSV.");
  const delimiter = [";", "\t", ","]
    .map((each) => ({ each, count: clean.slice(0, 4000).split(each).length }))
    .reduce((a, b) => (b.count > a.count * 1.2 ? b : a)).each;
  const table = readTable(clean, BOUNDS, delimiter);
  if (!table.ok) return refuse(table.message);
  const { rows } = table;
  const headerAt = rows
    .slice(0, PREAMBLE)
    .findIndex(
      (cells) =>
        cells.some((cell) => NAMES.temperature.test(cell)) &&
        cells.some((cell) => NAMES.humidity.test(cell)) &&
        cells.some((cell) => NAMES.time.test(cell)),
    );
  if (headerAt < 0)
    return refuse(
      "No line names the columns. One line should name a date or time, a temperature and a humidity, such as “Date;Temperature °C;Humidity %”.",
    );
  const header = rows[headerAt].map((cell) => squeezed(cell));
  const temperatureAt = header.findIndex((cell) => NAMES.temperature.test(cell));
  const humidityAt = header.findIndex((cell, i) => i !== temperatureAt && NAMES.humidity.test(cell));
  const timeAt = header.findIndex((cell, i) => i !== temperatureAt && i !== humidityAt && NAMES.time.test(cell));
  const clockAt = header.findIndex(
    (cell, i) => i !== timeAt && i !== temperatureAt && i !== humidityAt && NAMES.clock.test(cell),
  );
  if (humidityAt < 0 || timeAt < 0)
    return refuse("The header names no humidity, or no date. Name them, such as “Date;Temperature °C;Humidity %”.");
  const body = rows
    .slice(headerAt + 1)
    .map((cells, i) => ({ line: headerAt + 2 + i, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ""));
  if (body.length === 0) return refuse("The log has a header and no readings.");
  const stamp = (cells: string[]) =>
    squeezed(`${cells[timeAt] ?? ""}${clockAt >= 0 ? ` ${cells[clockAt] ?? ""}` : ""}`);
  const order = dayOrderOf(body.map(({ cells }) => stamp(cells)));
  const unit = unitOf(
    header[temperatureAt],
    body.map(({ cells }) => squeezed(cells[temperatureAt])),
  );
  if ("message" in unit) return refuse(unit.message);
  const humidities = body
    .map(({ cells }) => decimal(cells[humidityAt]))
    .filter((each): each is number => each !== null);
  const share = humidities.length > 0 && humidities.every((each) => each <= 1) && !/%/.test(header[humidityAt]);
  const faults: { line: number; message: string }[] = [];
  const notes: string[] = [];
  const readings: LoggerReading[] = [];
  let [twice, back] = [0, 0];
  for (const { line, cells } of body) {
    const at = readStamp(stamp(cells), order);
    const raw = decimal(cells[temperatureAt]);
    const wet = decimal(cells[humidityAt]);
    const fault = (message: string) => faults.push({ line, message });
    if (at === null) {
      fault(`${quoted(stamp(cells))} is not a date and time Taller can read. Write it such as 2027-01-31 14:00.`);
      continue;
    }
    if (raw === null || wet === null) {
      fault(`The ${raw === null ? "temperature" : "humidity"} is missing or not a number.`);
      continue;
    }
    const temperature = unit.fahrenheit ? ((raw - 32) * 5) / 9 : raw;
    const humidity = share ? wet * 100 : wet;
    if (humidity < 0 || humidity > 100) {
      fault(`A relative humidity of ${wet} % can't be: it runs from 0 to 100.`);
      continue;
    }
    if (temperature < -40 || temperature > 60) {
      fault(`A temperature of ${raw} ${unit.fahrenheit ? "°F" : "°C"} can't be a room's.`);
      continue;
    }
    const before = readings.at(-1);
    if (before && at === before.at) {
      twice += 1;
      continue;
    }
    if (before && at < before.at) {
      back += 1;
      fault(`The time goes back from ${stampOf(before.at)} to ${stampOf(at)}: was the clock set?`);
      continue;
    }
    readings.push({ at, temperature, humidity });
  }
  if (readings.length === 0)
    return refuse(`None of the ${body.length} lines could be read. Line ${faults[0].line}: ${faults[0].message}`);
  if (unit.note) notes.push(unit.note);
  if (share) notes.push("Humidity was written as a share of one and is read as percent.");
  if (twice > 0) notes.push(`${twice} time${twice > 1 ? "s stand" : " stands"} twice; the first reading counts.`);
  if (back > 0)
    notes.push(`${back} line${back > 1 ? "s go" : " goes"} back in time and ${back > 1 ? "are" : "is"} left out.`);
  notes.push(...gapNotes(readings));
  const months = monthsOf(readings);
  const missing = months.flatMap((month, i) => (month ? [] : [MONTHS[i]]));
  if (missing.length === 12)
    return refuse(`The log covers no month: each needs readings on ${LEAST_DAYS} days at least.`);
  if (missing.length > 0)
    notes.push(
      `${missing.length === 1 ? `${missing[0]} is` : `${missing.slice(0, -1).join(", ")} and ${missing.at(-1)} are`} missing or too short; there the climate you name stands in.`,
    );
  return { ok: true, readings, from: isoDay(readings[0].at), to: isoDay(readings.at(-1)!.at), months, faults, notes };
}

/** °C or °F for the whole column, from its name, from units beside the numbers, or from what a room can be. */
function unitOf(
  name: string,
  cells: readonly string[],
): { fahrenheit: boolean; note: string | null } | { message: string } {
  const marked = {
    c: cells.some((cell) => /°?\s*c\s*$/i.test(cell)),
    f: cells.some((cell) => /°?\s*f\s*$/i.test(cell)),
  };
  const mixed = "The temperature column holds two units, °C and °F. Export it again in one of them.";
  if (marked.c && marked.f) return { message: mixed };
  const named = /fahrenheit|°\s*f|\(f\)|\[f\]|_f$/i.test(name)
    ? "f"
    : /celsius|°\s*c|\(c\)|\[c\]|_c$/i.test(name)
      ? "c"
      : null;
  if ((named === "f" && marked.c) || (named === "c" && marked.f)) return { message: mixed };
  if (named || marked.c || marked.f) return { fahrenheit: named === "f" || marked.f, note: null };
  const values = cells.map(decimal).filter((each): each is number => each !== null);
  const low = values.filter((each) => each <= 38).length;
  const high = values.filter((each) => each >= 48 && each < 120).length;
  if (low > 0.05 * values.length && high > 0.05 * values.length)
    return { message: `${mixed} (${low} readings look like °C, ${high} like °F.)` };
  return high > low
    ? { fahrenheit: true, note: "The temperatures name no unit and are read as °F: a room is not over 48 °C." }
    : { fahrenheit: false, note: null };
}

function gapNotes(readings: readonly LoggerReading[]): string[] {
  const pauses = readings.slice(1).map((each, i) => each.at - readings[i].at);
  if (pauses.length === 0) return [];
  const usual = pauses.slice().sort((a, b) => a - b)[Math.floor(pauses.length / 2)];
  const longest = Math.max(GAP.intervals * usual, GAP.hours * 3.6e6);
  const gaps = pauses.map((pause, i) => ({ pause, from: readings[i].at })).filter(({ pause }) => pause > longest);
  if (gaps.length === 0) return [];
  const worst = gaps.reduce((a, b) => (b.pause > a.pause ? b : a));
  const hours = worst.pause / 3.6e6;
  return [
    `${gaps.length} gap${gaps.length > 1 ? "s" : ""} in the log, the longest of ${hours >= 48 ? `${Math.round(hours / 24)} days` : `${Math.round(hours)} hours`} from ${isoDay(worst.from)}; nothing is made up for ${gaps.length > 1 ? "them" : "it"}.`,
  ];
}

/** Means of daily means, so that a day with many readings counts no more than one with few. */
function monthsOf(readings: readonly LoggerReading[]): (MonthAir | null)[] {
  const days = new Map<string, { temperature: number; humidity: number; count: number }>();
  for (const each of readings) {
    const key = isoDay(each.at);
    const day = days.get(key) ?? { temperature: 0, humidity: 0, count: 0 };
    days.set(key, {
      temperature: day.temperature + each.temperature,
      humidity: day.humidity + each.humidity,
      count: day.count + 1,
    });
  }
  return MONTHS.map((_, month) => {
    const mine = [...days]
      .filter(([day]) => Number(day.slice(5, 7)) === month + 1)
      .map(([, day]) => ({ temperature: day.temperature / day.count, humidity: day.humidity / day.count }));
    if (mine.length < LEAST_DAYS) return null;
    const mean = (of: (each: MonthAir) => number) =>
      Math.round((10 * mine.reduce((sum, each) => sum + of(each), 0)) / mine.length) / 10;
    return {
      temperature: mean((each) => each.temperature),
      humidity: Math.min(
        99,
        Math.max(
          1,
          mean((each) => each.humidity),
        ),
      ),
    };
  });
}

function decimal(text: string | undefined): number | null {
  const found = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*(?:%|°?\s*[cf])?\s*(?:rh)?\s*$/i.exec(squeezed(text));
  return found ? Number(found[1].replace(",", ".")) : null;
}

const stampOf = (ms: number) => new Date(ms).toISOString().slice(0, 16).replace("T", " ");
const refuse = (message: string): ReadLogger => ({ ok: false, message });
