import { circle } from "../assembly/outline";
import { HOME } from "../assembly/place";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import { cuttersOf, ownedSize } from "./cutters";
import type { Brought, Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/** Rules of the through tenon, mm. @source common practice */
const THROUGH = {
  /** as thick as its shoulders allow: half the part */
  share: 1 / 2,
  shoulder: 8,
  /** where a wedge's kerf ends, in a hole this far from the shoulder and this wide */
  relief: { from: 12, hole: 6 },
  /** each wedge opens the mortise by so much on the outside */
  gain: 3,
  wedgeFrom: 40,
};

/** A tenon that comes through and may stand proud; two wedges hold it where it is wide enough. */
export interface ThroughTenon extends Joint {
  kind: "through-tenon";
  thickness: number;
  tenonWidth: number;
  proud: number;
  wedges: number;
  relief: { from: number; hole: number };
  gain: number;
  kerf: number;
  section: { width: number; thickness: number };
  behind: number;
  shoulders: { face: number; end: number };
  /** its one kerf runs along its width, so that the wedge presses on the end grain of what it passes and does not split it */
  lengthwise?: true;
}

export interface ThroughInputs {
  meets: Meets;
  section: { width: number; thickness: number };
  into: { depth: number; thickness: number };
  proud: number;
  wedged: boolean;
  thickness: number | null;
  lengthwise?: true;
  shop: Shop;
}

/** Sizes a through tenon: as long as the part it passes is thick, and proud by so much. */
export function throughTenon({
  meets,
  section,
  into,
  proud,
  wedged,
  thickness: asked,
  lengthwise,
  shop,
}: ThroughInputs): ThroughTenon {
  const { size, tool } = ownedSize(cuttersOf(shop), section.thickness * THROUGH.share, asked);
  const end = Math.min(THROUGH.shoulder, section.width / 8);
  const tenonWidth = section.width - 2 * end;
  const wedges = wedged ? (tenonWidth >= THROUGH.wedgeFrom && !lengthwise ? 2 : 1) : 0;
  const beside = (into.thickness - size) / 2;
  return {
    ...meets,
    kind: "through-tenon",
    ...(lengthwise ? { lengthwise } : {}),
    thickness: size,
    tenonWidth,
    proud,
    wedges,
    relief: THROUGH.relief,
    gain: THROUGH.gain,
    kerf: shop.kerf,
    length: into.depth + proud,
    section,
    behind: into.depth,
    shoulders: { face: (section.thickness - size) / 2, end },
    tool,
    glueArea: 2 * tenonWidth * into.depth,
    walls: [{ where: "beside the mortise", left: beside, good: 2 * TENON.wall, least: TENON.wall }],
  };
}

/** Where the kerfs run, from the face's corner. */
const kerfsOf = ({ wedges, tenonWidth, shoulders }: ThroughTenon): number[] =>
  Array.from({ length: wedges }, (_, i) => shoulders.end + (tenonWidth * (i + 0.5)) / wedges);

export function throughTenonBodies(joint: ThroughTenon): JointBodies {
  const { thickness, tenonWidth, shoulders, relief, kerf, length, behind } = joint;
  const tenon = (reach: number): JointBody => ({
    shape: { length: reach, width: tenonWidth, thickness },
    place: { ...HOME, at: [0, shoulders.end, shoulders.face] },
  });
  if (joint.lengthwise) return { adds: [{ ...tenon(length), shows: true }], cuts: [tenon(behind)], ...oneKerf(joint) };
  const own = kerfsOf(joint).flatMap((y): JointBody[] => [
    {
      shape: { length: length - relief.from, width: kerf, thickness },
      place: { ...HOME, at: [relief.from, y - kerf / 2, shoulders.face] },
    },
    {
      shape: {
        length: relief.hole,
        width: relief.hole,
        thickness,
        face: { outer: circle([relief.hole / 2, relief.hole / 2], relief.hole / 2), holes: [] },
      },
      place: { ...HOME, at: [relief.from - relief.hole / 2, y - relief.hole / 2, shoulders.face] },
    },
  ]);
  const wedges = kerfsOf(joint).map((y): Brought => ({
    name: "Wedge",
    of: "wood",
    shape: { length: Math.max(1, length - relief.from - relief.hole / 2), width: kerf, thickness },
    place: { ...HOME, at: [relief.from + relief.hole / 2, y - kerf / 2, shoulders.face] },
  }));
  return {
    adds: [{ ...tenon(length), shows: true }],
    cuts: [tenon(behind)],
    own,
    ...(wedges.length > 0 ? { brings: wedges } : {}),
  };
}

/** One kerf in the middle of its thickness, along all its width. */
function oneKerf({ wedges, tenonWidth, thickness, shoulders, relief, kerf, length }: ThroughTenon) {
  if (wedges === 0) return { own: [] };
  const slit: JointBody = {
    shape: { length: Math.max(1, length - relief.from), width: tenonWidth, thickness: kerf },
    place: { ...HOME, at: [relief.from, shoulders.end, shoulders.face + (thickness - kerf) / 2] },
  };
  return { own: [slit], brings: [{ ...slit, name: "Wedge", of: "wood" } satisfies Brought] };
}

export const throughTenonHeld = ({ shoulders, tenonWidth }: ThroughTenon): Held[] => [
  { kind: "glue", name: "its wedged tenon", from: shoulders.end, to: shoulders.end + tenonWidth },
];

export function throughTenonCard(joint: ThroughTenon): SettingCard {
  const { thickness, tenonWidth, shoulders, tool, proud, wedges, relief, gain, length } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Mortise, through", setting: `${mm(thickness)} by ${mm(tenonWidth)}` },
      {
        what: "Cutter",
        setting: tool.kind === "none" ? `no cutter of ${mm(thickness)} in the shop` : `${mm(tool.size)} ${tool.kind}`,
      },
      { what: "Cut it", setting: "from both faces, to meet in the middle" },
      { what: "Shoulder to tip", setting: `${mm(length)}${proud > 0 ? `, ${mm(proud)} proud` : ", flush"}` },
      { what: "Shoulder depth each face", setting: fine(shoulders.face) },
      ...(joint.lengthwise && wedges > 0
        ? [
            { what: "One kerf along its width, in its middle", setting: `ends ${mm(relief.from)} from the shoulder` },
            { what: "Mortise flared outside along the grain of what it passes, each end", setting: fine(gain) },
            { what: "Wedge", setting: `${mm(joint.kerf + gain)} at the thick end, ${mm(tenonWidth)} wide` },
          ]
        : []),
      ...(!joint.lengthwise && wedges > 0
        ? [
            {
              what: `${wedges} kerfs, ending in a hole`,
              setting: `${mm(relief.hole)}, ${mm(relief.from)} from the shoulder`,
            },
            { what: "Mortise flared outside, each end", setting: fine(gain) },
            { what: "Wedges", setting: `${mm(joint.kerf + gain)} at the thick end, ${mm(thickness)} wide` },
          ]
        : []),
    ],
    marked: joint.lengthwise
      ? "Mortises are marked from the tenons themselves, held upside down on the face; the wedge presses on end grain, never across it."
      : "The shoulder line is marked from the posts as they stand; the tip is trimmed when the wedges are in.",
  };
}
