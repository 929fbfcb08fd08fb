const mostKept = 60;

/**
 * A drawing that is made once, however often it is looked at: a server draws the same stages all day.
 *
 * @param keyOf everything that the drawing depends on
 */
export function drawnOnce<Asked extends readonly unknown[], Drawn>(
  keyOf: (...asked: Asked) => unknown,
  draw: (...asked: Asked) => Drawn,
): (...asked: Asked) => Drawn {
  const kept = new Map<string, Drawn>();
  return (...asked) => {
    const key = JSON.stringify(keyOf(...asked));
    const known = kept.get(key);
    if (known !== undefined) return known;
    const made = draw(...asked);
    if (kept.size >= mostKept) kept.clear();
    kept.set(key, made);
    return made;
  };
}
