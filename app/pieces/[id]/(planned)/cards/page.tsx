import { CardsView } from "../../../../../ui/cards/CardsView";

export default function CardsPage() {
  return <CardsView />;
}
