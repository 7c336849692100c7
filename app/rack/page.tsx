import { ANY_BOARD } from "../../core/stock/rack-query";
import { rackPage, rackSum } from "../../store/boards";
import { currentWorkshop } from "../../store/workshops";
import { RackView } from "../../ui/rack/RackView";
import { isoToday } from "../api/answer";

export const dynamic = "force-dynamic";

export default async function RackPage() {
  const workshop = await currentWorkshop();
  const [boards, sum] = await Promise.all([rackPage(workshop.id, ANY_BOARD, 0), rackSum(workshop.id, ANY_BOARD)]);
  return <RackView first={{ boards, sum }} ownSpecies={workshop.ownSpecies} today={isoToday()} />;
}
