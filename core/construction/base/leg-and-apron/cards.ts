import { TENON } from "../../../joinery/blind-tenon";
import type { SettingCard } from "../../../joinery/joint";
import { fine, mm } from "../../../verdict/verdict";
import type { LegRailJoint } from "./joints";
import type { LegAndApron } from "./place";

/** Gauge and machine settings for a leg-to-rail joint. */
export function legRailCard(
  joint: LegRailJoint,
  { leg, under, crossRails, longRail }: Pick<LegAndApron, "leg" | "under" | "crossRails" | "longRail">,
): SettingCard {
  // a leg that runs up through the top goes on above its rails
  const above = joint.rail === "cross-rail" ? 0 : leg.length - under;
  const cross = joint.rail === "cross-rail";
  const loose = joint.kind === "loose-tenon";
  const cut =
    joint.tool.kind === "none"
      ? `no cutter of ${mm(joint.thickness)} in the shop`
      : `${mm(joint.tool.size)} ${joint.tool.kind === "loose tenon" ? "cutter" : joint.tool.kind}`;
  const lines = [
    {
      what: cross ? "Mortises beside the line squared down the rail" : "Mortise gauge, from the leg's outer face",
      setting: cross
        ? `${mm(joint.thickness / 2)} each side of it`
        : `${mm(joint.offset)} and ${mm(joint.offset + joint.thickness)}`,
    },
    ...(cross
      ? [
          {
            what: "Lines from a long rail's left shoulder",
            setting: crossRails.map(({ x }) => mm(longRail.shoulder / 2 + x)).join(", "),
          },
        ]
      : []),
    { what: "Cutter", setting: cut },
    { what: "Mortise depth", setting: mm(joint.mortiseDepth) },
    {
      what: "Mortise height",
      setting:
        joint.tenons === 1
          ? mm(joint.tenonWidth)
          : `${joint.tenons} of ${mm(joint.tenonWidth)}, ${mm(joint.gap)} between`,
    },
    {
      what: joint.rail === "cross-rail" ? "Mortise starts below the rail's top" : "Mortise starts below the leg's top",
      setting: mm(joint.shoulders.top + above),
    },
  ];
  if (loose)
    lines.push(
      {
        what: "Loose tenon",
        setting: `${mm(joint.thickness)} by ${mm(joint.tenonWidth)}, ${mm(2 * joint.length)} long`,
      },
      { what: "Mortise depth in the rail's end", setting: mm(joint.length + TENON.mortiseDeeper) },
    );
  else
    lines.push(
      { what: "Tenon cheeks, planed to fit from", setting: fine(joint.thickness + TENON.fit) },
      { what: "Shoulder to tip", setting: mm(joint.length) },
      { what: "Shoulder depth each face", setting: fine(joint.shoulders.outer) },
    );
  if (joint.mitre > 0)
    lines.push({ what: "Mitre the tip", setting: `45°, ${mm(joint.mitre)} back on the inner cheek` });
  if (joint.haunch)
    lines.push({ what: "Haunch", setting: `${mm(joint.haunch.width)} wide, ${mm(joint.haunch.depth)} deep` });
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines,
    marked: cross
      ? "Shoulders and places are marked from the dry-fitted frame; the list is their guide."
      : "Rails of a pair are marked together, with a knife: what counts is that both are of one length.",
  };
}
