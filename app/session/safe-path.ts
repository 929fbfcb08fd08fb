const here = "http://here.invalid";

/**
 * Only a path of this site, for going back to where one came from; anything else goes to the floor. Read as a browser reads it, which throws
 * away tabs and line ends and takes a backslash for a slash, and what is given back is what was read.
 */
export function safePath(to: unknown): string {
  if (typeof to !== "string" || !to.startsWith("/") || !URL.canParse(to, here)) return "/";
  const url = new URL(to, here);
  // A path that begins with two slashes would name another host once more.
  return url.origin === here && !url.pathname.startsWith("//") ? `${url.pathname}${url.search}${url.hash}` : "/";
}
