/** What must pass under a piece, stand on it or come down on it, held against the parts as they stand. */
import { AssemblyPart, standingBody } from "../assembly/part";
import { boundsOf, stood } from "../assembly/solid";
import type { Thing } from "../piece/brief-choices";
import type { Brief, Form } from "../piece/schema";
import { mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import type { PieceGeometry } from "../construction/geometry";

interface ThingFacts {
  brief: Pick<Brief, "things">;
  form: Pick<Form, "height">;
  top: PieceGeometry["top"];
  /** how far feet lift the parts off the floor, mm */
  lifted?: number;
  parts: readonly AssemblyPart[];
}

/** A part's box in the piece: from and to along x, y and z, mm. */
interface Box {
  name: string;
  kind: string;
  least: readonly number[];
  most: readonly number[];
}
const known = new WeakMap<AssemblyPart, Box>();
/** As it stands in the piece: what of it lies in another is in nothing's way. A part that stays what it was is not looked at again. */
function boxOf(part: AssemblyPart): Box {
  const before = known.get(part);
  if (before) return before;
  const { least, most } = boundsOf(stood(standingBody(part), part.place));
  const box = { name: part.name, kind: part.kind, least, most };
  known.set(part, box);
  return box;
}

/** On feet: what stood on the floor reaches down to it by them. */
const raised = (box: Box, by: number): Box => ({
  ...box,
  least: box.least.map((each, axis) => (axis === 1 && each > 0.5 ? each + by : each)),
  most: box.most.map((each, axis) => (axis === 1 ? each + by : each)),
});

/** One verdict for each thing, in their order. */
export function thingRules({ brief, form, top, lifted = 0, parts }: ThingFacts): Verdict[] {
  if (brief.things.length === 0) return [];
  const boxes = parts.map(boxOf).map((box) => (lifted > 0 ? raised(box, lifted) : box));
  return brief.things.map((thing, i) => {
    const facts = { thing, id: `brief.thing-${i + 1}` };
    if (thing.how === "on") return standsOn(facts, top);
    return thing.how === "down" ? comesDown(facts, form) : passesUnder(facts, top, boxes);
  });
}

interface One {
  thing: Thing;
  id: string;
}

/** The widest free way under the piece at the height a thing needs, and the free height over its middle where it is too low; mm. */
export function wayUnder(
  thing: Pick<Thing, "how" | "length" | "width" | "height" | "gap">,
  top: PieceGeometry["top"],
  boxes: readonly Pick<Box, "least" | "most" | "name">[],
): { wide: number; free: number; beside: string[]; above: string } {
  const side = thing.how === "under-side";
  const [along, into] = side ? [0, 2] : [2, 0];
  const [long, deep] = side ? [top.length, top.width] : [top.width, top.length];
  // it goes in from the front, or from the left end, as far as it is wide
  const [from, to] = side ? [deep / 2 - thing.width, deep / 2] : [-deep / 2, thing.width - deep / 2];
  const near = boxes.filter(({ least, most }) => most[into] > from + 1e-6 && least[into] < to - 1e-6);
  const low = near
    .filter(({ least }) => least[1] < thing.height + thing.gap - 1e-6)
    .sort((a, b) => a.least[along] - b.least[along]);
  let [reached, wide, beside] = [-long / 2, 0, [] as string[]];
  let last = "";
  const open = (until: number, name: string) => {
    if (until - reached > wide) [wide, beside] = [until - reached, [last, name].filter(Boolean)];
  };
  for (const { least, most, name } of low) {
    open(least[along], name);
    if (most[along] > reached) [reached, last] = [most[along], name];
  }
  open(long / 2, "");
  const middle = near.filter(
    ({ least, most }) => least[along] < thing.length / 2 && most[along] > -thing.length / 2 && least[1] > 0.5,
  );
  const above = middle.reduce<(typeof near)[number] | null>(
    (a, b) => (a === null || b.least[1] < a.least[1] ? b : a),
    null,
  );
  return { wide, free: above?.least[1] ?? Infinity, beside, above: above?.name.toLowerCase() ?? "" };
}

function passesUnder({ thing, id }: One, top: PieceGeometry["top"], boxes: readonly Box[]): Verdict {
  const { length, height, gap, how } = thing;
  const { wide, free, beside, above } = wayUnder(thing, top, boxes);
  const needed = length + 2 * gap;
  const fits = wide >= needed - 1e-6;
  // what lies across its whole way is too low; what stands beside it leaves too little
  const tooLow = !fits && free < height + gap;
  const where = how === "under-side" ? "from a long side" : "from an end";
  return verdict({
    id,
    stage: "brief",
    subject: ["room", ...(fits ? [] : ["leg"])],
    level: fits ? "holds" : wide >= length || (tooLow && free >= height) ? "tight" : "fix",
    text: fits
      ? `${thing.name} goes under ${where}`
      : tooLow
        ? `${thing.name} is ${mm(height)} high, and the ${above} leaves ${mm(Math.max(0, free))}`
        : `${thing.name} is ${mm(length)} long, and ${mm(wide)} ${wide === 0 ? "is free" : "are free"} ${where}`,
    why: `${mm(length)} by ${mm(height)}, with ${mm(gap)} free beside and above it: ${mm(needed)} are needed at a height of ${mm(height + gap)}${beside.length > 0 ? `, between ${beside.map((each) => each.toLowerCase()).join(" and ")}` : ""}.`,
    limit: tooLow ? height + gap : needed,
    actual: Math.round(tooLow ? Math.min(free, 1e5) : wide),
    sense: "at least",
    unit: "mm",
    source: "derived: the parts' boxes against the thing's, pushed in from the edge of the top",
    remedies: fits ? [] : roomier({ thing, tooLow, free, wide }, top),
  });
}

/** A higher piece, or a longer one. */
function roomier(
  { thing, tooLow, free, wide }: { thing: Thing; tooLow: boolean; free: number; wide: number },
  top: PieceGeometry["top"],
): Remedy[] {
  if (tooLow) return []; // a rail or the top itself: the form stage says what makes room below it
  const dimension = thing.how === "under-side" ? "length" : "width";
  const longer = Math.ceil((top[dimension] + thing.length + 2 * thing.gap - wide) / 5) * 5;
  return Number.isFinite(free) || wide > 0
    ? [set(`Make the top ${longer} mm ${dimension === "length" ? "long" : "wide"}`, ["form", "top", dimension], longer)]
    : [];
}

function standsOn({ thing, id }: One, top: PieceGeometry["top"]): Verdict {
  const [long, wide] = [thing.length + 2 * thing.gap, thing.width + 2 * thing.gap];
  const over = Math.max(long - top.length, wide - top.width);
  const hangs = Math.max(thing.length - top.length, thing.width - top.width) > 0;
  const [dimension, needed] =
    long - top.length >= wide - top.width ? (["length", long] as const) : (["width", wide] as const);
  return verdict({
    id,
    stage: "brief",
    subject: ["top"],
    level: over <= 0 ? "holds" : hangs ? "fix" : "tight",
    text: over <= 0 ? `${thing.name} stands on the top` : `${thing.name} wants ${mm(over)} more of top`,
    why: `${mm(thing.length)} by ${mm(thing.width)}, with ${mm(thing.gap)} free around it, on a top of ${mm(top.length)} by ${mm(top.width)}.`,
    limit: needed,
    actual: Math.round(top[dimension]),
    sense: "at least",
    unit: "mm",
    remedies:
      over > 0
        ? [
            set(
              `Make the top ${needed} mm ${dimension === "length" ? "long" : "wide"}`,
              ["form", "top", dimension],
              needed,
            ),
          ]
        : [],
  });
}

function comesDown({ thing, id }: One, form: Pick<Form, "height">): Verdict {
  const have = thing.height - form.height;
  const lower = thing.height - thing.gap;
  return verdict({
    id,
    stage: "brief",
    subject: ["top", "height"],
    level: have >= thing.gap ? "holds" : have >= 0 ? "tight" : "fix",
    text:
      have >= 0
        ? `${thing.name} comes down to ${mm(have)} over the top`
        : `${thing.name} meets the top ${mm(-have)} before it is down`,
    why: `It comes to ${mm(thing.height)} above the floor, the top stands at ${mm(form.height)}; ${mm(thing.gap)} are to stay between them.`,
    limit: thing.gap,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      have < thing.gap && lower >= 150
        ? [
            {
              label: `Make it ${mm(lower)} high`,
              patches: [
                { path: ["form", "height"], value: lower },
                { path: ["brief", "topHeight"], value: lower },
              ],
            },
          ]
        : [],
  });
}
