/** What bears the top, as what holds it works it and as sentences call it. */
import type { Bearer, Standing } from "./geometry";

/**
 * How what holds the top works a bearer: in and out of it where that runs along the top's grain, and by as much at most where it runs round
 * the base; along it where it runs across or aslant.
 */
export const worked = ({ run, round }: Pick<Bearer, "run" | "round">): Bearer["run"] => (round ? "along" : run);

/** How a sentence calls what bears the top along its grain, or across it or aslant: "end rail"; null where nothing does. */
export const bearersSaid = (at: Pick<Standing, "bearers">, run: "along" | "across"): string | null =>
  at.bearers.find((each) => (worked(each) === "along") === (run === "along"))?.said ?? null;
