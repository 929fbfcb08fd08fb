import { instrumentsSheet } from "./instruments-sheet";
import { limitsSheet } from "./limits-sheet";
import { machinesSheet } from "./machines-sheet";
import type { Sheet } from "./sheet";
import { storesSheet } from "./stores-sheet";

export const sheets: readonly Sheet<unknown>[] = [storesSheet, instrumentsSheet, machinesSheet, limitsSheet];

export { importSheet, type LineFate, type SheetReport, sheetText } from "./import-sheet";
export type { Fate, Sheet } from "./sheet";
