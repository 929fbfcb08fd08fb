/** Whole micrometres, halves up; the 12 digits kept first undo what binary fractions do to a half. */
export const micrometres = (mm: number): number => Math.floor(Number((mm * 1000).toPrecision(13)) + 0.5);
export const millimetres = (um: number): number => um / 1000;
