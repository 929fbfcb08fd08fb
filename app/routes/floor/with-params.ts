/** What is asked of the floor, as it stands in the address; what is empty is left out. */
export const withParams = (params: Record<string, string | null>): string => {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(params)) if (value) search.set(name, value);
  return search.toString();
};
