// Runs one of our TypeScript files: node bin/run.mjs FILE.ts ...
import { resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { register } from "tsx/esm/api";

register();
const [file, ...rest] = process.argv.slice(2);
process.argv = [process.argv[0], file, ...rest];
await import(pathToFileURL(resolve(file)).href);
