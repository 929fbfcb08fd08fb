/** Where a machine's logbook ended when something was printed: what is compared later, by hand if need be. */
export const headWords = ({ seq, hash }: { seq: number; hash: string }): string =>
  `logbook at entry ${seq}, ${hash.slice(0, 16)}`;
