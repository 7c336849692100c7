import { rack } from "../../store/boards";
import { currentWorkshop } from "../../store/workshops";
import { RackView } from "../../ui/rack/RackView";

export const dynamic = "force-dynamic";

export default async function RackPage() {
  const workshop = await currentWorkshop();
  return <RackView boards={await rack(workshop.id, null)} ownSpecies={workshop.ownSpecies} />;
}
