import { Templates } from "../../../../../ui/sheets/Templates";

export default function TemplatesPage() {
  return <Templates />;
}
