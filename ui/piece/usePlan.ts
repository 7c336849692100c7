"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Piece } from "../../core/piece/schema";
import { createPlanner, Plan, PlanFailed, PlanInputs, planPiece } from "../../core/plan";
import type { Failure } from "../../core/stages";
import type { Step } from "./session";

/** Where on its line a piece still was planned without a fault: the step to stand on, and what is taken back by that. */
export interface WayBack {
  to: number;
  label: string;
  steps: number;
}
/** A fault of Taller at this piece, and the way back from it: null when there is none, undefined while it is looked for. */
export interface Fault {
  message: string;
  back: WayBack | null | undefined;
}

/** Steps that are looked at for one without a fault. Ours: each is a whole plan. */
const FAR_BACK = 40;

/** The plan of a piece, null where nothing of it stands; and where it has a fault, the change that brought it. */
export function usePlan(
  inputs: PlanInputs,
  line: readonly Step[],
  head: number,
  stateAt: (n: number) => Promise<Piece | null>,
): { plan: Plan | null; fault: Fault | null } {
  const planner = useRef<ReturnType<typeof createPlanner>>(undefined);
  planner.current ??= createPlanner();
  const { piece, shop, rack, ownSpecies, today } = inputs;
  const { plan, failures } = useMemo(
    () => tried(planner.current!, { piece, shop, rack, ownSpecies, today }),
    [piece, shop, rack, ownSpecies, today],
  );
  const message = failures.length === 0 ? null : failures.map((each) => `${each.stage}: ${each.message}`).join("; ");
  const [back, setBack] = useState<WayBack | null | undefined>(undefined);
  const facts = useRef({ inputs, line, stateAt });
  facts.current = { inputs, line, stateAt };
  useEffect(() => {
    if (message === null) return undefined;
    console.error(`The plan of state ${head} failed: ${message}`);
    let left = false;
    setBack(undefined);
    void wayBack(facts.current.inputs, facts.current.line, head, facts.current.stateAt).then((found) => {
      if (!left) setBack(found);
    });
    return () => {
      left = true;
    };
  }, [message, head]);
  return { plan, fault: message === null ? null : { message, back } };
}

/** A plan or none, and what failed in it. */
function tried(
  planner: (inputs: PlanInputs) => Plan,
  inputs: PlanInputs,
): { plan: Plan | null; failures: readonly Failure[] } {
  try {
    const plan = planner(inputs);
    return { plan, failures: plan.failures };
  } catch (error) {
    if (!(error instanceof PlanFailed)) throw error;
    return { plan: null, failures: error.failures };
  }
}

async function wayBack(
  inputs: PlanInputs,
  line: readonly Step[],
  head: number,
  stateAt: (n: number) => Promise<Piece | null>,
): Promise<WayBack | null> {
  const from = line.findIndex((each) => each.n === head);
  for (let i = from - 1; i >= Math.max(0, from - FAR_BACK); i -= 1) {
    const piece = await stateAt(line[i].n);
    if (piece && tried(planPiece, { ...inputs, piece }).failures.length === 0)
      return { to: line[i].n, label: line[i + 1].label, steps: from - i };
  }
  return null;
}
