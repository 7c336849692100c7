/** The worked examples of docs/add.md: each compiles under the project's own rules, and gives what it says. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import ts from "typescript";
import { afterAll, beforeAll, describe, expect, it } from "vitest";

const EXAMPLES = [...readFileSync("docs/add.md", "utf8").matchAll(/## (.+?)\n[\s\S]*?```ts\n([\s\S]*?)```/g)].map(
  ([, name, code]) => [name, code] as const,
);
// beside the tests, so that what an example imports is found from where it says
const FOLDER = mkdtempSync(resolve("tests", "examples-"));
afterAll(() => rmSync(FOLDER, { recursive: true }));

const pathOf = (name: string) => join(FOLDER, `${name.replace(/\W+/g, "-")}.ts`);
const WRONG =
  'import { joined } from "../../core/assembly/meeting";\nexport const example: number = joined([], "x");\n';

/** What the compiler says of each file, a line each; all are read in one go, since each leans on most of the core. */
function faultsOf(paths: string[]): Map<string, string[]> {
  const { config } = ts.readConfigFile("tsconfig.json", (file) => ts.sys.readFile(file));
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, process.cwd());
  const program = ts.createProgram(paths, { ...options, noEmit: true, incremental: false, tsBuildInfoFile: undefined });
  return new Map(
    paths.map((path) => [
      path,
      ts
        .getPreEmitDiagnostics(program, program.getSourceFile(path))
        .filter((each) => each.file?.fileName === path)
        .map((each) => ts.flattenDiagnosticMessageText(each.messageText, "\n")),
    ]),
  );
}

describe("docs/add.md", () => {
  let faults: Map<string, string[]>;
  beforeAll(() => {
    for (const [name, code] of [...EXAMPLES, ["wrong", WRONG] as const]) writeFileSync(pathOf(name), code);
    faults = faultsOf([...EXAMPLES.map(([name]) => pathOf(name)), pathOf("wrong")]);
  }, 60_000);

  it("has one for a joint, a way to fasten a top, a construction and a stage", () =>
    expect(EXAMPLES.map(([name]) => name)).toEqual([
      "A kind of joint",
      "A way to fasten a top",
      "A construction",
      "A stage",
    ]));
  it.each(EXAMPLES)("%s", async (name) => {
    expect(faults.get(pathOf(name))).toEqual([]);
    const { example } = (await import(pathOf(name))) as { example: boolean };
    expect(example).toBe(true);
  });
  it("an example that is wrong is found out", () => expect(faults.get(pathOf("wrong"))!.length).toBeGreaterThan(0));
});
