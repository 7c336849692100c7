import { MarkingStrips } from "../../../../../ui/sheets/MarkingStrips";

export default function StripsPage() {
  return <MarkingStrips />;
}
