/** Writes the demo's pieces anew as Taller writes them today: after a field was added, so that a piece goes out and comes in the same. */
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { readPiece, writePiece } from "../core/formats/piece-file";

const FOLDER = new URL("../demo/pieces/", import.meta.url);
const changed = readdirSync(FOLDER)
  .filter((name) => name.endsWith(".json"))
  .filter((name) => {
    const file = new URL(name, FOLDER);
    const text = readFileSync(file, "utf8");
    const read = readPiece(text);
    if (!read.ok) throw new Error(`${name}: ${read.message}`);
    const now = writePiece(read.piece);
    if (now !== text) writeFileSync(file, now);
    return now !== text;
  });
console.log(changed.length > 0 ? `Written anew: ${changed.join(", ")}` : "All are as they would be written today.");
