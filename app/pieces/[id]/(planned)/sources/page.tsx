import { PieceSources } from "../../../../../ui/sources/PieceSources";

export default function PieceSourcesPage() {
  return <PieceSources />;
}
