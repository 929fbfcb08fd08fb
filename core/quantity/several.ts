/**
 * Several quantities typed in one field with spaces or semicolons between: "42.9 42.88 42.9", "1.689 in 1.690 in", "1 3/8 in". A unit
 * belongs to the figure before it; a unit at the end alone stands for all of them.
 *
 * @returns each as it would be typed by itself
 */
export function severalQuantities(text: string): string[] {
  const tokens = text
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .replace(/;/g, " ; ")
    .trim()
    .split(/\s+/)
    .filter(Boolean);
  const quantities: string[] = [];
  let closed = true;
  for (const token of tokens) {
    if (token === ";") {
      closed = true;
      continue;
    }
    const last = quantities[quantities.length - 1];
    // A fraction right behind a whole number is part of it; a word is the unit of what stands before it.
    const fraction = /^\d+\/\d+/.test(token) && last !== undefined && /^\d+$/.test(last);
    if (!closed && last !== undefined && (fraction || !/^[+\-−.,\d]/.test(token)))
      quantities[quantities.length - 1] = `${last} ${token}`;
    else quantities.push(token);
    closed = false;
  }
  const unit = /[^\d\s.,/+\-−]\S*$/.exec(quantities[quantities.length - 1] ?? "")?.[0];
  const bare = (quantity: string) => /^[\d\s.,/+\-−]+$/.test(quantity);
  return unit && quantities.slice(0, -1).every(bare)
    ? quantities.map((quantity) => (bare(quantity) ? `${quantity} ${unit}` : quantity))
    : quantities;
}
