/** What holds a mitre from outside, once it is glued: keys in saw cuts across the corner, or dowels through it, square to the cut. */
import { HOME } from "../assembly/place";
import { straight } from "../assembly/outline";
import { fine, mm } from "../verdict/verdict";
import { bevelSawn } from "./cutters";
import { dowelOf } from "./dowelled";
import { Brought, JointBody, round, SettingCard } from "./joint";
import type { Mitre, MitreInputs } from "./mitred";

/**
 * A key for so much of the edge, its cut so far into the corner; a dowel for so much, its middle so far; two at least, the outermost so far in:
 * shares of the cut and of a pitch, mm. A dowel's diameter is asked for as if the board were so much thinner.
 *
 * @source common practice
 */
const KEY = { every: 70, deep: 0.65, wall: { good: 6, least: 3 } };
const DOWEL = { every: 90, at: 0.45, thinner: 0.75, wall: { good: 4, least: 2.5 } };
const LEAST = 2;

/** Sizes them: keys as thick as the saw cuts, dowels of those that are sold. */
export function throughCorner({
  meets,
  width,
  board,
  angle = 90,
  held = "keys",
  setting,
  shop,
  set,
}: MitreInputs): Mitre {
  const half = (angle / 2) * (Math.PI / 180);
  const long = board / Math.sin(half);
  const keys = held === "keys";
  const { diameter, hole } = dowelOf(shop, board * DOWEL.thinner, setting);
  const thick = keys ? (setting.thickness ?? shop.kerf) : diameter;
  const count = setting.tenons ?? Math.max(LEAST, Math.round(width / (keys ? KEY : DOWEL).every));
  const reach = setting.length ?? Math.round((keys ? KEY.deep : DOWEL.at) * long);
  const left = long - reach - (keys ? 0 : hole / 2);
  return {
    ...meets,
    kind: "mitre",
    ...{ board, angle, held, thickness: thick, tenons: count, tenonWidth: keys ? thick : hole, reach, set },
    tool: keys ? { kind: "router bit", size: 0 } : { kind: "drill", size: hole },
    gap: width / count - (keys ? thick : hole),
    section: { width, thickness: long },
    behind: board * Math.cos(half),
    sawn: bevelSawn(board, shop),
    length: 0,
    glueArea: width * long,
    walls: [
      {
        where: `from the ${keys ? "keys’ cuts" : "dowels"} to the inside corner`,
        left,
        ...(keys ? KEY : DOWEL).wall,
      },
    ],
  };
}

/** Middles of them along the edge: half a pitch in from both ends. */
export const alongCorner = ({ section: { width }, tenons }: Pick<Mitre, "section" | "tenons">): number[] =>
  Array.from({ length: tenons }, (_, i) => ((i + 0.5) * width) / tenons);

/** As far from the cut as a board goes at a depth from the outside corner: its face leaves the cut at half the angle. */
const outTo = ({ angle }: Mitre, depth: number) => depth * Math.tan((angle / 2) * (Math.PI / 180));

export function cornerBodies(joint: Mitre): { cuts: JointBody[]; own: JointBody[]; brings: Brought[] } {
  const { thickness, tenonWidth, reach, held } = joint;
  const middles = alongCorner(joint);
  const cut = { shows: true, when: "closed" as const };
  if (held === "dowels") {
    const far = outTo(joint, reach + tenonWidth) + 1;
    const bored = (from: number, to: number) =>
      middles.map((y): JointBody => ({ ...round("x", tenonWidth, [from, y, reach], to - from), ...cut }));
    const out = outTo(joint, reach - thickness / 2);
    return {
      cuts: bored(0, far),
      own: bored(-far, 0),
      brings: middles.map((y): Brought => ({
        ...round("x", thickness, [-out, y, reach], 2 * out),
        ...{
          name: "Dowel",
          of: "wood",
          sold: { diameter: thickness, length: Math.ceil(2 * outTo(joint, reach) + 10) },
        },
      })),
    };
  }
  const far = outTo(joint, reach);
  const sawn = (from: number, to: number) =>
    middles.map((y): JointBody => ({
      shape: { length: to - from, width: tenonWidth, thickness: reach },
      place: { ...HOME, at: [from, y - tenonWidth / 2, 0] },
      ...cut,
    }));
  return {
    cuts: sawn(0, far),
    own: sawn(-far, 0),
    brings: middles.map((y): Brought => ({
      // seen along the edge: the triangle that stays of it once it is flush
      shape: {
        ...{ length: 2 * far, width: tenonWidth, thickness: reach },
        edge: {
          outer: straight([
            [far, 0],
            [2 * far, reach],
            [0, reach],
          ]),
          holes: [],
        },
      },
      place: { ...HOME, at: [-far, y - tenonWidth / 2, 0] },
      ...{ name: "Key", of: "wood" },
    })),
  };
}

/** How they are cut and set. */
export function cornerLines(joint: Mitre): SettingCard["lines"] {
  const { section, thickness, tenonWidth, tenons, reach, held } = joint;
  const pitch = section.width / tenons;
  const where = `${tenons}, the first ${fine(pitch / 2)} from the edge, ${fine(pitch)} from one to the next`;
  return held === "keys"
    ? [
        { what: "Keys, once the corner is glued", setting: where },
        {
          what: "Their cuts",
          setting: `${fine(tenonWidth)} wide, ${mm(reach)} into the corner, in a cradle at half its angle`,
        },
        {
          what: "Key, its grain across the corner",
          setting: `${fine(thickness)} thick, ${mm(Math.ceil(2 * outTo(joint, reach)) + 10)} by ${mm(reach + 10)}: sawn and planed flush, toward the corner`,
        },
      ]
    : [
        { what: "Dowels, once the corner is glued", setting: where },
        {
          what: "Their holes, square to the cut",
          setting: `${fine(tenonWidth)} through both boards, ${mm(reach)} from the outside corner measured along the cut: ${fine(reach / Math.cos((joint.angle / 2) * (Math.PI / 180)))} along the face`,
        },
        {
          what: "Dowel",
          setting: `${mm(thickness)}, ${mm(Math.ceil(2 * outTo(joint, reach) + 10))} long: sawn and planed flush`,
        },
      ];
}
