import { SPECIES } from "../../core/wood/species";
import { currentWorkshop } from "../../store/workshops";
import { FindAnything } from "../../ui/find/FindAnything";
import { ShopLinks, TopBar } from "../../ui/frame/TopBar";
import { SourcesView } from "../../ui/sources/SourcesView";

export const dynamic = "force-dynamic";

export default async function SourcesPage() {
  const { ownSpecies } = await currentWorkshop();
  return (
    <>
      <TopBar where={<span className="text-white">Sources</span>}>
        <ShopLinks here="sources" />
        <FindAnything />
      </TopBar>
      <SourcesView species={[...ownSpecies, ...SPECIES]} of={null} />
    </>
  );
}
