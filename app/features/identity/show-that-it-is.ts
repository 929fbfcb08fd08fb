import type { Refusal } from "~/core/quantity";

/** Shows the server that somebody is who their page says, and begins a session of theirs; why not, or null. */
export async function showThatItIs(personId: string, secret: string): Promise<Refusal | null> {
  try {
    const response = await fetch("/account/unlock", {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ personId, secret }),
      signal: AbortSignal.timeout(15_000),
    });
    const { refusal } = (await response.json()) as { refusal?: Refusal };
    return refusal ?? null;
  } catch {
    return { code: "offline", path: [], facts: {} };
  }
}
