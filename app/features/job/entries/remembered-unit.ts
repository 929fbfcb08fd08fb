const nameOf = (personId: string) => `harmostat unit ${personId}`;

/** In what this person took bare numbers last, on this browser; undefined: nobody said. */
export function rememberedUnit(personId: string): string | undefined {
  try {
    return localStorage.getItem(nameOf(personId)) ?? undefined;
  } catch {
    // Nothing kept, or nothing to be kept in.
    return undefined;
  }
}

export function rememberUnit(personId: string, unit: string): void {
  try {
    localStorage.setItem(nameOf(personId), unit);
  } catch {
    // A full or forbidden storage: it holds for this job.
  }
}
