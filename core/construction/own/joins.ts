/** What a maker's own parts touch, the kinds of joint that fit there, and those that were chosen. */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import type { Meets } from "../../joinery/blind-tenon";
import { endJoint } from "../../joinery/end-joint";
import type { KindOfJoint } from "../../joinery/kinds";
import { screwed } from "../../joinery/screwed";
import { USUAL_TENON } from "../../piece/base-choices";
import { Own, OWN_JOINS, OwnJoin } from "../../piece/own-choices";
import type { JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { mm } from "../../verdict/verdict";
import { sharedFace, SharedFace } from "./faces";

/** A kind of joint, and why it can't be cut there; null where it can. */
export interface Fit {
  how: OwnJoin["how"];
  not: string | null;
}

/** An own part's kind and another kind it touches. */
export interface Pair {
  own: string;
  to: string;
  name: string;
  /** how a sentence calls the other */
  said: string;
  /** times they touch */
  count: number;
  fits: Fit[];
  how: OwnJoin["how"];
}

interface Contact {
  own: AssemblyPart;
  other: AssemblyPart;
  shared: SharedFace;
}

/**
 * Screws of 5 mm as they are sold, mm; wood they pass at most, wood they bite in at least and at best, what stays over their point, and how wide
 * a face takes one. @source common practice
 */
const SCREW = {
  lengths: [30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 120],
  passes: 60,
  bites: 15,
  bite: 30,
  over: 3,
  face: 15,
  every: 120,
};
/**
 * A slot is as long as its screw and so much of the wood from where it is held still, both ways, to the next even mm; so much wood stays beside it
 * in all. @source common practice: hard wood goes some 1 % each way in heated rooms
 */
const SLOT = { share: 0.012, least: 10, screw: 5, beside: 8 };
const slotFor = ({ reach }: Pick<SharedFace, "reach">) =>
  Math.max(SLOT.least, 2 * Math.ceil((SLOT.screw + 2 * SLOT.share * reach) / 2));

/**
 * A tenon wants an end so thick, and so much wood to go into; a loose one or a dowel so much on both sides; a pocket's screw an end so thick and so
 * much to bite in, mm. @source common practice
 */
const TENON = { thick: 10, into: 15, loose: 20, pocket: 12, bites: 12 };
/** Faces that share less of the rectangle round them meet in a corner only. Ours. */
const FULL = 0.85;

export interface OwnFacts {
  own: Own;
  /** the maker's own parts, and all others, without their joints */
  parts: readonly AssemblyPart[];
  others: readonly AssemblyPart[];
  choices: JointChoices;
  shop: Shop;
}

export interface OwnJoined {
  pairs: Pair[];
  joints: KindOfJoint[];
  meetings: Meeting[];
}

/** Every pair that touches, with its joint where one was chosen that fits. */
export function ownJoins({ own, parts, others, choices, shop }: OwnFacts): OwnJoined {
  const pairs = new Map<string, Contact[]>();
  parts.forEach((part, i) => {
    for (const other of [...others, ...parts.slice(i + 1)]) {
      const shared = other.bought ? null : sharedFace(part, other);
      if (!shared) continue;
      const key = `${part.kind}+${other.kind}`;
      pairs.set(key, [...(pairs.get(key) ?? []), { own: part, other, shared }]);
    }
  });
  const out: OwnJoined = { pairs: [], joints: [], meetings: [] };
  for (const [group, contacts] of pairs) {
    const [{ own: part, other }] = contacts;
    const chosen = own.joins.find((each) => each.own === part.kind && each.to === other.kind)?.how ?? "none";
    const fits = OWN_JOINS.map((how) => ({
      how,
      not: contacts.map(({ shared }) => refusal(how, shared)).find((each) => each !== null) ?? null,
    }));
    const name = `${part.name} to ${other.name.toLowerCase()}`;
    out.pairs.push({
      own: part.kind,
      to: other.kind,
      name,
      said: saidOf(other),
      count: contacts.length,
      fits,
      how: chosen,
    });
    if (chosen === "none" || fits.find(({ how }) => how === chosen)?.not !== null) continue;
    for (const [i, alike] of bySection(contacts).entries()) {
      const meets: Meets = {
        ...{ id: i === 0 ? group : `${group}-${i + 1}`, group, name, receives: other.kind, enters: part.kind },
        count: alike.length,
      };
      const joint = jointOf(chosen, meets, alike[0].shared, { choices, shop });
      out.joints.push(joint);
      out.meetings.push(...alike.map((each): Meeting => meetingOf(joint, each)));
    }
  }
  return out;
}

const saidOf = ({ said, name }: AssemblyPart) => said ?? name.toLowerCase();

/** Why a kind can't be cut on a face, as a sentence; null where it can. */
function refusal(how: OwnJoin["how"], shared: SharedFace): string | null {
  const { section, own, other, end, otherEnd, full, slides } = shared;
  if (how === "none") return null;
  if (full < FULL) return "They touch in a corner only: nothing is wide enough there to be joined.";
  const least = Math.min(section.width, section.thickness);
  if (how === "screwed" || how === "slotted") {
    if (own > SCREW.passes) return `A screw would pass ${mm(own)} of it before it bites: turn it, or tenon it.`;
    if (otherEnd) return "A screw into end grain pulls out: tenon it.";
    if (screwFor(own, other) === null)
      return `Through ${mm(own)} into ${mm(other)}: every screw comes through or bites too little.`;
    const wanted = how === "slotted" && slides === "across" ? slotFor(shared) + SLOT.beside : SCREW.face;
    return least < wanted
      ? `The face they share is ${mm(least)} wide: ${how === "slotted" ? "a slot across it breaks out" : "a screw splits it"}.`
      : null;
  }
  if (how === "pockets") {
    if (!end) return "A pocket is bored toward an end: its long grain lies against the other. Screw it.";
    if (otherEnd) return "A screw into end grain pulls out: tenon it.";
    if (least < TENON.pocket) return `An end ${mm(least)} thick takes no pocket.`;
    return other < TENON.bites ? `Only ${mm(other)} lie behind the face for a screw.` : null;
  }
  if (how === "tenoned") {
    if (!end) return "Its long grain lies against the other: there is no end to cut a tenon on.";
    if (least < TENON.thick) return `An end ${mm(least)} thick leaves no tenon.`;
    return other < TENON.into ? `Only ${mm(other)} lie behind the face for a mortise.` : null;
  }
  if (Math.min(own, other) < TENON.loose)
    return `A ${how === "dowelled" ? "dowel" : "loose tenon"} wants ${mm(TENON.loose)} on both sides: there are ${mm(Math.min(own, other))}.`;
  return least < TENON.thick
    ? `A face ${mm(least)} wide takes no ${how === "dowelled" ? "dowel" : "loose tenon"}.`
    : null;
}

/** The longest screw that is sold which bites no deeper than it must and does not come through; null where none bites enough. mm */
export function screwFor(own: number, other: number): number | null {
  const most = own + Math.min(SCREW.bite, other - SCREW.over);
  return SCREW.lengths.findLast((long) => long <= most && long - own >= SCREW.bites) ?? null;
}

/** What an own part's end is joined by, as joints call it. */
const ENDS = { tenoned: "tenon", "loose-tenons": "loose", dowelled: "dowels", pockets: "pockets" } as const;

function jointOf(
  how: Exclude<OwnJoin["how"], "none">,
  meets: Meets,
  shared: SharedFace,
  { choices, shop }: { choices: JointChoices; shop: Shop },
): KindOfJoint {
  const { section, own, other, across, slides } = shared;
  if (how !== "screwed" && how !== "slotted") {
    const setting = {
      ...(choices.groups[meets.group] ?? USUAL_TENON),
      kind: ENDS[how],
    };
    return endJoint({ meets, section, into: { depth: other, thickness: across }, setting, shop });
  }
  const screws = Math.max(1, Math.round(section.width / SCREW.every));
  return screwed({
    ...{ meets, section, into: { depth: other }, screws, long: screwFor(own, other)!, through: own },
    ...(how === "slotted" ? { slot: slotFor(shared), slotWay: slides } : {}),
  });
}

const bySection = (contacts: readonly Contact[]): Contact[][] => {
  const alike = new Map<string, Contact[]>();
  for (const each of contacts) {
    const { section, own, other, across } = each.shared;
    const key = [section.width, section.thickness, own, other, across].map((size) => Math.round(size * 2)).join();
    alike.set(key, [...(alike.get(key) ?? []), each]);
  }
  return [...alike.values()];
};

const meetingOf = (joint: KindOfJoint, { own, other, shared }: Contact): Meeting => ({
  ...{ joint, enters: own.id, receives: other.id, face: shared.face },
});
