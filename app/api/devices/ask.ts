import { refuse } from "../answer";

/** Where the bench's devices answer: on this machine only, unless told otherwise. */
const address = () => process.env.TALLER_DEVICES ?? "http://127.0.0.1:7377";
/** A device that takes longer has been switched off, milliseconds. */
const PATIENCE = 3000;

/** Passes one question on to the bench's devices; a sentence when none answers. */
export async function askDevice(path: string): Promise<Response> {
  try {
    const answer = await fetch(`${address()}${path}`, { signal: AbortSignal.timeout(PATIENCE), cache: "no-store" });
    return new Response(await answer.text(), {
      status: answer.ok ? 200 : 502,
      headers: { "content-type": answer.headers.get("content-type") ?? "application/json" },
    });
  } catch {
    return refuse(
      `No bench device answers at ${address()}. Switch them on, or run “npm run devices” for simulated ones.`,
      503,
    );
  }
}
