"use client";
import { useEffect, useState } from "react";
import type { Cut } from "../../core/layout/search";
import { usePiece } from "../piece/PieceProvider";

interface Job {
  id: string;
  state: "waiting" | "running" | "done" | "stopped" | "failed";
  best: Cut | null;
  rounds: number;
  message: string | null;
  runners: boolean;
}

/** Sends the search to the server, where it goes on when this page is closed or the server restarts, and takes its answer when asked. */
export function ServerSearch() {
  const { id, edit } = usePiece();
  const [job, setJob] = useState<Job | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const open = job !== null && (job.state === "waiting" || job.state === "running");
  useEffect(() => {
    const look = async () => {
      try {
        const answer = await fetch(`/api/pieces/${id}/search`);
        if (answer.ok) setJob(((await answer.json()) as { job: Job | null }).job);
      } catch {
        setFault("The server does not answer; its search goes on. Trying again.");
      }
    };
    void look();
    if (!open) return undefined;
    const timer = setInterval(() => void look(), 1000);
    return () => clearInterval(timer);
  }, [id, open]);
  const ask = async (method: "POST" | "DELETE") => {
    setFault(null);
    try {
      const answer = await fetch(`/api/pieces/${id}/search`, { method });
      const json = await answer.json();
      if (answer.ok) setJob(json.job);
      else setFault(json.message);
    } catch {
      setFault("The server does not answer. Nothing was sent; try again.");
    }
  };
  const share = job?.best ? Math.round((100 * job.best.round) / job.rounds) : 0;
  return (
    <>
      {open ? (
        <button className="button button-plain" data-job={job.state} onClick={() => void ask("DELETE")}>
          On the server {share} %, stop
        </button>
      ) : (
        <button className="button button-plain" data-job={job?.state ?? "none"} onClick={() => void ask("POST")}>
          Search on the server
        </button>
      )}
      {job && !open && job.best && (
        <button
          className="button"
          onClick={() =>
            edit(
              `Cuts laid out by the server: ${Math.round((100 * (job.best!.cost - job.best!.net)) / job.best!.cost)} % waste`,
              [{ path: ["cutting", "sections"], value: job.best!.sections }],
            )
          }
        >
          Lay out its answer, {((100 * (job.best.cost - job.best.net)) / job.best.cost).toFixed(1)} %
        </button>
      )}
      {(fault ?? (job?.state === "failed" ? job.message : null)) && (
        <p role="alert" className="basis-full text-right text-[13px] text-fix">
          {fault ?? job?.message}
        </p>
      )}
      {open && !job.runners && (
        <p className="basis-full text-right text-[13px] text-tight">
          No search runner is up; it starts with npm run demo.
        </p>
      )}
    </>
  );
}
