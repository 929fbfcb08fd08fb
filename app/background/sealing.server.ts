import type { Pool } from "~/data/postgres";
import type { StoredSeal } from "~/data/queries/seals";
import { type SealKey, sealNow } from "~/operations/seal";

export { sealKeyOf } from "~/operations/seal";

export type Sealing = { soon: () => void; end: () => Promise<void> };

const everyMs = 3 * 60_000;

/** Seals every few minutes, and soon after a signature; never two at a time in one process, and what comes meanwhile is sealed after it. */
export function startSealing(
  pool: Pool,
  key: SealKey,
  log: { warn: (facts: object, text: string) => void },
  noted: (seal: StoredSeal) => void,
): Sealing {
  let running: Promise<void> | null = null;
  let again = false;
  const seal = async (): Promise<void> => {
    do {
      again = false;
      try {
        const made = await sealNow(pool, key, new Date());
        if (made) noted(made);
        again ||= made?.more ?? false;
      } catch (error) {
        // The database is away, or the disk full: what waits is sealed with the next.
        log.warn({ error: (error as Error).message }, "not sealed");
      }
    } while (again);
    running = null;
  };
  const soon = (): void => {
    again = true;
    running ??= seal();
  };
  const timer = setInterval(soon, everyMs);
  soon();
  return {
    soon,
    end: async () => {
      clearInterval(timer);
      again = false;
      await running;
    },
  };
}
