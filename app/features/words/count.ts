const words = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];

/** A count as one says it: "two", "eleven" upwards in figures. */
export const countWords = (n: number): string => words[n] ?? String(n);

/** The same as the rest of a sentence: "a worn tooth". */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
