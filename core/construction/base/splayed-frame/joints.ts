import { blindTenon, Meets, TENON, TenonInputs } from "../../../joinery/blind-tenon";
import { dowelled } from "../../../joinery/dowelled";
import { EndJoint, endJoint } from "../../../joinery/end-joint";
import type { SettingCard } from "../../../joinery/joint";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { fine, mm } from "../../../verdict/verdict";
import { innerAt, legCut, outerAt, Way } from "./legs";
import { cutSaid, degrees, groupOf, nameOf } from "./parts";
import type { SplayedFrame } from "./place";
import { levelOf, shoulderOf, Stick } from "./sticks";

/** Tenons that come at one another in a leg stay so far apart, mm. @source common practice */
const APART = 2;
/** Loose tenons: one cut on a rail is aslant to its grain. */
const LOOSE: TenonChoice = { ...USUAL_TENON, kind: "loose" };

interface Sized {
  stick: Stick;
  /** of the same pair of legs, the one that enters from the other side */
  other: Stick | null;
  choices: JointChoices;
  shop: Shop;
}

/** The joints of splayed legs under rails, a group at a time: all of them square to the cut they close. */
export function splayedFrameJoints(at: SplayedFrame, _: Form, choices: JointChoices, shop: Shop): EndJoint[] {
  const kinds = [...new Set([...at.rails, ...at.lows].map(({ kind }) => kind))];
  return kinds.map((kind) => {
    const all = [...at.rails, ...at.lows].filter((each) => each.kind === kind);
    const [stick] = all;
    const other = at.rails.includes(stick) ? at.rails.find(({ run }) => run !== stick.run) : undefined;
    const joint = sized(at, { stick, other: other ?? null, choices, shop }, 2 * all.length);
    return { ...joint, sawnTo: [...sawnTo(at, stick), ...inLeg(at, stick, joint)] };
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
  // dowels of two rails pass one another; tenons stop short of the other's
  if (alone.kind === "dowelled")
    return other ? { ...dowelled({ ...inputs, raised: stick.run === "along" }), anyEnd: true } : alone;
  const most = other ? passing(at, { stick, other, choices, shop }) - TENON.mortiseDeeper : Infinity;
  const short = other ? { ...inputs, most: Math.max(1, Math.floor(most * 2) / 2) } : inputs;
  return setting.kind === "loose" ? besideSlot(short, stick) : endJoint(short);
}

/** What lies behind a shoulder, and how thick it is there: the tenon stands off a leg's middle, so the nearer of its sides counts twice. */
function intoOf(at: SplayedFrame, stick: Stick, thickness: number): { depth: number; thickness: number } {
  const { legs } = at;
  if (!stick.holders[0].startsWith("L")) {
    const holder = at.lows.find(({ id }) => id === stick.holders[1])!;
    return { depth: holder.thickness, thickness: holder.upper - holder.lower };
  }
  const [through, beside] = stick.run === "along" ? [legs.end, legs.side] : [legs.side, legs.end];
  const heights = [stick.lower, stick.upper];
  const solid = (way: Way, y: number) => (outerAt(legs, way, y) - innerAt(legs, way, y)) * way.cos;
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
  const way = stick.run === "along" ? legs.end : legs.side;
  const shoulder = shoulderOf(other, 1);
  const theirs = endJoint({
    meets: { id: "", group: "", name: "", receives: "splayed-leg", enters: other.kind, count: 1 },
    section: { width: shoulder.width, thickness: shoulder.thickness },
    into: intoOf(at, other, shoulder.thickness),
    setting: choices.groups[groupOf(other)] ?? LOOSE,
    shop,
  });
  const cheek = theirs.kind === "blind-tenon" ? theirs.shoulders.face : 0;
  return (
    Math.min(
      ...[stick.lower, stick.upper].map((y) => {
        const inside = other.outer + other.slope * (other.upper - y) - levelOf(other) + cheek;
        return (inside - innerAt(legs, way, y)) * way.cos;
      }),
    ) - APART
  );
}

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
  const { gauge, blade } = legCut(legs);
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
    ...(first
      ? [
          {
            what: "Leg, both ends, front or back on the table",
            setting: `${degrees(gauge)} off square, the blade ${degrees(blade)} over`,
          },
          { what: "Leg, along each edge", setting: mm(legs.under * legs.stretch) },
          ...(legs.backed > 0.05
            ? [{ what: "Leg, both end faces planed off square", setting: degrees(legs.backed) }]
            : []),
        ]
      : []),
  ];
}

/** Where the mortise lies in the leg: as far from its outer face above as below, or walking away from it where the rail stands upright. */
function inLeg({ legs }: SplayedFrame, stick: Stick, joint: EndJoint): SettingCard["lines"] {
  if (joint.kind !== "blind-tenon" || !stick.holders[0].startsWith("L")) return [];
  const way = stick.run === "along" ? legs.side : legs.end;
  const [above, below] = [stick.upper, stick.lower].map((y) => {
    const out = stick.outer + stick.slope * (stick.upper - y);
    return fine((outerAt(legs, way, y) - out) * way.cos + joint.shoulders.face);
  });
  return [
    {
      what: "In the leg, from its outer face to the mortise",
      setting: above === below ? above : `${above} above, ${below} below`,
    },
  ];
}
