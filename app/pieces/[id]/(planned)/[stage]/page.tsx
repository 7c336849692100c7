import { notFound } from "next/navigation";
import { Stage, STAGES } from "../../../../../core/verdict/verdict";
import { StageView } from "../../../../../ui/stages/StageView";

export default async function StagePage({ params }: { params: Promise<{ stage: string }> }) {
  const { stage } = await params;
  if (!(STAGES as readonly string[]).includes(stage)) notFound();
  return <StageView stage={stage as Stage} />;
}
