import { notFound } from "next/navigation";
import { boardOf } from "../../../store/boards";
import { historyOf } from "../../../store/history";
import { currentWorkshop } from "../../../store/workshops";
import { BoardView } from "../../../ui/rack/BoardView";
import { isBoardName, isoToday } from "../../api/answer";

export const dynamic = "force-dynamic";

export default async function BoardPage({ params }: { params: Promise<{ board: string }> }) {
  const id = (await params).board;
  if (!isBoardName(id)) notFound();
  const workshop = await currentWorkshop();
  if (id === "new")
    return (
      <BoardView
        found={null}
        left={null}
        history={[]}
        shop={workshop.shop}
        ownSpecies={workshop.ownSpecies}
        today={isoToday()}
      />
    );
  const found = await boardOf(workshop.id, id);
  if (!found) notFound();
  return (
    <BoardView
      key={id}
      found={found.board}
      left={found.left}
      history={await historyOf(workshop.id, id)}
      shop={workshop.shop}
      ownSpecies={workshop.ownSpecies}
      today={isoToday()}
    />
  );
}
