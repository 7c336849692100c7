import { refuse, route } from "../../answer";
import { askDevice } from "../ask";

/** One reading of a device, or the logger's whole log. */
export const GET = route(async (request: Request, { params }: { params: Promise<{ device: string }> }) => {
  const { device } = await params;
  const near = Number(new URL(request.url).searchParams.get("near") ?? "300");
  if (device === "log") return askDevice("/logger/log.csv?days=400&minutes=180");
  if (!["meter", "caliper", "logger"].includes(device)) return refuse("There is no such device on the bench.", 404);
  return askDevice(`/${device}/reading${device === "caliper" ? `?near=${Number.isFinite(near) ? near : 300}` : ""}`);
});
