import { useEffect, useSyncExternalStore } from "react";
import { later, useLater } from "~/ui/use-later";
import { lockedNow, onLock, unlockForOthers } from "./signed-fetch";

const box = later(async () => (await import("./lock-box")).LockBox);

/** Over a page whose person the server no longer knows as signed in, or that went to somebody else. */
export function Lock({ person }: { person: { id: string; name: string; hasPin: boolean } }) {
  const locked = useSyncExternalStore(onLock, lockedNow, () => null);
  useEffect(() => unlockForOthers(person.id), [person.id]);
  const Box = useLater(box, locked !== null);
  return locked && Box && <Box person={person} locked={locked} />;
}
