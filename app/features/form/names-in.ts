/** Names with a comma between them. */
export const namesIn = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter((name) => name !== "");
