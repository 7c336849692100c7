import { blindTenon, Meets, reachOf, TENON, TenonInputs } from "../../../joinery/blind-tenon";
import { DOWEL, dowelled } from "../../../joinery/dowelled";
import { EndJoint, endJoint } from "../../../joinery/end-joint";
import type { SettingCard } from "../../../joinery/joint";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import type { Shop } from "../../../piece/shop";
import { fine, mm, set } from "../../../verdict/verdict";
import { innerAt, legCut, outerAt, Way } from "./legs";
import { cutSaid, degrees, groupOf, nameOf } from "./parts";
import { isRing, placeSplayedFrame, SplayedFrame, waysOf } from "./place";
import { behindFace } from "./ring";
import { levelOf, shoulderOf, Stick } from "./sticks";

/** Tenons that come at one another in a leg stay so far apart, mm. @source common practice */
const APART = 2;
/** Loose tenons: one cut on a rail is aslant to its grain. */
const LOOSE: TenonChoice = { ...USUAL_TENON, kind: "loose" };

interface Sized {
  stick: Stick;
  /** one that enters the same leg beside it: in a round, of its own kind */
  other: Stick | null;
  choices: JointChoices;
  shop: Shop;
}

/** The joints of splayed legs under rails, a group at a time: all of them square to the cut they close. */
export function splayedFrameJoints(at: SplayedFrame, form: Form, choices: JointChoices, shop: Shop): EndJoint[] {
  const kinds = [...new Set([...at.rails, ...at.lows].map(({ kind }) => kind))];
  return kinds.map((kind) => {
    const all = [...at.rails, ...at.lows].filter((each) => each.kind === kind);
    const [stick] = all;
    const other = isRing(at.legs)
      ? stick
      : at.rails.includes(stick)
        ? at.rails.find(({ run }) => run !== stick.run)
        : undefined;
    const facts = { stick, other: other ?? null, choices, shop };
    const joint = sized(at, facts, 2 * all.length);
    return { ...joint, ...longer(at, form, facts, joint), sawnTo: [...sawnTo(at, stick), ...inLeg(at, stick, joint)] };
  });
}

function sized(at: SplayedFrame, { stick, other, choices, shop }: Sized, count: number): EndJoint {
  const group = groupOf(stick);
  const { width, thickness } = shoulderOf(stick, 1);
  const [receives] = group.split("+");
  const name = `${nameOf(stick)} to ${receives === "splayed-leg" ? "leg" : "end stretcher"}`;
  const meets: Meets = { id: group, group, name, receives, enters: stick.kind, count };
  const setting = choices.groups[group] ?? LOOSE;
  const inputs: TenonInputs = {
    ...{ meets, section: { width, thickness }, into: intoOf(at, stick, thickness), setting, shop },
    // a stretcher between others, or thin legs, is only ever pushed
    pushed: !at.rails.includes(stick),
  };
  const alone = endJoint(inputs);
  if (alone.kind === "pocket-screwed") return alone;
  const room = other ? passing(at, { stick, other, choices, shop }) : Infinity;
  // dowels of two rails pass one another, where one of both is of another kind; tenons stop short of the other's
  if (alone.kind === "dowelled") {
    if (isRing(at.legs)) return dowelled({ ...inputs, most: Math.max(1, room - DOWEL.deeper) });
    return other ? { ...dowelled({ ...inputs, raised: stick.run === "along" }), anyEnd: true } : alone;
  }
  const most = room - TENON.mortiseDeeper;
  const short = other ? { ...inputs, most: Math.max(1, Math.floor(most * 2) / 2) } : inputs;
  return setting.kind === "loose" ? besideSlot(short, stick) : endJoint(short);
}

/** What gives tenons that are too short more length: rails that lean as their legs do, or the thinnest legs in which they have it. */
function longer(at: SplayedFrame, form: Form, facts: Sized, joint: EndJoint): Pick<EndJoint, "longer"> {
  const { stick, choices, shop } = facts;
  if (joint.kind !== "blind-tenon" || !facts.other || !at.rails.includes(stick)) return {};
  const good = TENON.cheekLeast + 10;
  if (reachOf(joint) >= good) return {};
  const as = (changed: Partial<SplayedFrameChoices>): number => {
    const place = placeSplayedFrame({ ...form, splayedFrame: { ...at.choices, ...changed } }, []);
    const [first, other] = [stick, facts.other!].map(({ id }) => place.rails.find((each) => each.id === id)!);
    const made = sized(place, { stick: first, other, choices, shop }, joint.count);
    return made.kind === "blind-tenon" ? reachOf(made) : 0;
  };
  const leaning = { ...at.choices.rail, stands: "leaning" as const };
  const path = (...rest: string[]) => ["form", "splayedFrame", ...rest];
  const sections = Array.from({ length: 40 }, (_, i) => 5 * Math.ceil((at.choices.section + 1) / 5) + 5 * i);
  const section = sections.find((each) => each <= MOST_SECTION && as({ section: each }) >= good);
  return {
    longer: [
      ...(at.rail.leaning || as({ rail: leaning }) < TENON.cheekLeast
        ? []
        : [set("Let the rails lean with the legs", path("rail", "stands"), "leaning")]),
      ...(section ? [set(`Make the legs ${section} mm square`, path("section"), section)] : []),
    ],
  };
}

/** Thicker than this nobody makes a leg for the sake of its tenons, mm. Ours */
const MOST_SECTION = 120;

/** What lies behind a shoulder, and how thick it is there: the tenon stands off a leg's middle, so the nearer of its sides counts twice. */
function intoOf(at: SplayedFrame, stick: Stick, thickness: number): { depth: number; thickness: number } {
  const { legs } = at;
  if (!stick.holders[0].startsWith("L")) {
    const holder = at.lows.find(({ id }) => id === stick.holders[1])!;
    return { depth: holder.thickness, thickness: holder.upper - holder.lower };
  }
  const [beside, through] = waysOf(legs, stick);
  const heights = [stick.lower, stick.upper];
  const solid = (way: Way, y: number) => {
    if (!isRing(legs)) return (outerAt(legs, way, y) - innerAt(legs, way, y)) * way.cos;
    const most = stick.outer + stick.slope * (stick.upper - y) - innerAt(legs, beside, y);
    return behindFace(legs, { least: most - levelOf(stick), most }, y) * way.cos;
  };
  const least = Math.min(
    ...heights.flatMap((y) => {
      const out = stick.outer + stick.slope * (stick.upper - y);
      return [outerAt(legs, beside, y) - out, out - levelOf(stick) - innerAt(legs, beside, y)];
    }),
  );
  return {
    depth: Math.min(...heights.map((y) => solid(through, y))),
    thickness: thickness + 2 * least * beside.cos,
  };
}

/** How deep a rail may go before it meets the tenon of the one beside it: nearest at its lower edge, where legs have gone out from upright rails. */
function passing(at: SplayedFrame, { stick, other, choices, shop }: Sized & { other: Stick }): number {
  const { legs } = at;
  const [, way] = waysOf(legs, stick);
  const shoulder = shoulderOf(other, 1);
  const theirs = endJoint({
    meets: { id: "", group: "", name: "", receives: "splayed-leg", enters: other.kind, count: 1 },
    section: { width: shoulder.width, thickness: shoulder.thickness },
    into: intoOf(at, other, shoulder.thickness),
    setting: choices.groups[groupOf(other)] ?? LOOSE,
    shop,
  });
  const cheek = cheekOf(theirs);
  const least = [stick.lower, stick.upper].map((y) => {
    const inside = other.outer + other.slope * (other.upper - y) - levelOf(other) + cheek;
    if (!legs.ring) return (inside - innerAt(legs, way, y)) * way.cos - APART;
    // both stay on their own side of the plane from the leg's ridge outward
    const { sin, cos } = legs.ring;
    return ((inside * sin - innerAt(legs, way, y) * cos - APART / 2) / cos) * way.cos;
  });
  return Math.min(...least);
}

/** From a rail's inner face to the nearest of what goes into the leg, mm. */
const cheekOf = (joint: EndJoint): number =>
  joint.kind === "blind-tenon"
    ? joint.shoulders.face
    : joint.kind === "dowelled"
      ? joint.across[0] - joint.hole / 2
      : 0;

/** Slots square to an aslant end come nearer the rail's edge the deeper they go: they begin so much farther from it. */
function besideSlot(inputs: TenonInputs, { end: slope }: Stick): EndJoint {
  const usual = Math.min(TENON.lowerShoulder, inputs.section.width / 8);
  const first = blindTenon(inputs);
  const joint = blindTenon({ ...inputs, end: usual + slope * first.mortiseDepth });
  return {
    ...joint,
    anyEnd: true,
    walls: [
      ...joint.walls,
      {
        where: "beside its slot in the rail, at the slot’s bottom",
        left: joint.shoulders.end - slope * joint.mortiseDepth,
        ...{ good: Math.min(TENON.leastShoulder, usual), least: 2 },
      },
    ],
  };
}

/** What the saw is set to before any of it is slotted. */
function sawnTo({ legs }: SplayedFrame, stick: Stick): SettingCard["lines"] {
  const first = stick.kind === "splay-rail";
  return [
    { what: `${nameOf(stick)}, both ends`, setting: cutSaid(stick) },
    ...(stick.slope > 0
      ? [{ what: "Both edges bevelled, parallel", setting: degrees((Math.atan(stick.slope) * 180) / Math.PI) }]
      : []),
    {
      what: "Shoulder to shoulder, upper edge and lower edge",
      setting: `${fine(2 * stick.reach)} and ${fine(2 * (stick.reach + stick.end * (stick.upper - stick.lower)))}`,
    },
    ...(first ? legSawnTo(legs) : []),
  ];
}

function legSawnTo(legs: SplayedFrame["legs"]): SettingCard["lines"] {
  const { gauge, blade } = legCut(legs);
  const long = { what: "Leg, along each edge", setting: mm(legs.under * legs.stretch) };
  if (legs.ring)
    return [
      { what: "Leg, both ends, a side on the table", setting: `${degrees(gauge)} off square` },
      long,
      {
        what: "Leg, two faces planed off the inner one, to a ridge in its middle",
        setting: `${degrees(legs.backed)}, each ${fine(legs.section / 2 / Math.cos((legs.backed * Math.PI) / 180))} wide`,
      },
    ];
  return [
    {
      what: "Leg, both ends, front or back on the table",
      setting: `${degrees(gauge)} off square, the blade ${degrees(blade)} over`,
    },
    long,
    ...(legs.backed > 0.05 ? [{ what: "Leg, both end faces planed off square", setting: degrees(legs.backed) }] : []),
  ];
}

/** Where the mortise lies in the leg: as far from its outer face above as below, or walking away from it where the rail stands upright. */
function inLeg({ legs }: SplayedFrame, stick: Stick, joint: EndJoint): SettingCard["lines"] {
  if (joint.kind !== "blind-tenon" || !stick.holders[0].startsWith("L")) return [];
  const [way] = waysOf(legs, stick);
  const [above, below] = [stick.upper, stick.lower].map((y) => {
    const out = stick.outer + stick.slope * (stick.upper - y);
    return fine((outerAt(legs, way, y) - out) * way.cos + joint.shoulders.face);
  });
  return [
    {
      what: `In the leg, from ${legs.ring ? "the edge of its planed face" : "its outer face"} to the mortise`,
      setting: above === below ? above : `${above} above, ${below} below`,
    },
  ];
}
