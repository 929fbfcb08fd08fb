let person = "";

/** Told by the root as it is drawn in a browser: for whom the server made this page. */
export function pageIsOf(personId: string | undefined): void {
  if (typeof window !== "undefined") person = personId ?? "";
}

/** Whose page this is; empty for nobody's. */
export const pagePerson = (): string => person;
