/** Ratios of a stage, one for each gear of a switchable one: input turns per output turn, negative where the sense is reversed. */
export type StageRatio = { name: string; ratio: number };

/** Of a stage that has one ratio. */
export const oneRatio = (ratio: number): StageRatio[] => [{ name: "", ratio }];
