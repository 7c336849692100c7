/** How a top is bevelled below. */
import type { Bevel } from "../construction/top/bevel";
import { fine, mm } from "../verdict/verdict";
import type { Step } from "./step";

export const bevelStep = (
  { rim, inward, angle }: Bevel,
  { curved, after }: { curved: boolean; after: string },
): Pick<Step, "id" | "title" | "detail" | "parts" | "hours" | "check" | "after"> => ({
  id: "bevel",
  title: "Bevel the top below",
  detail: `Gauged from its upper face: ${fine(rim)} all round on the edges, and a line ${mm(inward)} in on the underside. ${curved ? `Along curves roughed out with a drawknife or a carving disc to a pencil line half way, then spokeshave and scraper from line to line, always down the grain: it turns four times round a full circle.` : `Sawn on edge against a tall fence at ${Math.round(10 * angle) / 10}° where the top goes through the saw, planed to both lines where it does not; ends first, so that what breaks out there goes with the sides. Mitres at the corners come by themselves.`}`,
  parts: ["top"],
  after: [after],
  hours: curved ? 3 : 1.5,
  check: "From across the room the rim is one line; a straightedge from rim to line shows no light.",
});
