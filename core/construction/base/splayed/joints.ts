import { blindTenon, Meets, TENON } from "../../../joinery/blind-tenon";
import { bridle } from "../../../joinery/bridle";
import { halfLap } from "../../../joinery/half-lap";
import type { KindOfJoint } from "../../../joinery/kinds";
import { levelHead } from "../../../joinery/level-head";
import { TenonChoice, USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { fine, mm } from "../../../verdict/verdict";
import type { SettingCard } from "../../../joinery/joint";
import { legFace, Splayed } from "./place";
import { steady } from "../../../units/steady";

/** Loose tenons: one cut on a head, or on a mitre, would stand across its grain. */
const LOOSE: TenonChoice = { ...USUAL_TENON, kind: "loose" };

/** A slot a third as thick as a round head leaves so much of its width. @source derived: √(1 − 1/9) */
const ROUND_HEAD = 0.94;

/** The joints of splayed legs, a group at a time. */
export function splayedJoints(at: Splayed, _: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const { arms, arm, section, lean, lapped, heads } = at;
  const meets = (receives: string, enters: string, name: string, count: number): Meets => {
    const group = `${receives}+${enters}`;
    return { id: group, group, name, receives, enters, count };
  };
  const set = (group: string, usual: TenonChoice) => choices.groups[group] ?? usual;
  const legs =
    heads === "fork"
      ? bridle({
          meets: meets("splayed-leg", "arm", "Arm into leg", arms.length),
          section: { width: arm.depth / lean.cos, thickness: arm.thickness },
          into: { depth: section, thickness: section },
          off: lean.degrees,
          thickness: set("splayed-leg+arm", USUAL_TENON).thickness,
        })
      : heads === "face"
        ? faceJoint(at, { kind: "arm", name: "Arm into leg", size: arm }, { choices, shop })
        : levelHead({
            meets: meets("arm", "splayed-leg", "Leg to arm", arms.length),
            setting: set("arm+splayed-leg", LOOSE),
            ...{
              shop,
              level: (at.round ? ROUND_HEAD : 1) * lean.level,
              thickness: (at.round ? ROUND_HEAD : 1) * section,
            },
            into: { depth: arm.depth, thickness: arm.thickness },
            lean: lean.degrees,
          });
  const turn = ((arms[1].angle - arms[0].angle) * 180) / Math.PI;
  const between = ((turn % 180) + 180) % 180;
  /** spokes that cross, or meet in the middle */
  const middle = (kind: string, said: string, size: Splayed["arm"], lines: SettingCard["lines"]): KindOfJoint =>
    lapped
      ? halfLap({
          meets: meets(kind, kind, `${said} across ${said.toLowerCase()}`, 1),
          ...{ width: size.thickness, thickness: size.depth, angle: between, set: lines },
        })
      : hub(
          { arms, size },
          meets(kind, kind, `${said} to ${said.toLowerCase()} in the middle`, arms.length),
          set(`${kind}+${kind}`, LOOSE),
          shop,
        );
  const out = [legs, middle("arm", "Arm", arm, lapSet(at, between))];
  return at.star
    ? [
        ...out,
        faceJoint(at, { kind: "star", name: "Star stretcher to leg", size: at.star }, { choices, shop }),
        middle("star", "Stretcher", at.star, crossing(between)),
      ]
    : out;
}

/** Loose tenons square to a leg's inner face: sized at the face that leans most. */
function faceJoint(
  at: Splayed,
  { kind, name, size }: { kind: string; name: string; size: Splayed["arm"] },
  { choices, shop }: { choices: JointChoices; shop: Shop },
): KindOfJoint {
  const face = legFace(at, at.arms[0], size.from + size.depth / 2);
  const group = `splayed-leg+${kind}`;
  const asked = choices.groups[group] ?? LOOSE;
  return blindTenon({
    meets: {
      id: group,
      group,
      name,
      receives: "splayed-leg",
      enters: kind,
      count: at.arms.length,
    },
    section: { width: size.depth / face.way.out, thickness: size.thickness },
    into: { depth: face.section, thickness: face.section },
    // a tenon of its own would stand in the hollow that fits the round
    setting: at.round && asked.kind === "tenon" ? { ...asked, kind: "loose" } : asked,
    // a star only keeps feet apart; an arm keeps its leg from folding
    ...{ shop, pushed: kind === "star" },
  });
}

const crossing = (angle: number) => [{ what: "The stretchers cross at", setting: `${angle.toFixed(1)}°` }];

/** How long the face is that an arm shows its neighbour, from the middle out, mm. @param half  of the angle between the two, radians */
export const mitreFace = ({ thickness }: Pick<Splayed["arm"], "thickness">, half: number) =>
  thickness / 2 / Math.max(0.05, steady(Math.sin(half)));

/** Loose tenons across each mitre, as deep as those of the other mitre in the same arm leave them. */
function hub(
  { arms, size }: Pick<Splayed, "arms"> & { size: Splayed["arm"] },
  meets: Meets,
  setting: TenonChoice,
  shop: Shop,
): KindOfJoint {
  const half = Math.min(...arms.map(({ after }) => after));
  const long = mitreFace(size, half);
  const [sin, cos] = [steady(Math.sin(half)), Math.max(0.05, steady(Math.cos(half)))];
  const inputs = {
    ...{ meets, setting: { ...setting, tenons: setting.tenons ?? 1 }, shop, pushed: true },
    section: { width: size.depth, thickness: long },
    // the far side of an arm, square to the face from its middle
    into: { depth: (long * sin) / 2 / cos + size.thickness / 2 / cos, thickness: long },
  };
  const { thickness } = blindTenon(inputs);
  const room = (sin * (long - thickness)) / 2 - 1;
  return blindTenon({ ...inputs, most: Math.max(1, Math.floor(room / cos - TENON.mortiseDeeper)) });
}

function lapSet({ lean, arms }: Splayed, angle: number) {
  return [
    { what: "The arms cross at", setting: `${angle.toFixed(1)}°` },
    { what: "Middle of the lap, from the shoulder’s upper edge", setting: mm(arms[0].head - lean.level) },
  ];
}

/** What a leg is set out by, for its card and its step. */
export const legNumbers = ({ lean, section }: Splayed) => [
  { what: "Splay, from upright", setting: `${lean.degrees.toFixed(1)}°` },
  { what: "Both ends level, parallel, off square", setting: `${lean.degrees.toFixed(1)}°` },
  { what: "Along each edge", setting: mm(lean.edge) },
  { what: "Over both points", setting: mm(lean.length) },
  { what: "A level cut is long", setting: fine(lean.level) },
  { what: "Leg before it is tapered", setting: `${mm(section)} square` },
];
