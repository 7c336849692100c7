import { HOME } from "../assembly/place";
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import { cuttersOf, looseTenonsOf, ownedSize } from "./cutters";
import { flared, Fox, FOX_MARKED, foxed, foxLines, foxOf } from "./foxed";
import { looseReach, looseRow, Row } from "./loose-tenons";
import { Brought, Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/** Rules of the mortise and tenon, mm. @source common practice */
export const TENON = {
  shareOfRail: 1 / 3,
  leastShoulder: 4,
  wall: 8,
  wallLeast: 6,
  endStop: 15,
  haunchDepth: 8,
  lowerShoulder: 8,
  twoFrom: 100,
  gapShare: 0.25,
  mortiseDeeper: 2,
  mitreGap: 1,
  cheekLeast: 25,
  fit: 0.3,
  loosestShort: 4,
};
/** A tenon into the edge of a part goes so far through it. @source common practice: about two thirds */
const SHARE_OF_DEPTH = 2 / 3;
/** Stock this thick takes twin tenons side by side when they are asked for; each so much of its thickness. @source common practice */
const TWIN_SHARE = 1 / 5;
/** A drawbored pin, and how much nearer the shoulder its hole in the tenon is, mm. @source common practice: 1/32 to 1/16 in */
export const DRAWBORE = { diameter: 8, offset: 1, from: 20 };

/** A mortise and tenon that doesn't come through, or loose tenons in its place. */
export interface BlindTenon extends Joint {
  kind: "blind-tenon";
  made: "tenon" | "loose";
  thickness: number;
  tenons: number;
  rows: number;
  tenonWidth: number;
  gap: number;
  mortiseDepth: number;
  /** the part that enters, and how far the one that receives goes on behind the face */
  section: { width: number; thickness: number };
  behind: number;
  /** how thick the part that receives it is across the face */
  across: number;
  shoulders: { face: number; end: number };
  pin: Pin | null;
  /** wedges that spread it in the mortise */
  fox: Fox | null;
  /** a stub that is only ever pushed may be short: a strut, an upright, a head under its bearer. @source common practice */
  pushed: boolean;
}

/** Its diameter, how much nearer the shoulder its hole in the tenon is, how far it is from the shoulder; mm. */
interface Pin {
  diameter: number;
  offset: number;
  from: number;
}

/** Who meets whom, and how often. */
export type Meets = Pick<Joint, "id" | "group" | "name" | "receives" | "enters" | "count" | "setAt">;

export interface TenonInputs {
  meets: Meets;
  /** of the part that enters, where it meets the face: mm along and across the face */
  section: { width: number; thickness: number };
  /** of the part that receives: how deep it is behind the face, and how thick across it */
  into: { depth: number; thickness: number };
  setting: TenonChoice;
  shop: Shop;
  /** the longest it may get, where another tenon comes from the far side */
  most?: number;
  pushed?: boolean;
  /** from the part's edge to the first tenon at least, where a slot comes nearer that edge as it goes in, mm */
  end?: number;
  /** what stays beyond and beside the mortise, and the least of it, where boards are thinner than legs; mm */
  wall?: { good: number; least: number };
}

/**
 * Sizes a blind tenon: about a third of the part's thickness rounded to a cutter that is owned, two thirds through the part that
 * receives it, two with a gap where the part is wide.
 *
 * @returns sizes that may be impossible (negative walls): the rules of joints judge them
 */
export function blindTenon({
  meets,
  section,
  into,
  setting,
  shop,
  most = Infinity,
  pushed = false,
  end = Math.min(TENON.lowerShoulder, section.width / 8),
  wall = { good: TENON.wall, least: TENON.wallLeast },
}: TenonInputs): BlindTenon {
  const { width, thickness } = section;
  // where neither dowels nor pockets can be, what was asked of its group is a loose tenon
  const made = setting.kind === "tenon" ? "tenon" : "loose";
  const rows = setting.twin ? 2 : 1;
  const share = rows === 2 ? TWIN_SHARE : TENON.shareOfRail;
  const owned = made === "loose" ? looseTenonsOf(shop) : cuttersOf(shop);
  const { size, tool } = ownedSize(owned, thickness * share, setting.thickness);
  const usable = width - 2 * end;
  const { tenons, gap, tenonWidth } =
    (made === "loose" ? looseRow(shop, size, usable, setting.tenons) : null) ??
    cutRow(usable, setting.tenons ?? (width > TENON.twoFrom ? 2 : 1));
  const row = tenons * tenonWidth + (tenons - 1) * gap;
  const auto = Math.min(
    into.depth * SHARE_OF_DEPTH,
    into.depth - wall.good - TENON.mortiseDeeper,
    shop.mortiseDepth - TENON.mortiseDeeper,
    most,
  );
  const longest = Math.max(1, Math.floor(auto * 2) / 2);
  const length = setting.length ?? (made === "loose" ? looseReach(shop, size, longest) : longest);
  const mortiseDepth = length + TENON.mortiseDeeper;
  const face = (thickness - rows * size) / (rows + 1);
  const beside = (into.thickness - thickness) / 2 + face;
  return {
    ...meets,
    kind: "blind-tenon",
    made,
    pushed,
    thickness: size,
    tenons,
    rows,
    tenonWidth,
    gap,
    length: made === "loose" ? 0 : length,
    mortiseDepth,
    section,
    behind: into.depth,
    across: into.thickness,
    shoulders: { face, end: (width - row) / 2 },
    tool,
    glueArea: 2 * rows * tenons * tenonWidth * length,
    pin: setting.pinned ? { ...DRAWBORE, from: Math.min(DRAWBORE.from, length * 0.4) } : null,
    fox: setting.foxed && made === "tenon" ? foxOf(length, shop.kerf) : null,
    walls: [
      { where: "beyond the mortise", left: into.depth - mortiseDepth, ...wall },
      { where: "beside the mortise", left: beside, ...wall },
    ],
  };
}

/** Tenons cut on a part share its shoulder: one, or more with a gap. */
export function cutRow(usable: number, tenons: number): Row {
  const gap = tenons === 1 ? 0 : usable * TENON.gapShare;
  return { tenons, gap, tenonWidth: (usable - gap * (tenons - 1)) / tenons };
}

/** How far a tenon, loose or not, reaches into the part that receives it. */
export const reachOf = ({ mortiseDepth }: Pick<BlindTenon, "mortiseDepth">) => mortiseDepth - TENON.mortiseDeeper;

/** Tenons as they enter, mortises as they are cut, slots for loose tenons in the part that enters. */
export function blindTenonBodies(joint: BlindTenon): JointBodies {
  const boxes = (from: number, to: number): JointBody[] =>
    Array.from({ length: joint.rows }, (_, row) => row).flatMap((row) =>
      Array.from({ length: joint.tenons }, (_, i): JointBody => ({
        shape: { length: to - from, width: joint.tenonWidth, thickness: joint.thickness },
        place: {
          ...HOME,
          at: [
            from,
            joint.shoulders.end + i * (joint.tenonWidth + joint.gap),
            joint.shoulders.face + row * (joint.thickness + joint.shoulders.face),
          ],
        },
      })),
    );
  const loose = joint.made === "loose";
  const looseOnes = loose
    ? boxes(-reachOf(joint), reachOf(joint)).map((body): Brought => ({ ...body, name: "Loose tenon", of: "wood" }))
    : [];
  const { fox } = joint;
  const wedged = fox ? boxes(0, joint.length).map(({ place }) => foxed(joint, fox, place.at)) : [];
  const bodies: JointBodies = {
    adds: loose ? [] : boxes(0, joint.length),
    cuts: boxes(0, joint.mortiseDepth).map((box) => (fox ? flared(joint, fox, box.place.at) : box)),
    own: loose ? boxes(-joint.mortiseDepth, 0) : wedged.flatMap(({ own }) => own),
  };
  const brings = [...looseOnes, ...wedged.flatMap((each) => each.brings)];
  if (!joint.pin) return brings.length > 0 ? { ...bodies, brings } : bodies;
  return { ...bodies, ...pinned(joint, joint.pin, bodies), brings: [...brings, ...pins(joint, joint.pin)] };
}

/** Through the middle of each tenon, across the face; its hole in the tenon is nearer the shoulder. */
const pinsAt = ({ shoulders, tenonWidth, gap, tenons }: BlindTenon): number[] =>
  Array.from({ length: tenons }, (_, i) => shoulders.end + i * (tenonWidth + gap) + tenonWidth / 2);

function pinned(joint: BlindTenon, pin: Pin, { cuts, own }: JointBodies): Pick<JointBodies, "cuts" | "own"> {
  const { section, across } = joint;
  const from = (section.thickness - across) / 2;
  return {
    cuts: [...cuts, ...pinsAt(joint).map((y) => round("z", pin.diameter, [pin.from, y, from], across))],
    own: [
      ...own,
      ...pinsAt(joint).map((y) => ({
        ...round("z", pin.diameter, [pin.from - pin.offset, y, 0], section.thickness),
        markedFrom: "the hole it is pinned through",
      })),
    ],
  };
}

/** A pin bends through both holes: its body stands in the part that receives it. */
const pins = (joint: BlindTenon, pin: Pin): Brought[] =>
  pinsAt(joint).map((y) => ({
    ...round("z", pin.diameter, [pin.from, y, (joint.section.thickness - joint.across) / 2], joint.across),
    ...{ name: "Pin", of: "wood" },
  }));

/** Each tenon's glue is a stretch along the face. */
export function blindTenonHeld(joint: BlindTenon): Held[] {
  return Array.from({ length: joint.tenons }, (_, i): Held => {
    const from = joint.shoulders.end + i * (joint.tenonWidth + joint.gap);
    return { kind: "glue", name: "its tenon", from, to: from + joint.tenonWidth };
  });
}

export function blindTenonCard(joint: BlindTenon): SettingCard {
  const { tool, thickness, rows, tenons, tenonWidth, gap, shoulders, pin } = joint;
  const loose = joint.made === "loose";
  const cut =
    tool.kind === "none"
      ? `no cutter of ${mm(thickness)} in the shop`
      : `${mm(tool.size)} ${tool.kind === "loose tenon" ? "cutter" : tool.kind}`;
  const rowsSaid = rows === 1 ? "" : `, ${rows} rows ${mm(shoulders.face)} apart`;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: "Mortise gauge, from the part’s face",
        setting: `${mm(shoulders.face)} and ${mm(shoulders.face + thickness)}${rowsSaid}`,
      },
      { what: "Cutter", setting: cut },
      { what: "Mortise depth", setting: mm(joint.mortiseDepth) },
      {
        what: "Mortise length",
        setting: tenons === 1 ? mm(tenonWidth) : `${tenons} of ${mm(tenonWidth)}, ${mm(gap)} between`,
      },
      { what: "Mortise starts from the part’s edge", setting: mm(shoulders.end) },
      ...(loose
        ? [
            {
              what: "Loose tenon",
              setting: `${mm(thickness)} by ${mm(tenonWidth)}, ${mm(2 * reachOf(joint))} long`,
            },
          ]
        : [
            { what: "Tenon cheeks, planed to fit from", setting: fine(thickness + TENON.fit) },
            { what: "Shoulder to tip", setting: mm(joint.length) },
            { what: "Shoulder depth each face", setting: fine(shoulders.face) },
          ]),
      ...(pin
        ? [
            { what: "Pin, from the shoulder", setting: `${mm(pin.diameter)}, ${mm(pin.from)}` },
            { what: "Hole in the tenon nearer the shoulder by", setting: fine(pin.offset) },
          ]
        : []),
      ...(joint.fox ? foxLines(joint, joint.fox) : []),
    ],
    marked: `Parts that are alike are marked together, with a knife: what counts is that they are of one length.${joint.fox ? FOX_MARKED : ""}`,
  };
}
