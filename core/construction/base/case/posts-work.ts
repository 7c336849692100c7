/** Posts come to the sides before anything else does: one pass then cuts across all three. */
import { Step, stepOf as step, TIME } from "../../../steps/step";

export function postSteps(
  posts: readonly string[],
  { sized, milled, fullHours, clampHours }: { sized: string; milled: string[]; fullHours: number; clampHours: number },
): Step[] {
  const parts = ["case-side", ...posts];
  return [
    step({
      id: "post-slots",
      title: "Slot posts and sides for loose tenons",
      detail:
        "All from the inner faces, which end flush: the fence on them in posts and sides alike. Posts lettered as they stand, their best faces out and forward.",
      parts,
      after: [sized, ...milled],
      hours: 1.5,
      check: "Dry, a straightedge across post and side inside shows no step.",
    }),
    step({
      id: "glue-posts",
      title: "Glue the posts to the sides",
      detail:
        "One side at a time, lying on its inner face on flat cauls: glue on the whole edge, a post each way, clamps across every 250 mm in line with the side’s middle. What squeezes out in the corner outside is scraped when it is rubbery.",
      parts,
      after: ["post-slots"],
      hours: TIME.glueFrame * 2,
      wait: fullHours,
      waitFor: "the sides to cure",
      clamps: 6,
      clampHours,
      check: "Flush inside from end to end; posts parallel, the side’s upper edge level with their heads.",
    }),
  ];
}
