import { RUNNER } from "../store/jobs";
import { benchPage, benchSum } from "../store/summaries";
import { currentWorkshop } from "../store/workshops";
import { BenchView } from "../ui/bench/BenchView";

export const dynamic = "force-dynamic";

/** The bench: every piece drawn small to scale, with what it needs next. Nothing is planned here: the runner keeps the cards. */
export default async function Bench({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const away = (await searchParams).away !== undefined;
  const workshop = await currentWorkshop();
  const [pieces, sum] = await Promise.all([benchPage(workshop.id, away, 0), benchSum(workshop.id, RUNNER)]);
  return <BenchView key={away ? "away" : "bench"} first={{ pieces, sum }} away={away} shop={workshop.shop.name} />;
}
