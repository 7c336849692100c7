"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { createPlanner, PlanFailed } from "../../core/plan";
import { TriedRemedy, triedRemedy } from "../../core/tried";
import type { Verdict } from "../../core/verdict/verdict";
import { useOpenPiece } from "../piece/PieceProvider";

/** Browsers that know no idle time get a moment instead, ms. */
const SOON = 20;

/**
 * Remedies of these verdicts that mend them, with what each makes worse, by verdict. They are tried one at a time while the page is idle;
 * what was found for the piece as it stood before stays until it is tried again.
 */
export function useTried(verdicts: readonly Verdict[]): ReadonlyMap<string, readonly TriedRemedy[]> {
  const { piece, plan, shop, rack, ownSpecies, today } = useOpenPiece();
  const planner = useRef<ReturnType<typeof createPlanner>>(undefined);
  planner.current ??= createPlanner();
  const [found, setFound] = useState<ReadonlyMap<string, readonly TriedRemedy[]>>(new Map());
  const asked = useRef(verdicts);
  asked.current = verdicts;
  const wanted = verdicts.length > 0;
  useEffect(() => {
    if (!plan || !wanted) return undefined;
    const inputs = { piece, shop, rack, ownSpecies, today };
    const open = asked.current.filter(({ remedies }) => remedies.length > 0);
    let left = false;
    const next = () => {
      const verdict = open.shift();
      if (!verdict || left) return;
      const tried = verdict.remedies.flatMap((remedy) => {
        try {
          return [triedRemedy({ inputs, plan, planner: planner.current! }, verdict, remedy)];
        } catch (error) {
          if (error instanceof PlanFailed) return [];
          throw error;
        }
      });
      setFound((before) =>
        new Map(before).set(
          verdict.id,
          tried.filter(({ mends }) => mends),
        ),
      );
      whenIdle(next);
    };
    whenIdle(next);
    return () => {
      left = true;
    };
  }, [piece, plan, shop, rack, ownSpecies, today, wanted]);
  // a remedy that was found for what stood under this name before is nothing to press now
  return useMemo(
    () =>
      new Map(
        verdicts.map(({ id, remedies }) => [
          id,
          (found.get(id) ?? []).filter(({ label }) => remedies.some((each) => each.label === label)),
        ]),
      ),
    [found, verdicts],
  );
}

const whenIdle = (work: () => void) =>
  typeof requestIdleCallback === "undefined" ? setTimeout(work, SOON) : requestIdleCallback(work, { timeout: 500 });
