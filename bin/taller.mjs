#!/usr/bin/env node
// npx taller: the command line, see bin/taller.ts.
import { register } from "tsx/esm/api";

register();
await import(new URL("./taller.ts", import.meta.url).href);
