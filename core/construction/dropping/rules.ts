/** Whether leaves hang clear, go up and stay up. */
import { useOf } from "../../brief/uses";
import { grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import { LEAN, tipsAt } from "../base/tipping";
import type { DropFacts } from "./facts";
import { BRACKET_RULES } from "./bracket-rules";
import { GATE_RULES } from "./gate-rules";
import { LOPER_RULES } from "./loper-rules";
import { standsAt } from "./gates";
import { HINGES } from "./parts";
import { dropHindrance, RULE, widthUp } from "./drop";

/** Leaves that hang. @source common practice, where nothing else is said */
const DROP = {
  /** free between a leaf that hangs and what stands behind it, and above the floor, mm */
  clear: 4,
  floor: 100,
  kicked: 40,
};
const at = (...rest: string[]) => ["form", "drop", ...rest];

export const DROP_RULES: readonly ((facts: DropFacts) => Verdict | null)[] = [
  canHang,
  hangsClear,
  hingesFree,
  offTheFloor,
  ruleFits,
  ...BRACKET_RULES,
  ...LOPER_RULES,
  ...GATE_RULES,
  tips,
  inTheRoom,
];

const WHY = {
  base: "Leaves hang at rails between legs that end below the top: no other base is planned with them yet.",
  ends: "What holds the ends of the panel ties it across; a leaf hangs at its long edge, which must be free.",
  field: "Hinges want one panel along the whole edge.",
  outline: "A leaf turns about a straight edge.",
  parting: "A top that comes apart in its middle parts its leaves too.",
};

function canHang({ form }: DropFacts): Verdict | null {
  if (form.drop.kind === "none") return null;
  const why = dropHindrance(form);
  return verdict({
    id: "form.drop-can",
    stage: "form",
    subject: ["top"],
    level: why ? "fix" : "holds",
    text: why
      ? "No leaf can hang at this top as it is planned: it stays without"
      : `${form.drop.kind === "both" ? "A leaf hangs at each long side" : "A leaf hangs in front"}`,
    why: why ? WHY[why] : "Its grain runs with the top’s: both move alike along the hinges, and each by itself across.",
    remedies: why ? [set("Leave the leaves out", at("kind"), "none")] : [],
  });
}

/** A leaf that hangs passes the legs behind it. */
function hangsClear({ form, at: place }: DropFacts): Verdict | null {
  if (!place.drop) return null;
  const inner = place.drop.axis.out - (place.drop.joint === "rule" ? RULE.inset : 0);
  const legs = Math.max(...place.posts.map(({ z, width }) => Math.abs(z) + width / 2));
  const free = inner - legs;
  const level = grade(free, "at least", DROP.clear, 1);
  const side = Math.ceil(form.overhang.side + DROP.clear - free);
  return verdict({
    id: "form.drop-clear",
    stage: "form",
    subject: ["drop-leaf", "leg"],
    level,
    text:
      free < 0 ? `The leaf hangs ${mm(-free)} inside the legs’ faces` : `The leaf hangs ${mm(free)} before the legs`,
    why: `It turns about a knuckle ${place.drop.joint === "rule" ? `${mm(place.drop.round)} in from the top’s edge` : "at the top’s edge"}; the legs stand ${mm(form.overhang.side)} in.`,
    limit: DROP.clear,
    actual: Math.round(free * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Set the legs ${mm(side)} in from the sides`, ["form", "overhang", "side"], side)],
  });
}

/** Their wings under the top lie before legs and rails: screws go in once it stands on them. */
function hingesFree({ form, at: place }: DropFacts): Verdict | null {
  if (!place.drop) return null;
  const behind = Math.max(
    ...place.posts.map(({ z, width }) => Math.abs(z) + width / 2),
    ...place.bearers.filter(({ run }) => run === "along").map(({ at: z, thickness }) => Math.abs(z) + thickness / 2),
  );
  const free = place.drop.axis.out - HINGES.short - behind;
  const level = grade(free, "at least", 2, 0);
  const side = Math.ceil(form.overhang.side + 2 - free);
  return verdict({
    id: "form.drop-hinges",
    stage: "form",
    subject: ["drop-leaf", "leg"],
    level,
    text:
      free < 0
        ? `A hinge’s wing reaches ${mm(-free)} over the frame below it`
        : `The hinges lie ${mm(free)} before the frame`,
    why: `A wing under the top is ${mm(HINGES.short)} from its knuckle; it is let in and screwed from below.`,
    limit: 2,
    actual: Math.round(free * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Set the legs ${mm(side)} in from the sides`, ["form", "overhang", "side"], side)],
  });
}

function offTheFloor({ at: place }: DropFacts): Verdict | null {
  if (!place.drop) return null;
  const free = place.drop.axis.y - RULE.air - place.drop.leaf;
  const level = grade(free, "at least", DROP.floor, DROP.kicked);
  const leaf = Math.floor(place.drop.axis.y - RULE.air - DROP.floor);
  return verdict({
    id: "form.drop-floor",
    stage: "form",
    subject: ["drop-leaf"],
    level,
    text:
      free < 0
        ? `The leaf is ${mm(-free)} longer than the floor is away`
        : `The leaf hangs to ${mm(free)} above the floor`,
    why: `Under ${mm(DROP.floor)} feet and mops meet it.`,
    limit: DROP.floor,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" || leaf < 80 ? [] : [set(`Make the leaf ${mm(leaf)} wide`, at("leaf"), leaf)],
  });
}

/** A thin top has no round. */
function ruleFits({ form, at: place }: DropFacts): Verdict | null {
  if (place.drop?.joint !== "rule") return null;
  const { thickness } = place.top;
  const left = thickness - form.drop.fillet - RULE.inset;
  const level: Level = left < RULE.least ? "fix" : left < RULE.least + 4 || form.drop.fillet < 2 ? "tight" : "holds";
  const thick = Math.ceil(RULE.least + 4 + Math.max(2, form.drop.fillet) + RULE.inset);
  return verdict({
    id: "form.drop-rule",
    stage: "form",
    subject: ["top", "drop-leaf"],
    level,
    text:
      level === "holds"
        ? `The joint’s round is ${mm(left)}, under a step of ${mm(form.drop.fillet)}`
        : form.drop.fillet < 2
          ? `A step of ${mm(form.drop.fillet)} above the round chips`
          : `${mm(thickness)} leave a round of ${mm(Math.max(0, left))}`,
    why: `From the top’s ${mm(thickness)} come the step and ${mm(RULE.inset)} below the knuckle’s middle; the leaf’s cove is ${RULE.air} mm larger, so that it never rubs.`,
    remedies:
      level === "holds"
        ? []
        : form.drop.fillet < 2
          ? [set("Make the step 3 mm", at("fillet"), 3)]
          : [
              set("Hinge it with square edges", at("joint"), "square"),
              set(`Make the top ${mm(thick)} thick`, ["form", "top", "thickness"], thick),
            ],
  });
}

/** With one leaf up the edge is far outside the feet. */
function tips({ at: place, weight, species, form }: DropFacts): Verdict | null {
  if (!place.drop) return null;
  // a gate that is out is a foot; on whichever side somebody leans
  const out = place.drop.gates.flatMap((gate) => {
    const foot = standsAt(gate, form.drop.gates);
    return [foot, { ...foot, z: -foot.z }];
  });
  const stood = [...place.feet, ...out];
  const { leaf: now, axis, sides } = place.drop;
  const far = axis.out + RULE.air + now;
  const each = ((place.top.length * place.top.thickness) / 1e9) * species.density * sides.length;
  // a narrower leaf weighs less, and what it weighs holds the table down
  const pushAt = (leaf: number) =>
    tipsAt(
      { top: { ...place.top, width: 2 * (axis.out + RULE.air + leaf), length: 0 }, feet: stood },
      weight - each * (now - leaf),
    ).newtons;
  const newtons = pushAt(now);
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  const feet = Math.max(0, ...stood.map(({ z, width }) => z + width / 2));
  let leaf = Math.floor(now);
  while (leaf >= 80 && pushAt(leaf) < LEAN.good) leaf -= 1;
  return verdict({
    id: "form.drop-tips",
    stage: "form",
    subject: ["drop-leaf", "leg"],
    level,
    text: Number.isFinite(newtons)
      ? `A leaf up, the table tips at ${Math.round(newtons)} N on its edge`
      : "With a leaf up no edge stands outside the feet",
    why: `About ${Math.round(weight)} kg stand on feet ${mm(feet)} from the middle; the leaf’s edge is ${mm(far)} from it. Someone who leans there puts on ${LEAN.good} N.`,
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the outer feet; load from EN 1730, from memory",
    remedies: level === "holds" || leaf < 80 ? [] : [set(`Make the leaf ${mm(leaf)} wide`, at("leaf"), leaf)],
  });
}

function inTheRoom({ form, at: place, brief }: DropFacts): Verdict | null {
  if (!place.drop) return null;
  const { around } = useOf(form);
  const up = widthUp(place);
  const have = (brief.room.width - up) / 2;
  const least = around?.least ?? 0;
  const level = grade(have, "at least", least, Math.max(0, least - 300));
  const leaf = Math.floor(place.drop.leaf - (2 * (least - have)) / place.drop.sides.length);
  return verdict({
    id: "brief.clear-up",
    stage: "brief",
    subject: ["room", "drop-leaf"],
    level,
    text:
      have < 0
        ? `Leaves up, the table is ${mm(-2 * have)} wider than the room`
        : `Leaves up it is ${mm(up)} wide: ${mm(have)} from its sides to the wall`,
    why: `It stands in the middle of a room ${mm(brief.room.width)} wide; ${mm(least)} let somebody get up beside it.`,
    limit: least,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" || leaf < 80 ? [] : [set(`Make the leaves ${mm(leaf)} wide`, at("leaf"), leaf)],
  });
}
