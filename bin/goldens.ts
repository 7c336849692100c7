// npm run goldens: writes down anew what the held pieces give, and names those that moved. Each move is argued in the note.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { goldenFile, goldenOf, heldPlan, NAMES } from "../tests/goldens/golden";

mkdirSync(new URL(".", goldenFile("any")), { recursive: true });
for (const name of NAMES) {
  const text = `${JSON.stringify(goldenOf(heldPlan(name)), null, 1)}\n`;
  const before = existsSync(goldenFile(name)) ? readFileSync(goldenFile(name), "utf8") : "";
  if (text === before) continue;
  writeFileSync(goldenFile(name), text);
  console.log(`${name} ${before ? "moved" : "is written down"}`);
}
