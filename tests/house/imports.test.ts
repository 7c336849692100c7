/** The house keeps its shape: no circles of imports, types included, and what one construction knows stays in its folder. */
import { readdirSync, readFileSync, statSync } from "node:fs";
import { dirname, join, relative, resolve } from "node:path";
import { describe, expect, it } from "vitest";

const ROOT = resolve("core");
const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : path.endsWith(".ts") ? [path] : [];
  });
const FILES = filesIn(ROOT);
const SOURCES = FILES.filter((file) => !file.endsWith(".test.ts") && !file.endsWith(".d.ts"));

/** Files of ours that a file imports from, whether values or types. */
function importsOf(file: string): string[] {
  return [...readFileSync(file, "utf8").matchAll(/from "(\.[^"]+)"/g)].flatMap(([, to]) => {
    const base = resolve(dirname(file), to);
    const found = [`${base}.ts`, join(base, "index.ts")].find((path) => FILES.includes(path));
    return found ? [found] : [];
  });
}

/** Every group of files that import one another, each by its names in core/. @source Tarjan 1972: strongly connected components */
export function circles(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: string[] = [];
  const out: string[][] = [];
  const visit = (at: string) => {
    index.set(at, index.size);
    low.set(at, index.get(at)!);
    stack.push(at);
    for (const to of graph.get(at) ?? []) {
      if (!index.has(to)) visit(to);
      if (stack.includes(to)) low.set(at, Math.min(low.get(at)!, low.get(to)!));
    }
    if (low.get(at) !== index.get(at)) return;
    const group = stack.splice(stack.indexOf(at));
    if (group.length > 1 || graph.get(at)?.includes(at)) out.push(group);
  };
  for (const each of graph.keys()) if (!index.has(each)) visit(each);
  return out;
}

describe("core", () => {
  it("has no circles of imports", () => {
    const graph = new Map(SOURCES.map((file) => [file, importsOf(file)]));
    expect(circles(graph).map((group) => group.map((file) => relative(ROOT, file)).sort())).toEqual([]);
  });
  it("knows a circle when there is one", () =>
    expect(
      circles(
        new Map([
          ["a", ["b"]],
          ["b", ["c"]],
          ["c", ["a"]],
          ["d", ["a"]],
        ]),
      ),
    ).toHaveLength(1));
  it("knows of long rails only where legs and rails are made, and in tests", () => {
    const knowing = FILES.filter((file) => /long-?rail/i.test(readFileSync(file, "utf8")))
      .map((file) => relative(ROOT, file))
      .filter((file) => !file.startsWith("construction/base/leg-and-apron/") && !file.endsWith(".test.ts"))
      // records of earlier versions speak as they did
      .filter((file) => file !== "piece/upgrade.ts");
    expect(knowing).toEqual([]);
  });
});
