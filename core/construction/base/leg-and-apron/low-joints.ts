import { Meets, TENON } from "../../../joinery/blind-tenon";
import { EndJoint, endJoint } from "../../../joinery/end-joint";
import { USUAL_TENON } from "../../../piece/base-choices";
import type { JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import type { LowStretcher, LowStretchers } from "./low";

/** Tenons that come at one another in a leg stay so far apart, mm. @source common practice */
const APART = 3;

/** The joints of low stretchers, a group at a time; two that meet in a leg are each short enough to pass. */
export function lowJoints(low: LowStretchers, choices: JointChoices, shop: Shop): EndJoint[] {
  const section = { width: low.depth, thickness: low.thickness };
  const box = low.all.some(({ kind }) => kind === "stretcher");
  const sized = (who: Omit<Meets, "id" | "group">, into: { depth: number; thickness: number }, meets: boolean) => {
    const group = `${who.receives}+${who.enters}`;
    const inputs = {
      ...{ meets: { ...who, id: group, group }, section, into, shop },
      setting: choices.groups[group] ?? USUAL_TENON,
      pushed: who.enters === "middle-stretcher",
    };
    const alone = endJoint(inputs);
    if (!meets || alone.kind === "pocket-screwed") return alone;
    const thick = alone.kind === "dowelled" ? alone.hole : alone.thickness;
    const most = into.depth / 2 - (alone.rows * thick) / 2 - TENON.mortiseDeeper - APART;
    return endJoint({ ...inputs, most: Math.max(1, most) });
  };
  const count = (kind: LowStretcher["kind"]) => 2 * low.all.filter((each) => each.kind === kind).length;
  const { along, across } = low.leg;
  const all: EndJoint[] = [
    sized(
      { name: "End stretcher to leg", receives: "leg", enters: "end-stretcher", count: count("end-stretcher") },
      { depth: across, thickness: along },
      box,
    ),
  ];
  if (box)
    all.push(
      sized(
        { name: "Stretcher to leg", receives: "leg", enters: "stretcher", count: count("stretcher") },
        { depth: along, thickness: across },
        true,
      ),
    );
  if (count("middle-stretcher") > 0)
    all.push(
      sized(
        {
          name: "Middle stretcher to end stretcher",
          receives: "end-stretcher",
          enters: "middle-stretcher",
          count: count("middle-stretcher"),
        },
        { depth: low.thickness, thickness: low.depth },
        false,
      ),
    );
  return all;
}
