/**
 * Tenons of a rail that lies off the middle of what it enters: a row with a haunch over it, mitred or short where those of another
 * rail come from the side; loose tenons in their place; a stub in the middle of a thin rail.
 */
import { HOME } from "../assembly/place";
import type { JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, mm, set } from "../verdict/verdict";
import { cutRow, Meets, TENON } from "./blind-tenon";
import { cuttersOf, looseTenonsOf, ownedSize } from "./cutters";
import type { Brought, Cutter, Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";
import { looseReach, looseRow } from "./loose-tenons";

/** What the maker chose for all rails that share it. */
type Choice = JointChoices["legRail"];

/** What the card measures from, which only the construction knows. */
export interface RailMarks {
  gauge: { what: string; setting: string }[];
  /** such as "Mortise starts below the leg's top", and how far that lies over the rail's upper edge, mm */
  starts: string;
  above: number;
  marked: string;
}

/** All mm; `offset` is from the outer face of the part that receives it to the tenon's outer cheek. */
export interface RailTenon extends Joint {
  kind: "rail-tenon";
  made: "mortise-tenon" | "loose-tenon";
  thickness: number;
  tenons: number;
  tenonWidth: number;
  gap: number;
  /** how far it goes in, a loose one too */
  reach: number;
  mitre: number;
  mortiseDepth: number;
  offset: number;
  section: { width: number; thickness: number };
  behind: number;
  shoulders: { face: number; top: number; lower: number };
  haunch: { width: number; depth: number } | null;
  /** wood left beyond the tip, beside the outer cheek, and before the other rail's tenon */
  left: { tip: number; side: number; meeting: number };
  marks: RailMarks;
}

export interface RailTenonInputs {
  meets: Meets;
  /** of the rail: its depth and thickness */
  section: { width: number; thickness: number };
  /** how deep the part is that receives it, and how far the rail's face is set back from its outer face */
  into: { depth: number; reveal: number };
  choice: Choice;
  shop: Shop;
  /** where two are cut short for each other, this one passes and the other stops */
  passes: boolean;
  /** from the sized tenon, what its card measures from */
  marks: (offset: number, thickness: number) => RailMarks;
}

/**
 * Sizes the tenons of a rail, knowing that another comes at them from the side with the same thickness and offset.
 *
 * About a third of the rail, rounded to a cutter the shop owns; mortises are cut a little deeper than tenons are long.
 *
 * @returns sizes that may be impossible (negative walls): the joint's rules judge them
 */
export function railTenon({ meets, section, into, choice, shop, passes, marks }: RailTenonInputs): RailTenon {
  const { width: depth, thickness: rail } = section;
  const { size, tool } = tenonThickness(choice, rail, shop);
  const offset = into.reveal + (rail - size) / 2;
  const stop = TENON.endStop;
  const usable = depth - stop - TENON.lowerShoulder;
  const made = choice.kind === "loose-tenon" ? choice.kind : "mortise-tenon";
  const loose = made === "loose-tenon";
  const { tenons, gap, tenonWidth } =
    (loose ? looseRow(shop, size, usable, choice.tenons) : null) ??
    cutRow(usable, choice.tenons ?? (depth > TENON.twoFrom ? 2 : 1));
  // a row that leaves room lies in the middle of it
  const spare = (usable - tenons * tenonWidth - (tenons - 1) * gap) / 2;
  const most = into.depth - TENON.wall - TENON.mortiseDeeper;
  // the outer cheek reaches the other tenon's outer cheek plane when mitred, its inner cheek plane when the other passes
  const mitred = into.depth - offset - TENON.mitreGap;
  const blocked = into.depth - offset - size - TENON.mitreGap - TENON.mortiseDeeper;
  const auto = choice.meeting === "mitred" || passes ? Math.min(mitred, most) : Math.min(blocked, most);
  const longest = Math.min(auto, shop.mortiseDepth - TENON.mortiseDeeper);
  const reach = floorHalf(choice.length ?? (loose ? looseReach(shop, size, longest) : longest));
  const inner = into.depth - offset - size - TENON.mitreGap;
  const mitre = choice.meeting === "mitred" && reach > inner ? Math.min(size, reach - inner) : 0;
  const mortiseDepth = reach + (mitre > 0 ? TENON.mitreGap : TENON.mortiseDeeper);
  const other = choice.meeting === "short" && !passes ? blocked : mitred;
  return closed({
    ...meets,
    ...{
      made,
      thickness: size,
      tenons,
      tenonWidth,
      gap,
      reach,
      mitre,
      mortiseDepth,
      offset,
      section,
      tool,
    },
    behind: into.depth,
    shoulders: { face: (rail - size) / 2, top: stop + spare, lower: TENON.lowerShoulder + spare },
    haunch: choice.haunch && !loose ? { width: stop, depth: TENON.haunchDepth } : null,
    left: { tip: into.depth - mortiseDepth, side: offset, meeting: other - reach },
    marks: marks(offset, size),
  });
}

/** A stub: half as long as the rail that receives it is thick, never pulled. @source common practice */
export function stubTenon({
  meets,
  section,
  into,
  shop,
  marks,
}: Pick<RailTenonInputs, "meets" | "section" | "shop" | "marks"> & { into: number }): RailTenon {
  const { size, tool } = tenonThickness({ kind: "mortise-tenon", thickness: null }, section.thickness, shop);
  const reach = floorHalf(into / 2);
  const offset = (section.thickness - size) / 2;
  return closed({
    ...meets,
    ...{ made: "mortise-tenon", thickness: size, tenons: 1, gap: 0, reach, mitre: 0, offset, section, tool },
    tenonWidth: section.width - 2 * TENON.lowerShoulder,
    mortiseDepth: reach + 1,
    behind: into,
    shoulders: { face: offset, top: TENON.lowerShoulder, lower: TENON.lowerShoulder },
    haunch: null,
    left: { tip: into - reach - 1, side: offset, meeting: into },
    marks: marks(offset, size),
  });
}

/** What follows from its sizes. */
const closed = (sized: Omit<RailTenon, "kind" | "length" | "glueArea" | "walls">): RailTenon => ({
  ...sized,
  kind: "rail-tenon",
  length: sized.made === "loose-tenon" ? 0 : sized.reach,
  glueArea: 2 * sized.tenons * sized.tenonWidth * (sized.reach - sized.mitre / 2),
  walls: [
    { where: "beyond the mortise", left: sized.left.tip, good: TENON.wall, least: TENON.wallLeast },
    { where: "beside the mortise", left: sized.left.side, good: TENON.wall, least: TENON.wallLeast },
  ],
});

function tenonThickness(
  choice: Pick<Choice, "kind" | "thickness">,
  rail: number,
  shop: Shop,
): { size: number; tool: Cutter } {
  const owned = choice.kind === "loose-tenon" ? looseTenonsOf(shop) : cuttersOf(shop);
  return ownedSize(owned, rail * TENON.shareOfRail, choice.thickness);
}

const floorHalf = (n: number) => Math.floor(n * 2) / 2;

/** @param outward  1 where the rail's outer face lies at the far side of the face's frame, −1 at the near one: a mitre looks inward */
export function railTenonBodies(joint: RailTenon, outward: 1 | -1): JointBodies {
  const { thickness, tenonWidth, gap, reach, mitre, mortiseDepth, shoulders, haunch } = joint;
  const loose = joint.made === "loose-tenon";
  const row = (from: number, to: number): JointBody[] =>
    Array.from({ length: joint.tenons }, (_, i): JointBody => ({
      shape: { length: to - from, width: tenonWidth, thickness },
      place: { ...HOME, at: [from, shoulders.lower + i * (tenonWidth + gap), shoulders.face] },
    }));
  // the tip is cut at 45° so that the tenon of the other rail can pass
  const tipped = (body: JointBody): JointBody =>
    mitre > 0
      ? {
          ...body,
          shape: {
            ...body.shape,
            planes: [{ through: [reach, 0, outward > 0 ? mitre : thickness - mitre], waste: [1, 0, -outward] }],
          },
        }
      : body;
  const over = (deeper: number): JointBody[] =>
    haunch
      ? [
          {
            shape: { length: haunch.depth + deeper, width: haunch.width, thickness },
            place: { ...HOME, at: [0, joint.section.width - shoulders.top, shoulders.face] },
          },
        ]
      : [];
  return {
    adds: loose ? [] : [...row(0, reach).map(tipped), ...over(0)],
    cuts: [...row(0, mortiseDepth), ...over(mortiseDepth - reach)],
    own: loose ? row(-(reach + TENON.mortiseDeeper), 0) : [],
    ...(loose
      ? { brings: row(-reach, reach).map((body): Brought => ({ ...body, name: "Loose tenon", of: "wood" })) }
      : {}),
  };
}

/** Each tenon's glue is a stretch along the face, from the uppermost. */
export function railTenonHeld(joint: RailTenon): Held[] {
  const { tenons, tenonWidth, gap, shoulders, section } = joint;
  return Array.from({ length: tenons }, (_, i): Held => {
    const to = section.width - shoulders.top - i * (tenonWidth + gap);
    return {
      ...{ kind: "glue", name: "its tenon", from: to - tenonWidth, to },
      ...(tenons === 1 && joint.setAt
        ? { mend: [set("Cut two tenons with a gap", [...joint.setAt, "tenons"], 2)] }
        : {}),
    };
  });
}

/** Gauge and machine settings. */
export function railTenonCard(joint: RailTenon): SettingCard {
  const { tool, thickness, tenons, tenonWidth, gap, reach, mortiseDepth, mitre, haunch, shoulders, marks } = joint;
  const cut =
    tool.kind === "none"
      ? `no cutter of ${mm(thickness)} in the shop`
      : `${mm(tool.size)} ${tool.kind === "loose tenon" ? "cutter" : tool.kind}`;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      ...marks.gauge,
      { what: "Cutter", setting: cut },
      { what: "Mortise depth", setting: mm(mortiseDepth) },
      {
        what: "Mortise height",
        setting: tenons === 1 ? mm(tenonWidth) : `${tenons} of ${mm(tenonWidth)}, ${mm(gap)} between`,
      },
      { what: marks.starts, setting: mm(shoulders.top + marks.above) },
      ...(joint.made === "loose-tenon"
        ? [
            { what: "Loose tenon", setting: `${mm(thickness)} by ${mm(tenonWidth)}, ${mm(2 * reach)} long` },
            { what: "Mortise depth in the rail's end", setting: mm(reach + TENON.mortiseDeeper) },
          ]
        : [
            { what: "Tenon cheeks, planed to fit from", setting: fine(thickness + TENON.fit) },
            { what: "Shoulder to tip", setting: mm(reach) },
            { what: "Shoulder depth each face", setting: fine(shoulders.face) },
          ]),
      ...(mitre > 0 ? [{ what: "Mitre the tip", setting: `45°, ${mm(mitre)} back on the inner cheek` }] : []),
      ...(haunch ? [{ what: "Haunch", setting: `${mm(haunch.width)} wide, ${mm(haunch.depth)} deep` }] : []),
    ],
    marked: marks.marked,
  };
}
