/** What a route answered: its JSON, or the sentence to show. `status` 0: nothing answered. */
export type Asked<T> = { ok: true; json: T } | { ok: false; status: number; message: string; json: unknown };

/** Asks a route of Taller. Never throws: silence and refusals are sentences. */
export async function ask<T = unknown>(
  method: "GET" | "POST" | "PUT" | "DELETE",
  address: string,
  body?: unknown,
): Promise<Asked<T>> {
  let answer: Response;
  try {
    answer = await fetch(
      address,
      body === undefined
        ? { method }
        : { method, headers: { "content-type": "application/json" }, body: JSON.stringify(body) },
    );
  } catch {
    return { ok: false, status: 0, message: "The server does not answer. Nothing was changed; try again.", json: null };
  }
  const json = (await answer.json().catch(() => null)) as (T & { message?: string }) | null;
  if (answer.ok && json !== null) return { ok: true, json };
  return {
    ok: false,
    status: answer.status,
    message: json?.message ?? `The server's answer (${answer.status}) can't be read. Reload the page and try again.`,
    json,
  };
}
