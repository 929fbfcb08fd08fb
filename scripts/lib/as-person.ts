/** The header by which every write says whose it is, as a page's own script sets it. */
export const personHeader = "X-Person";

/** Whose session a cookie opens, as the app itself says with every answer; "nobody" where it opens none. */
export const personOf = async (base: string, cookie: string): Promise<string> =>
  (await fetch(`${base}/offline`, { headers: { cookie } })).headers.get(personHeader) ?? "nobody";
