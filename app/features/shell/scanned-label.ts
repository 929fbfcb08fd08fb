/** The machine that a scanned label leads to: a scanner types the whole address of the label. */
export const scannedLabel = (typed: string): string | null =>
  /\/at\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})(?:[/?#]|$)/i.exec(typed)?.[1]?.toLowerCase() ?? null;
