/** How far a said pitch may stray and still be the other thing said by mistake. */
const tolerance = 0.06;

/**
 * Whether a pitch said of a gear is the distance from tooth to tooth (or, in diametral pitch, the teeth in an inch of rim) instead: it
 * is then π times the module. Nobody sees it in the figure alone; against what was measured it stands out.
 *
 * @param saidModuleMm what was said, as a module
 * @param estimateMm the module by measurement
 */
export const saidToothToTooth = (saidModuleMm: number, estimateMm: number): boolean =>
  Math.abs(saidModuleMm / estimateMm / Math.PI - 1) <= tolerance;
