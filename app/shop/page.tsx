import { currentWorkshop } from "../../store/workshops";
import { ShopView } from "../../ui/rack/ShopView";

export const dynamic = "force-dynamic";

export default async function ShopPage() {
  return <ShopView shop={(await currentWorkshop()).shop} />;
}
