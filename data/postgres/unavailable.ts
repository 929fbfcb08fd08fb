const connectionCodes = new Set(["ECONNREFUSED", "ECONNRESET", "ENOTFOUND", "EPIPE", "ETIMEDOUT"]);

/** Whether an error means that the database cannot be reached now, as opposed to having refused what was asked. */
export function isUnavailable(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  if (error instanceof AggregateError && error.errors.some(isUnavailable)) return true;
  const code = (error as { code?: unknown }).code;
  if (typeof code === "string") {
    // 08: connection exception; 57P01 to 57P03: shut down, crashed, starting up (PostgreSQL error codes, appendix A).
    return connectionCodes.has(code) || code.startsWith("08") || /^57P0[123]$/.test(code);
  }
  return /Connection terminated|timeout exceeded when trying to connect|Query read timeout|Client has encountered a connection error/i.test(
    error.message,
  );
}

/** Whether somebody else held too long what was wanted (55P03), or it took too long altogether (57014): the database is well, and busy. */
export const isLocked = (error: unknown): boolean =>
  error instanceof Error && ["55P03", "57014", "40P01", "40001"].includes(String((error as { code?: unknown }).code));

/** Whether what was asked with is no id, number, time or text at all (class 22, data exception): nothing can be found by it. */
export const isMalformed = (error: unknown): boolean =>
  error instanceof Error && /^22(P0[25]|00[378]|021)$/.test(String((error as { code?: unknown }).code));
