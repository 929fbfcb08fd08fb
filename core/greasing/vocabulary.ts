/** What is said of grease points and looks, out of a few words. */
export const dirts = ["clean", "dusty", "dirty"] as const;
export const wets = ["dry", "damp", "wet"] as const;
export const greaseMarks = ["grease", "none", "keep-dry"] as const;
export type GreaseMark = (typeof greaseMarks)[number];
export const lookFinds = ["fine", "damage"] as const;
export type LookFind = (typeof lookFinds)[number];
