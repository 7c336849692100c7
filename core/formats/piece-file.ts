/** A piece as one JSON file, out and in again. */
import { toJsonSchema } from "@valibot/to-json-schema";
import * as v from "valibot";
import { firstFault } from "../piece/fields";
import { upgraded } from "../piece/upgrade";
import { Piece, PIECE_FORMAT, PIECE_VERSION, pieceSchema } from "../piece/schema";

/** A file larger than this is no piece, bytes. */
export const LARGEST_PIECE_FILE = 2_000_000;
/** A piece holds so many letters at most, written as JSON: a long log, every list full. */
const LARGEST_PIECE = 1_000_000;

/** Why a piece is too much to keep, as a sentence; null when it is not. */
export const oversize = (piece: Piece): string | null =>
  JSON.stringify(piece).length > LARGEST_PIECE
    ? `This piece holds more than ${LARGEST_PIECE / 1e6} MB. Shorten its log, or begin another piece.`
    : null;

export type ReadPiece = { ok: true; piece: Piece } | { ok: false; message: string };

/** The file's text: keys in the schema's order, two spaces, so that two exports can be compared line by line. */
export function writePiece(piece: Piece): string {
  return `${JSON.stringify(v.parse(pieceSchema, piece), null, 2)}\n`;
}

/** Reads an exported piece. Whatever is wrong comes back as one sentence that names the field and the fix. */
export function readPiece(text: string): ReadPiece {
  if (text.length > LARGEST_PIECE_FILE)
    return refuse(
      `This file is ${(text.length / 1e6).toFixed(1)} MB; a piece is never over ${LARGEST_PIECE_FILE / 1e6} MB. Choose the JSON file that Taller exported.`,
    );
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    const cut =
      text
        .replace(/^\uFEFF/, "")
        .trimStart()
        .startsWith("{") && !text.trimEnd().endsWith("}");
    return refuse(
      cut
        ? "The file ends in the middle: it was cut off while it was saved or sent. Export it again."
        : "This is not JSON. Choose the file that Taller exported.",
    );
  }
  return checkPiece(json);
}

/** The same for a value that is already parsed. */
export function checkPiece(given: unknown): ReadPiece {
  const json = upgraded(given);
  if (json === null || typeof json !== "object" || Array.isArray(json))
    return refuse("The file holds no piece. Choose the JSON file that Taller exported.");
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== PIECE_FORMAT)
    return refuse(`The field “format” should be “${PIECE_FORMAT}”. Choose the JSON file that Taller exported.`);
  if (typeof version !== "number" || !Number.isInteger(version))
    return refuse("The field “version” should be a whole number.");
  if (version > PIECE_VERSION)
    return refuse(
      `The file is of version ${version}; this Taller reads up to ${PIECE_VERSION}. Bring Taller up to date.`,
    );
  if (version < PIECE_VERSION)
    return refuse(
      `The file is of version ${version}, from before Taller's first; there is nothing that reads it. Export it again.`,
    );
  const fault = firstFault(pieceSchema, json);
  if (fault) return refuse(`In the field “${fault.field}”: ${fault.message}`);
  const piece = v.parse(pieceSchema, json);
  const much = oversize(piece);
  return much ? refuse(much) : { ok: true, piece };
}

/** The published JSON Schema of a piece file. */
export function pieceJsonSchema(): Record<string, unknown> {
  const schema = toJsonSchema(pieceSchema, { errorMode: "ignore" }) as Record<string, unknown>;
  return {
    ...schema,
    $id: `urn:taller:piece:${PIECE_VERSION}`,
    title: `Taller piece, version ${PIECE_VERSION}`,
    description: "Lengths in mm, moisture in percent of dry mass, temperatures in °C, dates as YYYY-MM-DD.",
  };
}

const refuse = (message: string): ReadPiece => ({ ok: false, message });
