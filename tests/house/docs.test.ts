/** The worked examples of docs/add.md: each compiles under the project's own rules, and gives what it says. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import ts from "typescript";
import { afterAll, describe, expect, it } from "vitest";

const EXAMPLES = [...readFileSync("docs/add.md", "utf8").matchAll(/## (.+?)\n[\s\S]*?```ts\n([\s\S]*?)```/g)].map(
  ([, name, code]) => [name, code] as const,
);
// beside the tests, so that what an example imports is found from where it says
const FOLDER = mkdtempSync(resolve("tests", "examples-"));
afterAll(() => rmSync(FOLDER, { recursive: true }));

/** What the compiler says of a file, a line each. */
function faultsIn(path: string): string[] {
  const { config } = ts.readConfigFile("tsconfig.json", (file) => ts.sys.readFile(file));
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, process.cwd());
  const program = ts.createProgram([path], {
    ...options,
    noEmit: true,
    incremental: false,
    tsBuildInfoFile: undefined,
  });
  return ts
    .getPreEmitDiagnostics(program)
    .filter((each) => each.file?.fileName === path)
    .map((each) => ts.flattenDiagnosticMessageText(each.messageText, "\n"));
}

describe("docs/add.md", () => {
  it("has one for a joint, a way to fasten a top, a construction and a stage", () =>
    expect(EXAMPLES.map(([name]) => name)).toEqual([
      "A kind of joint",
      "A way to fasten a top",
      "A construction",
      "A stage",
    ]));
  it.each(EXAMPLES)(
    "%s",
    async (name, code) => {
      const path = join(FOLDER, `${name.replace(/\W+/g, "-")}.ts`);
      writeFileSync(path, code);
      expect(faultsIn(path)).toEqual([]);
      const { example } = (await import(path)) as { example: boolean };
      expect(example).toBe(true);
    },
    60_000,
  );
  it("an example that is wrong is found out", () => {
    const path = join(FOLDER, "wrong.ts");
    writeFileSync(
      path,
      'import { joined } from "../../core/assembly/meeting";\nexport const example: number = joined([], "x");\n',
    );
    expect(faultsIn(path).length).toBeGreaterThan(0);
  }, 60_000);
});
