import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import { add, cross, minus, times, unit, Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import { kerfTurn, staked, Staked } from "../../../joinery/staked";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import type { BaseFacts } from "../base";
import { leaningPlace, leaningRound, leaningShape } from "../leaning";
import { StakedLeg, StakedLegs, taperFrom } from "./place";
import { steady } from "../../../units/steady";

/** How far legs are drawn off the top when the piece is pulled apart, mm. */
const PULL = { out: 60, down: 160 };
const GROUP = "top+staked-leg";

export function stakedParts({ at, form }: BaseFacts<StakedLegs>): AssemblyPart[] {
  const { lean, footSection, section, round } = at;
  const angle = lean.degrees > 0 ? `, ${lean.degrees.toFixed(1)}° off square and parallel` : "";
  const drawn = footSection < section ? (round ? ", turned thinner to the foot" : ", tapered to the foot") : "";
  return at.legs.map((leg, i): AssemblyPart => ({
    ...{ id: `L${i + 1}`, kind: "staked-leg", name: "Leg", said: "leg", plural: "Legs", letter: "L", role: "leg" },
    make: form.staked.make,
    note: `${round ? "Turned round" : "Square"}${drawn}; foot and shoulder level${angle}, its tenon along its own line.`,
    shape: round ? leaningRound(at) : leaningShape(at, taperFrom(at)),
    place: leaningPlace(at, leg),
    ...{ adds: [], cuts: [], opens: [leg.x * PULL.out, -PULL.down, leg.z * PULL.out] },
  }));
}

/** One joint for legs whose kerfs stand alike, seen along each. */
export function stakedJoints(at: StakedLegs, form: Form, _: JointChoices, shop: Shop): KindOfJoint[] {
  const found: Staked[] = [];
  for (const leg of at.legs) {
    const joint = jointOf(at, leg, form, shop);
    const same = found.find((each) => turnsAlike(each, joint));
    if (same) same.count += 1;
    else found.push({ ...joint, id: found.length === 0 ? GROUP : `${GROUP}-${found.length + 1}` });
  }
  return found;
}

/** The same joint, or its mirror image. */
const turnsAlike = (a: Staked, b: Staked) => Math.abs(Math.abs(a.kerfAt) - Math.abs(b.kerfAt)) < 1e-6;

function jointOf({ section, top, lean }: StakedLegs, leg: StakedLeg, form: Form, shop: Shop): Staked {
  return staked({
    meets: { id: GROUP, group: GROUP, name: "Leg into the top", receives: "top", enters: "staked-leg", count: 1 },
    ...{ section, top: top.thickness, lean: lean.degrees, tenon: form.staked.tenon },
    way: wayOf(leg),
    ...{ kerf: shop.kerf, cutters: shop.chisels },
  });
}

/** Whether what lies over the legs is one panel. */
export const isOnePanel = ({ field, ends }: Pick<Form, "field" | "ends">) =>
  (field === "solid" || field === "stripes") && ends === "none";

export function stakedMeetings({ at, form, joints }: BaseFacts<StakedLegs>): Meeting[] {
  // what lies over them that is not one panel is not joined: a rule says so
  if (!isOnePanel(form)) return [];
  const all = joints.filter((each): each is Staked => each.kind === "staked");
  return at.legs.flatMap((leg, i): Meeting[] => {
    const place = leaningPlace(at, leg);
    const side = unit(cross(place.x, place.y));
    const head: Vec = [leg.from.x, at.under, leg.from.z];
    const corner = minus(head, times(add(place.y, side), at.section / 2));
    const turn = kerfTurn(form.staked.tenon.shape, at.lean.degrees, wayOf(leg));
    const joint = all.find((each) => Math.abs(Math.abs(each.kerfAt) - Math.abs(turn)) < 1e-6);
    return joint
      ? [
          {
            ...{ joint, enters: `L${i + 1}`, receives: "T" },
            face: { at: corner, x: place.x, y: place.y },
            outward: Math.sign(turn) === Math.sign(joint.kerfAt) ? 1 : -1,
          },
        ]
      : [];
  });
}

/** Which way a leg leans, from the line along the top, degrees. */
export const wayOf = ({ x, z }: Pick<StakedLeg, "x" | "z">) => steady((Math.atan2(z, x) * 180) / Math.PI);
