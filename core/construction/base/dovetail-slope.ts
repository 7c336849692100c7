/** Which slope of dovetails a wood wants. */
import type { Slope } from "../../joinery/dovetail";
import { set, Verdict, verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";

/** Wood lighter than this is soft to a tail, kg/m³. @source common practice: soft wood crushes at a steep tail, hard wood breaks at a flat one */
const SOFT = 550;

/** @param path  where the choice is kept */
export function dovetailSlope(
  slope: Slope,
  species: Pick<Species, "density">,
  subject: string[],
  path: string[],
): Verdict {
  const soft = species.density < SOFT;
  const usual = soft ? "1:6" : "1:8";
  const fits = slope === usual;
  const said = (of: string) => of.replace(":", " in ");
  return verdict({
    id: "form.dovetail-slope",
    stage: "form",
    subject,
    level: fits ? "holds" : "tight",
    text: fits
      ? `Tails slope ${said(slope)}, as ${soft ? "soft" : "hard"} wood has them`
      : `Tails that slope ${said(slope)} suit ${soft ? "hard" : "soft"} wood`,
    why: soft
      ? "Soft wood crushes under the slope as the joint is pulled: more of it holds longer."
      : "The corners of steep tails are short grain, which hard wood lets break.",
    remedies: fits ? [] : [set(`Slope them ${said(usual)}`, path, usual)],
  });
}
