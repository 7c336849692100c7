import { ShopSheets } from "../../../../../ui/sheets/ShopSheets";

export default function SheetsPage() {
  return <ShopSheets />;
}
