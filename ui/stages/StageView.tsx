"use client";
import { ComponentType } from "react";
import { Stage, STAGES, worst } from "../../core/verdict/verdict";
import { usePiece } from "../piece/PieceProvider";
import { StoryStick } from "../stick/StoryStick";
import { MeasureTwice } from "../twice/MeasureTwice";
import { BoardsStage } from "./Boards";
import { BriefStage } from "./Brief";
import { BuildStage } from "./Build";
import { CuttingStage } from "./Cutting";
import { FormStage } from "./Form";
import { GlueUpStage } from "./GlueUp";
import { JointsStage } from "./Joints";
import { LogStage } from "./Log";
import { MovementStage } from "./Movement";

const WORK: Record<Stage, ComponentType> = {
  brief: BriefStage, form: FormStage, movement: MovementStage, joints: JointsStage, boards: BoardsStage, "glue-up": GlueUpStage, cutting: CuttingStage, build: BuildStage, log: LogStage,
};
/** Stages with nothing done yet show a ring, not a judgement. */
const notBegun = (stage: Stage, piece: ReturnType<typeof usePiece>["piece"]) =>
  (stage === "build" && piece.done.length === 0) || (stage === "log" && piece.log.length === 0);

/** One stage: the stick above, the work in the middle, Measure twice beside it. */
export function StageView({ stage }: { stage: Stage }) {
  const { id, plan, piece } = usePiece();
  const Work = WORK[stage];
  const levels = STAGES.map((each) => {
    const level = worst(plan.verdicts.filter((verdict) => verdict.stage === each));
    return { stage: each, level: level !== "fix" && notBegun(each, piece) ? null : level };
  });
  return (
    <>
      <StoryStick piece={id} here={stage} levels={levels} />
      <main className="grid min-h-[calc(100vh-104px)] grid-cols-[minmax(0,1fr)_352px] max-lg:grid-cols-1" data-stage={stage}>
        <section className="flex min-w-0 flex-col gap-3 px-5 pt-3.5 pb-5"><Work /></section>
        <MeasureTwice stage={stage} />
      </main>
    </>
  );
}
