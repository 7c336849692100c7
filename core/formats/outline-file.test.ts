import { describe, expect, it } from "vitest";
import { circle, polygonOf, rectangle, Spot } from "../assembly/outline";
import { drawnThrough } from "../construction/top/points";
import { writeTemplates } from "./template-dxf";
import { fittedArcs } from "./fitted-arcs";
import { MOST_BYTES, readOutline } from "./outline-file";

const svg = (inside: string, size = 'width="700mm" height="500mm" viewBox="0 0 700 500"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${size}>${inside}</svg>`;
const read = (text: string, long: number | null = null) => {
  const found = readOutline("outline.svg", text, long);
  if (!found.ok) throw new Error(found.message);
  return found;
};
const fault = (text: string, long: number | null = null) => {
  const found = readOutline("outline.svg", text, long);
  return found.ok ? "read" : found.message;
};
const area = (points: ReturnType<typeof read>["points"]) => {
  const drawn = drawnThrough(points);
  if (!drawn.ok) throw new Error(drawn.fault);
  return drawn.loop.reduce((sum, [x, y], i) => {
    const [a, b] = drawn.loop[(i + 1) % drawn.loop.length];
    return sum + (x * b - a * y) / 2;
  }, 0);
};

describe("an outline from an SVG file", () => {
  it("a rectangle of 600 by 400 has four corners about its own middle, anticlockwise", () => {
    const { points, length, width } = read(svg('<rect x="30" y="40" width="600" height="400"/>'));
    expect([length, width]).toEqual([600, 400]);
    expect(points.map(({ x, y, rise }) => [Math.abs(x), Math.abs(y), rise])).toEqual(Array(4).fill([300, 200, 0]));
    expect(area(points)).toBeCloseTo(240_000, 6);
  });
  it("rounded corners of 50 are arcs that rise 50 (1 − √½)", () => {
    const { points } = read(svg('<rect width="600" height="400" rx="50"/>'));
    expect(points).toHaveLength(8);
    const rises = points.map(({ rise }) => rise).filter((rise) => rise !== 0);
    expect(rises).toHaveLength(4);
    for (const rise of rises) expect(rise).toBeCloseTo(50 * (1 - Math.SQRT1_2), 1);
    expect(area(points)).toBeCloseTo(600 * 400 - (4 - Math.PI) * 2500, -2);
  });
  it("a circle is few arcs of its own radius", () => {
    const { points, length } = read(svg('<circle cx="300" cy="250" r="200"/>'));
    expect(length).toBeCloseTo(400, 1);
    expect(points.length).toBeLessThan(6);
    // 0.1 mm all round would be a thousandth
    expect(Math.abs(area(points) / (Math.PI * 40_000) - 1)).toBeLessThan(0.001);
  });
  it("an ellipse stays within 0.1 mm of its line: its area is π a b", () => {
    const { points } = read(svg('<ellipse cx="350" cy="250" rx="340" ry="190"/>'));
    expect(points.length).toBeLessThan(40);
    expect(Math.abs(area(points) / (Math.PI * 340 * 190) - 1)).toBeLessThan(0.001);
  });
  it("y points down in the file and to the back in the plan: front stays front", () => {
    // a trapezoid that is wide below, as it is seen
    const { points } = read(svg('<path d="M100 0 H500 L600 400 H0 Z"/>'));
    const front = points.filter(({ y }) => y < 0).map(({ x }) => Math.abs(x));
    const back = points.filter(({ y }) => y > 0).map(({ x }) => Math.abs(x));
    expect([...new Set(front)]).toEqual([300]);
    expect([...new Set(back)]).toEqual([200]);
  });
  it("what is laid on it from outside counts: a group moved, scaled and turned", () => {
    const { length, width } = read(
      svg(
        '<g transform="translate(350 250)"><g transform="rotate(90) scale(2)"><rect width="100" height="200"/></g></g>',
      ),
    );
    expect(length).toBeCloseTo(400, 6);
    expect(width).toBeCloseTo(200, 6);
  });
  it("the inner of two comes first: turned, then drawn out twice as long", () => {
    const { length, width } = read(
      svg('<g transform="scale(2 1)"><g transform="rotate(90)"><rect width="100" height="300"/></g></g>'),
    );
    expect([length, width]).toEqual([600, 100]);
  });
  it("its size says its scale: 70 cm over 1400 units are half a millimetre each; inches as well", () => {
    expect(read(svg('<rect width="800" height="600"/>', 'width="70cm" viewBox="0 0 1400 1000"')).length).toBeCloseTo(
      400,
      6,
    );
    expect(read(svg('<rect width="20" height="10"/>', 'width="30in" viewBox="0 0 30 20"')).length).toBeCloseTo(508, 6);
  });
  it("the largest closed line is the outline; what else is in it is said", () => {
    const { length, said } = read(
      svg('<rect width="600" height="400"/><circle cx="300" cy="200" r="50"/><path d="M0 0 L50 50"/>'),
    );
    expect(length).toBe(600);
    expect(said).toEqual([
      "1 other closed lines are left out: holes are cut-outs here.",
      "1 lines that are not closed are left out.",
    ]);
  });
  it("a length that is typed counts before the file's own", () => {
    expect(read(svg('<rect width="600" height="400"/>'), 900)).toMatchObject({ length: 900, width: 600 });
  });
});

describe("an outline from a DXF file", () => {
  const dxf = (entities: string, units = 4) =>
    `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
  const line = (a: Spot, b: Spot) => `0\nLINE\n8\n0\n10\n${a[0]}\n20\n${a[1]}\n11\n${b[0]}\n21\n${b[1]}\n`;
  it("a polyline with a bulge of tan 22.5° rounds its corner by a quarter circle", () => {
    const bulge = Math.tan(Math.PI / 8);
    const polyline = `0\nLWPOLYLINE\n8\n0\n90\n5\n70\n1\n${[
      [0, 0, 0],
      [550, 0, bulge],
      [600, 50, 0],
      [600, 400, 0],
      [0, 400, 0],
    ]
      .map(([x, y, b]) => `10\n${x}\n20\n${y}\n42\n${b}\n`)
      .join("")}`;
    const { points } = read(dxf(polyline));
    expect(points).toHaveLength(5);
    expect(points.find(({ rise }) => rise !== 0)!.rise).toBeCloseTo(50 * (1 - Math.SQRT1_2), 1);
  });
  it("lines that meet end to end are one outline, whichever way each was drawn", () => {
    const found = read(
      dxf(line([0, 0], [600, 0]) + line([600, 400], [600, 0]) + line([0, 400], [0, 0]) + line([600, 400], [0, 400])),
    );
    expect([found.length, found.width]).toEqual([600, 400]);
  });
  it("an arc that is run through from its other end still bows out", () => {
    const arc = "0\nARC\n8\n0\n10\n550\n20\n50\n40\n50\n50\n270\n51\n360\n";
    const { points } = read(
      dxf(
        line([550, 0], [0, 0]) +
          line([0, 0], [0, 400]) +
          line([0, 400], [600, 400]) +
          line([600, 400], [600, 50]) +
          arc,
      ),
    );
    // 0.1 mm along an arc of 79
    expect(Math.abs(area(points) - (600 * 400 - (1 - Math.PI / 4) * 2500))).toBeLessThan(8);
    expect(Math.max(...points.map(({ rise }) => rise))).toBeGreaterThan(5);
    expect(Math.min(...points.map(({ rise }) => rise))).toBe(0);
  });
  it("inches are inches; without units its length is asked", () => {
    const box = line([0, 0], [24, 0]) + line([24, 0], [24, 16]) + line([24, 16], [0, 16]) + line([0, 16], [0, 0]);
    expect(read(dxf(box, 1)).length).toBeCloseTo(609.6, 6);
    expect(fault(dxf(box, 0))).toContain("Type how long the outline is");
  });
  it("what Taller writes for a template, it reads", () => {
    const outline = { outer: rectangle(700, 300).outer, holes: [] };
    const text = writeTemplates([
      { id: "top", name: "Top", outline, half: false, size: { length: 700, width: 300 } } as never,
    ]);
    const found = read(text);
    expect([found.length, found.width]).toEqual([700, 300]);
  });
});

describe("what can't be an outline", () => {
  it.each([
    ["ten megabytes", svg("<!-- x -->".repeat(MOST_BYTES / 5)), "an outline has a few kB"],
    ["no scale", svg('<rect width="600" height="400"/>', 'viewBox="0 0 700 500"'), "how large it is in millimetres"],
    [
      "pixels are no scale",
      svg('<rect width="600" height="400"/>', 'width="700px" viewBox="0 0 700 500"'),
      "how large it is",
    ],
    ["an open line", svg('<path d="M0 0 L600 0 L600 400"/>'), "no line in it is closed"],
    ["nothing in it", svg("<text>Top</text>"), "no lines are in it"],
    ["far too small", svg('<rect width="6" height="4"/>'), "would be 6 by 4 mm"],
    [
      "larger than any top",
      svg('<rect width="600" height="400"/>', 'width="70000mm" viewBox="0 0 700 500"'),
      "a top is 60 to 6000",
    ],
    ["neither of them", "just words", "neither SVG nor DXF"],
    ["broken inside", "<svg width='10mm' viewBox='0 0 1 1'><path d='M 0 0 L ' /></svg>", "outline.svg: "],
    ["a path of words", svg('<path d="over there"/>'), "outline.svg: "],
    [
      "a saw blade",
      svg(
        `<polygon points="${Array.from({ length: 400 }, (_, i) => `${350 + (200 + 20 * (i % 2)) * Math.cos((i * Math.PI) / 200)},${250 + (200 + 20 * (i % 2)) * Math.sin((i * Math.PI) / 200)}`).join(" ")}"/>`,
      ),
      "has 120 at most",
    ],
  ])("%s", (_, text, words) => {
    expect(fault(text)).toContain(words);
  });
});

describe("arcs fitted to many short pieces", () => {
  it("a circle and a square are what they were, within the tolerance", () => {
    const round = polygonOf(circle([0, 0], 150), 0.001);
    const fitted = fittedArcs(round, 0.1);
    expect(fitted.length).toBeLessThanOrEqual(4);
    const drawn = polygonOf(
      fitted.map(({ at, rise }) => ({ at, rise })),
      0.01,
    );
    for (const [x, y] of drawn) expect(Math.abs(Math.hypot(x, y) - 150)).toBeLessThan(0.12);
    const square: Spot[] = [
      [0, 0],
      [5, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ];
    expect(fittedArcs(square, 0.1).map(({ at }) => at)).toEqual([
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ]);
  });
});
