import type { Piece } from "../piece/schema";
import { Level, Stage, STAGES, Verdict, worst } from "./verdict";

/** The sign at each mark of the stick: the worst verdict, or a ring where nothing is begun. */
export function stageLevels(verdicts: readonly Verdict[], piece: Piece): { stage: Stage; level: Level | null }[] {
  return STAGES.map((stage) => {
    const level = worst(verdicts.filter((each) => each.stage === stage));
    const begun = stage === "build" ? piece.done.length > 0 : stage === "log" ? piece.log.length > 0 : true;
    return { stage, level: begun || level === "fix" ? level : null };
  });
}
