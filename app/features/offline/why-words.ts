/** Why what waits is not sent. */
export const whyWords = {
  "no-network": "There is no network.",
  server: "The server is away.",
  database: "The logbook is away.",
  "signed-out": "Sign in again to send it.",
  "other-person": "Somebody else is signed in now; it stays here for who made it.",
} as const;
