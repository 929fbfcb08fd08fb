/** What one can tell of a device by what its browser says of itself, without naming anybody's make. */
export const deviceWords = (userAgent: string): string =>
  /mobile|android|iphone|ipad|tablet/i.test(userAgent) ? "A phone or tablet" : "A computer";
