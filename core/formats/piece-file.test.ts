import { Ajv2020 } from "ajv/dist/2020";
import Ajv from "ajv";
import fc from "fast-check";
import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../piece/fresh";
import { PIECE_VERSION } from "../piece/schema";
import { pieceJsonSchema, readPiece, writePiece } from "./piece-file";

const piece = freshPiece("Dining table", "2026-11-23");
const text = writePiece(piece);
const refused = (given: string) => {
  const read = readPiece(given);
  if (read.ok) throw new Error("it was taken");
  return read.message;
};
const changed = (change: (json: Record<string, never>) => void) => {
  const json = JSON.parse(text);
  change(json);
  return JSON.stringify(json);
};

describe("a piece goes out and comes in identical", () => {
  it("byte by byte", () => {
    const read = readPiece(text);
    expect(read).toEqual({ ok: true, piece });
    if (read.ok) expect(writePiece(read.piece)).toBe(text);
  });
  it("a file of version 1 reads as it was meant: a solid top on buttons, faces alike", () => {
    const old = readFileSync("core/testing/piece-version-1.json", "utf8");
    const read = readPiece(old);
    if (!read.ok) throw new Error(read.message);
    const { form, joints, faces, name } = read.piece;
    expect([form.field, form.ends, form.use, joints.fastening, faces.below]).toEqual([
      "solid",
      "none",
      "table",
      "button",
      "alike",
    ]);
    expect(name).toBe((JSON.parse(old) as { name: string }).name);
    expect(JSON.parse(writePiece(read.piece)).version).toBe(PIECE_VERSION);
  });
  it("a file of version 3 reads as it was meant: its boards are the top's, its plates lie as they lay, it stands on legs without a shelf", () => {
    const old = JSON.parse(readFileSync("core/testing/piece-version-3.json", "utf8"));
    old.joints.figure8.longRails = "across";
    const read = readPiece(JSON.stringify(old));
    if (!read.ok) throw new Error(read.message);
    const { panels, joints, form } = read.piece;
    expect(panels).toEqual({ top: { ...old.panel, sawnFace: null } });
    expect(panels.top.strips.length).toBeGreaterThan(3);
    expect(joints.figure8).toEqual({
      centres: old.joints.figure8.centres,
      swing: old.joints.figure8.swing,
      lengthwise: "across",
    });
    expect([form.kind, form.shelf.kind, form.low.kind, form.leg.top]).toEqual([
      "leg-and-apron",
      "none",
      "none",
      "under",
    ]);
    expect(form.leg).toMatchObject(old.form.leg);
  });
  it.each([
    ["solid", "solid", "none", "none"],
    ["breadboard", "solid", "breadboards", "none"],
    ["channel", "solid", "none", "channels"],
    ["slatted", "slats", "none", "none"],
    ["framed", "solid", "frame", "none"],
  ])("a top of version 3 that was %s is a field of %s, at its ends %s, kept flat by %s", (construction, ...now) => {
    const old = JSON.parse(readFileSync("core/testing/piece-version-3.json", "utf8"));
    const read = readPiece(JSON.stringify({ ...old, form: { ...old.form, construction } }));
    if (!read.ok) throw new Error(read.message);
    const { field, ends, stiffener, breadboard } = read.piece.form;
    expect([field, ends, stiffener]).toEqual(now);
    expect(breadboard).toEqual(old.form.breadboard);
    expect(read.piece.kinds).toEqual({});
  });
  it("a top of version 3 that was nothing known is refused by its name", () => {
    const old = JSON.parse(readFileSync("core/testing/piece-version-3.json", "utf8"));
    const read = readPiece(JSON.stringify({ ...old, form: { ...old.form, construction: "woven" } }));
    expect(read.ok).toBe(false);
  });
  it("with a BOM before it", () => expect(readPiece(`\uFEFF${text}`).ok).toBe(true));
  it.each(readdirSync("demo/pieces"))("the demo's %s", (file) => {
    const given = readFileSync(`demo/pieces/${file}`, "utf8");
    const read = readPiece(given);
    expect(read.ok && writePiece(read.piece)).toBe(given);
  });
});

describe("a file that is wrong gets a sentence that names the field and the fix", () => {
  it("cut off", () => expect(refused(text.slice(0, 900))).toMatch(/ends in the middle.*Export it again/));
  it("not JSON", () => expect(refused("length;width\n1;2")).toMatch(/not JSON.*Choose the file/));
  it("ten megabytes of nonsense", () => expect(refused("x".repeat(10_000_000))).toMatch(/10\.0 MB.*never over 2 MB/));
  it("another program's JSON", () => expect(refused('{"hello": 1}')).toMatch(/“format” should be “taller-piece”/));
  it("an array, null, a number", () => {
    for (const each of ["[]", "null", "7"]) expect(refused(each)).toMatch(/holds no piece/);
  });
  it("a newer version", () =>
    expect(
      refused(
        changed((json) => {
          json["version"] = 9 as never;
        }),
      ),
    ).toMatch(/version 9.*up to 4.*up to date/));
  it("an older version", () =>
    expect(
      refused(
        changed((json) => {
          json["version"] = 0 as never;
        }),
      ),
    ).toMatch(/version 0.*Export it again/));
  it("a version that is no number", () =>
    expect(
      refused(
        changed((json) => {
          json["version"] = "1" as never;
        }),
      ),
    ).toMatch(/whole number/));
  it("a zero size", () =>
    expect(refused(text.replace('"thickness": 28', '"thickness": 0'))).toBe(
      "In the field “form.top.thickness”: Top thickness must be 6 mm at least.",
    ));
  it("a negative size", () =>
    expect(refused(text.replace('"length": 1800', '"length": -5'))).toMatch(/form\.top\.length.*200 mm at least/));
  it("a size that is text", () =>
    expect(refused(text.replace('"length": 1800', '"length": "long"'))).toMatch(
      /form\.top\.length”: Top length must be a number of mm/,
    ));
  it("a field that is missing", () => expect(refused(text.replace(/ +"reveal": 5,\n/, ""))).toMatch(/reveal/));
  it("a field too many", () =>
    expect(refused(text.replace('"format"', '"colour": 1,\n  "format"'))).toMatch(/colour”: Taller has no such field/));
  it("a day that is not in the calendar", () =>
    expect(refused(text.replace('"day": "2026-11-23"', '"day": "2026-02-30"'))).toMatch(/not a day of the calendar/));
  it("humidity over 100", () => {
    const own = JSON.stringify({
      kind: "own",
      months: Array.from({ length: 12 }, (_, i) => ({ temperature: 20, humidity: i === 3 ? 130 : 50 })),
    });
    expect(
      refused(
        changed((json) => {
          (json["brief"] as { climate: unknown }).climate = JSON.parse(own);
        }),
      ),
    ).toMatch(/months \[4\]\.humidity.*Relative humidity runs from 1 to 99/);
  });
  it("whatever is done to the text, it is read or refused, never thrown", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: text.length }),
        fc.integer({ min: 0, max: 60 }),
        fc.string({ maxLength: 12 }),
        (from, cut, put) => {
          const read = readPiece(text.slice(0, from) + put + text.slice(from + cut));
          if (!read.ok) expect(read.message).toMatch(/^[A-Z].*\.$/s);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe("the published schema (read by an independent validator)", () => {
  const schema = pieceJsonSchema();
  const Validator = String(schema.$schema ?? "").includes("2020") ? Ajv2020 : Ajv;
  const validate = new Validator({ strict: false, validateFormats: false }).compile(schema);

  it("takes what Taller writes", () => {
    expect(validate(JSON.parse(text)), JSON.stringify(validate.errors)).toBe(true);
  });
  it.each([
    ["a zero size", '"length": 1800', '"length": 0'],
    ["a word for a number", '"seats": {', '"seats": 4, "x": {'],
    ["another version", '"version": 4', '"version": 5'],
    ["an unknown choice", '"oil-wax"', '"paint"'],
  ])("refuses %s", (_, from, to) => {
    expect(text).toContain(from);
    expect(validate(JSON.parse(text.replace(from, to)))).toBe(false);
  });
});
