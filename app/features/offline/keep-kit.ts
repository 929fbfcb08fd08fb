import { useEffect } from "react";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { keepSnapshot, snapshotOf } from "./snapshots";

/** Keeps on this tablet what a job on the machine needs, while its page is open. */
export function useKeptKit(machineId: string): void {
  useEffect(() => {
    const asking = new AbortController();
    fetch(`/machines/${machineId}/kit`, { signal: asking.signal })
      .then(async (response) => response.ok && keepSnapshot("machine", machineId, await response.json()))
      .catch(() => undefined);
    return () => asking.abort();
  }, [machineId]);
}

export const keptKit = (machineId: string): Promise<Kit | null> => snapshotOf<Kit>("machine", machineId);
