const words = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];

/** A count as one says it: "two", "eleven" upwards in figures. */
export const countWords = (n: number): string => words[n] ?? String(n);

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
