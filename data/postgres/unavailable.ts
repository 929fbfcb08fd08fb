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
  return /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/i.test(
    error.message,
  );
}
