/** Only a path of this site, for going back to where one came from; anything else goes to the floor. */
export const safePath = (to: unknown): string => (typeof to === "string" && /^\/(?![/\\])/.test(to) ? to : "/");
