import { readFileSync } from "node:fs";
import { checkRack, planFile } from "./plan-file";
import { pieceJsonSchema } from "../core/formats/piece-file";

const USE = `taller plan FILE.json [--rack RACK.csv] [--shop SHOP.json] [--today YYYY-MM-DD]   the whole derived plan as JSON
taller schema                                                                 the JSON Schema of a piece file`;

/** The command line: results to standard output, one sentence to standard error and exit code 2 when something is wrong. */
function main(args: string[]): number {
  const [command, file, ...rest] = args;
  if (command === "schema") {
    console.log(JSON.stringify(pieceJsonSchema(), null, 2));
    return 0;
  }
  if (command !== "plan" || !file) {
    console.error(USE);
    return 2;
  }
  const option = (name: string) => {
    const at = rest.indexOf(`--${name}`);
    return at < 0 ? null : (rest[at + 1] ?? "");
  };
  const result = planFile({
    text: read(file),
    today: option("today") ?? new Date().toISOString().slice(0, 10),
    rackText: option("rack") === null ? null : read(option("rack")!),
    shopText: option("shop") === null ? null : read(option("shop")!),
  });
  if (!result.ok) {
    console.error(result.message);
    return 2;
  }
  for (const line of checkRack(result)) console.error(line);
  console.log(JSON.stringify(result.plan, null, 2));
  return 0;
}

function read(path: string): string {
  try {
    return readFileSync(path, "utf8");
  } catch {
    console.error(`${path || "A file's name"} can't be read. Check the name.`);
    process.exit(2);
  }
}

process.exitCode = main(process.argv.slice(2));
