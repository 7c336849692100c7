"use client";
import { useRouter } from "next/navigation";
import { startTransition, useEffect, useState } from "react";
import { ask } from "./ask";

/** How often the server is asked whether it is well again, ms. */
const ASK_AGAIN = 1500;

/** In place of a page while the server or its database rests: says so, and goes on by itself. A server that is well and still can't make the page is at fault itself, and says that. */
export function Resting({ onAwake }: { onAwake: () => void }) {
  const router = useRouter();
  const [well, setWell] = useState<boolean | null>(null);
  useEffect(() => {
    let rested = false;
    const look = async () => {
      const answer = await ask<{ ok: boolean }>("GET", "/api/health");
      if (answer.ok && rested) {
        startTransition(() => {
          router.refresh();
          onAwake();
        });
        return;
      }
      rested ||= !answer.ok;
      setWell(answer.ok);
    };
    void look();
    const timer = setInterval(() => void look(), ASK_AGAIN);
    return () => clearInterval(timer);
  }, [onAwake, router]);
  return (
    <main
      className="mx-auto max-w-xl p-10"
      role="alert"
      data-resting={well === null ? "looking" : well ? "fault" : "away"}
    >
      <h1>{well ? "This page could not be made" : "Taller’s database does not answer just now"}</h1>
      <p className="lede my-2">
        {well
          ? "The fault is Taller’s, and it is written in the server’s log. What was saved is safe."
          : "It may be restarting. What was saved is safe, what is not saved yet is kept in this browser, and this page goes on by itself."}
      </p>
      <p className="flex gap-2">
        <button className="button" onClick={() => location.reload()}>
          Try again now
        </button>
        {well && (
          <a className="button button-plain" href="/">
            Go to the bench
          </a>
        )}
      </p>
    </main>
  );
}
