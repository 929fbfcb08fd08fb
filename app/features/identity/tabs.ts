import { useEffect } from "react";

const lastPerson = "harmostat person";

function note(personId: string): void {
  try {
    localStorage.setItem(lastPerson, personId);
  } catch {
    // Where nothing can be kept, the server still compares.
  }
}

/**
 * Says to the other tabs of this browser whose page the server made here, and loads this one anew when another says that somebody else is signed
 * in by now: nobody writes on under a name that is no longer theirs.
 *
 * @param personId empty for nobody; undefined where the server could not tell
 */
export function useOnePerson(personId: string | undefined): void {
  useEffect(() => {
    if (personId === undefined) return;
    // That nobody is signed in here may be a session that only rests: each page finds that out for itself, and waits in its place.
    if (personId !== "") note(personId);
    const changed = ({ key, newValue }: StorageEvent) => {
      if (key === lastPerson && newValue !== null && newValue !== personId) window.location.reload();
    };
    window.addEventListener("storage", changed);
    return () => window.removeEventListener("storage", changed);
  }, [personId]);
}

/** Whoever signs out says so to the other tabs. */
export const noteSignedOut = (): void => note("");
