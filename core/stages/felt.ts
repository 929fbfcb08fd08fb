/** From loose to tight. */
export const feelGrades = [1, 2, 3, 4, 5] as const;
export type FeelGrade = (typeof feelGrades)[number];

/** What is felt, or heard, on a stage turned by hand: the click of a mesh, a worm at its wheel, a strand, a shaft in its bearings. */
export const feltKinds = ["click", "worm", "strand", "shaft"] as const;
export type FeltAs = (typeof feltKinds)[number];

/** Every word that can stand in a round by feel. */
export const feels = [
  "knocks",
  "loose click",
  "small click",
  "faint click",
  "binds",
  "knocks when rocked",
  "free",
  "nips",
  "claps",
  "gives",
  "firm",
  "hums",
  "rough",
  "stiff",
] as const;
export type Feel = (typeof feels)[number];

/**
 * The words of each kind by their grade in a round by feel; null: it has none there, and none is offered. The reasons stand in the README
 * (common practice).
 */
export const feelTable: Readonly<Record<FeltAs, Readonly<Record<FeelGrade, Feel | null>>>> = {
  click: { 1: "knocks", 2: "loose click", 3: "small click", 4: "faint click", 5: "binds" },
  worm: { 1: "knocks when rocked", 2: null, 3: "free", 4: null, 5: "nips" },
  strand: { 1: "claps", 2: "gives", 3: "firm", 4: null, 5: "hums" },
  shaft: { 1: null, 2: null, 3: "free", 4: "rough", 5: "stiff" },
};

const grades = new Map<Feel, FeelGrade>(
  feltKinds.flatMap((kind) =>
    feelGrades.flatMap((grade): [Feel, FeelGrade][] => {
      const word = feelTable[kind][grade];
      return word === null ? [] : [[word, grade]];
    }),
  ),
);

/** A word has the same grade on every kind that has it. */
export const gradeOfFeel = (feel: Feel): FeelGrade => grades.get(feel) as FeelGrade;

/** The words of a kind, from loose to tight. */
export const feelsOf = (kind: FeltAs): Feel[] =>
  feelGrades.flatMap((grade) => {
    const word = feelTable[kind][grade];
    return word === null ? [] : [word];
  });
