/** Where legs that go into the top stand: under it, with wood round their mortises, their feet out far enough and not too far. */
import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Staked } from "../../../joinery/staked";
import { keptAt } from "../../top/outline";
import type { BaseRuleFacts } from "../base";
import { rimAt } from "../leaning";
import { kneeRoomUnder } from "../knee-room";
import { pushAt, tipsBetween } from "../tips-between-feet";
import type { StakedLegs } from "./place";

type Facts = BaseRuleFacts<StakedLegs>;

const STANDS = {
  /** a foot past the top's rim is walked into, mm @source common practice */
  past: 30,
  trips: 80,
  /** wood between a mortise and the top's edge, in sizes of the mortise @source common practice: short grain breaks out */
  edge: { good: 1, least: 0.6 },
  /** free between two mortises, mm @source common practice */
  apart: 40,
  /** more of a splay than this mends nothing, degrees @source common practice */
  leans: 18,
};

const path = (...rest: string[]) => ["form", "staked", ...rest];
const sizeOf = ({ joints }: Pick<Facts, "joints">) =>
  joints.find((each): each is Staked => each.kind === "staked")?.size ?? 0;

/** All mortises moved inward by so much, mm. */
function movedIn({ form }: Pick<Facts, "form">, by: number): Remedy {
  const { stand, setIn } = form.staked;
  return stand === "round"
    ? set(`Set the mortises ${mm(setIn.rim + by)} in from the rim`, path("setIn", "rim"), setIn.rim + by)
    : {
        label: `Set the mortises ${mm(setIn.end + by)} in from the ends, ${mm(setIn.side + by)} from the sides`,
        patches: [
          { path: path("setIn", "end"), value: setIn.end + by },
          { path: path("setIn", "side"), value: setIn.side + by },
        ],
      };
}

/** The margin all round a mortise within the outline, mm: negative where its middle lies outside. */
function marginOf({ at, form, joints }: Facts): number {
  const size = sizeOf({ joints });
  const whole = { ...form.top, ...at.top };
  return Math.min(
    ...at.legs.map(({ from: { x, z } }) => {
      if (!keptAt(whole, x, -z, 0)) return -size / 2;
      let [low, high] = [0, 2000];
      while (high - low > 0.05) {
        const middle = (low + high) / 2;
        if (keptAt(whole, x, -z, middle)) low = middle;
        else high = middle;
      }
      return low - size / 2;
    }),
  );
}

export function headsFit(facts: Facts): Verdict {
  const { at, form } = facts;
  const size = sizeOf(facts);
  const margin = marginOf(facts);
  const between = Math.min(
    ...at.legs.flatMap((a, i) =>
      at.legs.slice(i + 1).map((b) => Math.hypot(a.from.x - b.from.x, a.from.z - b.from.z) - at.lean.level),
    ),
  );
  const low = at.under <= 0;
  const near = between < STANDS.apart;
  const least = STANDS.edge.least * size;
  const level: Level = low || near ? "fix" : grade(margin, "at least", STANDS.edge.good * size, least);
  const need = Math.ceil(STANDS.edge.good * size - margin);
  const { setIn } = form.staked;
  const fewest = Math.min(setIn.rim, setIn.end, setIn.side);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["staked-leg", "top"],
    level,
    text: low
      ? "The top is thicker than the whole is high"
      : near
        ? between <= 0
          ? "The legs run into one another"
          : `Only ${mm(between)} between two legs under the top`
        : margin < 0
          ? "A mortise runs out of the top"
          : `${mm(margin)} of top stay round the mortises`,
    why: `A mortise of ${mm(size)}: as much wood again stays between it and every edge, or the end grain behind it breaks out when a leg is kicked.`,
    limit: Math.round(STANDS.edge.good * size),
    actual: Math.round(margin),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || low
        ? []
        : near
          ? fewest > 60
            ? [movedIn(facts, -Math.min(fewest - 40, Math.ceil(STANDS.apart - between)))]
            : []
          : [movedIn(facts, need)],
  });
}

/** Feet past the rim are walked into. */
export function feetOut({ at, form }: Facts): Verdict {
  const round = form.top.outline === "ellipse";
  const past = Math.max(
    ...at.feet.map(({ x, z, length, width }) => {
      if (!round) return Math.max(Math.abs(x) + (length - at.top.length) / 2, Math.abs(z) + (width - at.top.width) / 2);
      const out = Math.hypot(x, z);
      return out + at.footSection / 2 - rimAt({ x: x / out, z: z / out }, at.top, true);
    }),
  );
  const level = grade(past, "at most", STANDS.past, STANDS.trips);
  const by = Math.ceil(past - STANDS.past);
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["staked-leg"],
    level,
    text: past > 0 ? `Feet stand ${mm(past)} past the top’s edge` : `Feet stay ${mm(-past)} inside the top’s edge`,
    why: `They stand ${mm(at.lean.out)} out from their mortises: past ${mm(STANDS.past)} a foot is walked into.`,
    limit: STANDS.past,
    actual: Math.round(past),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [movedIn({ form }, by)],
  });
}

export function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "top", one: "top", many: "top" },
    remedies: (good) => {
      const height = Math.ceil(good + at.top.thickness);
      return [set(`Make it ${height} mm high`, ["form", "height"], height)];
    },
  });
}

export function tips({ at, form, weight }: Facts): Verdict {
  const arms = at.feet.map(({ x, z }) => {
    const foot = Math.max(1e-9, Math.hypot(x, z));
    return { x: x / foot, z: z / foot, foot };
  });
  const { stand, setIn, legs } = form.staked;
  const less = (of: number) => Math.max(40, Math.floor(of / 2));
  const more = stand === "round" && legs < 6 ? [set(`Stand it on ${legs + 1} legs`, path("legs"), legs + 1)] : [];
  return tipsBetween({
    ...{ form, weight, subject: ["staked-leg", "top"] },
    pushed: pushAt({ arms, top: at.top }, weight, form.top.outline === "ellipse"),
    leaned:
      stand === "round"
        ? [
            set(`Set the mortises ${mm(less(setIn.rim))} in from the rim`, path("setIn", "rim"), less(setIn.rim)),
            ...more,
          ]
        : [
            {
              label: `Set the mortises in by ${mm(less(setIn.end))} and ${mm(less(setIn.side))}`,
              patches: [
                { path: path("setIn", "end"), value: less(setIn.end) },
                { path: path("setIn", "side"), value: less(setIn.side) },
              ],
            },
          ],
    sat: (by) => [...leaning({ at, form }, by), ...more],
  });
}

/** Feet so much farther out, mm: by the splay of their legs where that stays small, or with their mortises, at the edges it tips over. */
function leaning({ at, form }: Pick<Facts, "at" | "form">, by: number): Remedy[] {
  const { stand, splay, setIn } = form.staked;
  const wider = (now: number, out: number) => {
    const tan = Math.tan((now * Math.PI) / 180) + out / Math.max(1, at.under);
    return Math.ceil((Math.atan(tan) * 180) / Math.PI);
  };
  if (stand === "round") {
    // the line between two feet round the middle goes out by less than they do
    const out = wider(splay.out, 2 * by);
    return out <= STANDS.leans ? [set(`Splay the legs ${out}°`, path("splay", "out"), out)] : [];
  }
  const [foot] = at.feet;
  const way = at.top.length / 2 - Math.abs(foot.x) > at.top.width / 2 - Math.abs(foot.z) ? "end" : "side";
  const toward = `the ${way}s`;
  const more = wider(splay[way], by);
  const other = splay[way === "end" ? "side" : "end"];
  return [
    ...(Math.hypot(more, other) <= STANDS.leans
      ? [set(`Splay them ${more}° toward ${toward}`, path("splay", way), more)]
      : []),
    ...(setIn[way] - by >= STANDS.apart
      ? [set(`Set the mortises ${mm(setIn[way] - by)} in from ${toward}`, path("setIn", way), setIn[way] - by)]
      : []),
  ];
}
