import { notFound } from "next/navigation";
import { pastOf } from "../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../store/workshops";
import { HistoryView } from "../../../../ui/piece/HistoryView";
import { isId } from "../../../api/answer";

/** Every state a piece has been in: whatever happened, there is a way back. */
export default async function HistoryPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  if (!isId(id)) notFound();
  return <HistoryView past={await pastOf((await currentWorkshop()).id, id)} />;
}
