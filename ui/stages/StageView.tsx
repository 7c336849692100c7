"use client";
import { ComponentType } from "react";
import type { Stage } from "../../core/verdict/verdict";
import { stageLevels } from "../../core/verdict/levels";
import { Guarded } from "../piece/Guarded";
import { usePiece } from "../piece/PieceProvider";
import { NotDrawn } from "../piece/Planned";
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
  brief: BriefStage,
  form: FormStage,
  movement: MovementStage,
  joints: JointsStage,
  boards: BoardsStage,
  "glue-up": GlueUpStage,
  cutting: CuttingStage,
  build: BuildStage,
  log: LogStage,
};
/** One stage: the stick above, the work in the middle, Measure twice beside it. */
export function StageView({ stage }: { stage: Stage }) {
  const { id, plan, piece, head } = usePiece();
  const Work = WORK[stage];
  const levels = stageLevels(plan.verdicts, piece);
  return (
    <>
      <StoryStick piece={id} here={stage} levels={levels} />
      <main
        className="grid min-h-[calc(100vh-104px)] grid-cols-[minmax(0,1fr)_352px] max-lg:grid-cols-1"
        data-stage={stage}
      >
        <section className="flex min-w-0 flex-col gap-3 px-5 pt-3.5 pb-5">
          <Guarded at={head} instead={<NotDrawn />}>
            <Work />
          </Guarded>
        </section>
        <MeasureTwice stage={stage} />
      </main>
    </>
  );
}
