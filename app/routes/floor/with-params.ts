/** What is asked of the floor, as it stands in the address; a site or hall without a name is one all the same, and words that are none are left out. */
export const withParams = (params: Record<string, string | null>): string => {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(params))
    if (value !== null && (value !== "" || name !== "q")) search.set(name, value);
  return search.toString();
};
