export { median } from "./median";
export { normalQuantile } from "./normal-quantile";
export { pooledDeviation } from "./pooled-deviation";
export { combined, differenceUncertainty, fromResolution } from "./uncertainty";
