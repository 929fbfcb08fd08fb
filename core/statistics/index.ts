export { median, medianAbsoluteDeviation } from "./median";
export { normalQuantile } from "./normal-quantile";
export { combined, differenceUncertainty, fromResolution } from "./uncertainty";
