import { SPECIES } from "../../core/wood/species";
import { currentWorkshop } from "../../store/workshops";
import { SpeciesView } from "../../ui/rack/SpeciesView";

export const dynamic = "force-dynamic";

export default async function SpeciesPage() {
  return <SpeciesView species={[...(await currentWorkshop()).ownSpecies, ...SPECIES]} />;
}
