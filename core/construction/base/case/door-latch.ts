/** What keeps an inset door shut: a stop behind its upper edge, and a magnet or a ball in the side that swings. mm */
import { circle } from "../../../assembly/outline";
import type { Worked } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { SmallPart } from "../../../assembly/small";
import type { Vec } from "../../../assembly/vector";
import { fine, grade, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Case, Door } from "./case";
import { cut, PULL } from "./cut";
import { at, CaseFacts } from "./facts";

/** @source common practice: a disc magnet and its plate, a ball catch in its hole; a stop glued below what closes the opening above */
export const LATCH = {
  magnet: { across: 10, deep: 5.5, below: 10 },
  ball: { across: 8, deep: 14 },
  stop: { high: 24, thick: 10, beside: 2 },
  /** wood that stays beside and behind a hole */
  wall: { good: 3, least: 1.5 },
};

/** Where on the door it stands: in the middle of the side that swings. */
const swings = ({ hung, across, stile }: Door) => (hung < 0 ? across.to - stile / 2 : across.from + stile / 2);
const cylinder = (across: number, deep: number) => ({
  ...{ length: deep, width: across, thickness: across },
  end: { outer: circle([across / 2, across / 2], across / 2), holes: [] },
});

/** What it takes of the door: from its back for a magnet, from its upper edge for a ball. */
export function latchHoles(door: Door, part: Place): Worked[] {
  const x = swings(door);
  const { high, face, thickness, latch } = door;
  const bored = (): { shape: Worked["shape"]; place: Place } | null => {
    if (latch === "magnets") {
      const { across, deep, below } = LATCH.magnet;
      const r = across / 2;
      return {
        shape: cylinder(across, deep),
        place: { at: [x - r, high.to - below - r, face - thickness], x: [0, 0, 1], y: [1, 0, 0] },
      };
    }
    if (latch === "ball") {
      const { across, deep } = LATCH.ball;
      const r = across / 2;
      // down from the edge, to the right, out of the back
      return {
        shape: cylinder(across, deep),
        place: { at: [x - r, high.to, face - thickness / 2 + r], x: [0, -1, 0], y: [1, 0, 0] },
      };
    }
    return null;
  };
  const hole = bored();
  return hole
    ? [{ ...cut("latch", part, hole.shape, hole.place), when: "closed", markedFrom: "the catches that came" }]
    : [];
}

/** A stop for each opening, and what is bought for each leaf. */
export function latchSmall({ doors, bays }: Case): SmallPart[] {
  const opens: Vec = [0, 0, PULL.front / 2];
  const latched = doors.filter(({ latch }) => latch !== "none");
  const openings = [...new Map(latched.map((door) => [`${door.bay} ${door.row}`, door])).values()];
  const { high, thick, beside } = LATCH.stop;
  return [
    ...openings.map((door, i): SmallPart => {
      const { from, to } = bays[door.bay];
      return {
        ...{ id: `door-stop-${i + 1}`, name: "Door stop", plural: "Door stops", of: "wood", by: "latch", opens },
        shape: { length: to - from - 2 * beside, width: high, thickness: thick },
        place: {
          at: [from + beside, door.upper - high, door.face - door.thickness - thick],
          ...{ x: [1, 0, 0], y: [0, 1, 0] },
        },
      };
    }),
    ...latched.map((door): SmallPart => {
      const magnet = door.latch === "magnets";
      const { across, deep } = magnet ? LATCH.magnet : LATCH.ball;
      const r = across / 2;
      return {
        ...{ id: `latch-${door.n}`, of: "steel", by: "latch", opens, within: true },
        ...(magnet
          ? { name: "Magnet with its plate", plural: "Magnets with their plates" }
          : { name: "Ball catch with its plate", plural: "Ball catches with their plates" }),
        shape: cylinder(across, deep),
        place: magnet
          ? {
              at: [swings(door) - r, door.high.to - LATCH.magnet.below - r, door.face - door.thickness],
              ...{ x: [0, 0, 1], y: [1, 0, 0] },
            }
          : {
              at: [swings(door) - r, door.high.to, door.face - door.thickness / 2 + r],
              ...{ x: [0, -1, 0], y: [1, 0, 0] },
            },
      };
    }),
  ];
}

/** Something keeps an inset door shut, and its hole leaves wood round it. */
export function doorsLatch({ at: { doors } }: CaseFacts): Verdict | null {
  const inset = doors.filter(({ overlay }) => !overlay);
  const [first] = inset;
  if (!first) return null;
  const { latch, thickness, stile } = first;
  const known = { id: "form.door-latch", stage: "form", subject: ["door-stile", "door-panel"] } as const;
  if (latch === "none")
    return verdict({
      ...known,
      subject: [...known.subject],
      level: "tight",
      text: "Nothing keeps the doors shut, or stops them where they close",
      why: "A butt hinge holds a door nowhere: without a stop behind its upper edge it goes in too far and pulls its hinges, without a catch it stands open in a draught.",
      remedies: [
        set("Stop them, and hold them by magnets", at("doors", "latch"), "magnets"),
        set("Stop them, and hold them by ball catches", at("doors", "latch"), "ball"),
      ],
    });
  const left =
    latch === "magnets" ? thickness - LATCH.magnet.deep : Math.min(thickness, stile) / 2 - LATCH.ball.across / 2;
  const thicker = Math.ceil(
    latch === "magnets" ? LATCH.magnet.deep + LATCH.wall.good : LATCH.ball.across + 2 * LATCH.wall.good,
  );
  const level = grade(left, "at least", LATCH.wall.good, LATCH.wall.least);
  return verdict({
    ...known,
    subject: [...known.subject],
    level,
    text:
      level === "holds"
        ? `${latch === "magnets" ? "Magnets" : "Ball catches"} keep the doors shut against their stops`
        : `Only ${fine(left)} of door stay ${latch === "magnets" ? "behind a magnet" : "beside a ball catch"}`,
    why: `A stop ${mm(LATCH.stop.high)} high is glued below what closes the opening above, ${mm(thickness)} behind the case’s front; the catch stands in the side that swings.`,
    limit: LATCH.wall.good,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Doors ${mm(thicker)} thick`, at("doors", "thickness"), thicker)],
  });
}

/** What the step that hangs doors says of it. */
export const latchSaid = (latch: Door["latch"]): string =>
  latch === "none"
    ? ""
    : ` A stop ${mm(LATCH.stop.high)} high glued below what is over the opening, its face where the doors’ backs close${latch === "magnets" ? `; a magnet of ${mm(LATCH.magnet.across)} let in ${fine(LATCH.magnet.deep)} from behind, ${mm(LATCH.magnet.below)} below the upper edge of the side that swings, its plate in the stop` : `; a ball catch bored ${mm(LATCH.ball.deep)} down into the upper edge of the side that swings, its plate let in above`}.`;
