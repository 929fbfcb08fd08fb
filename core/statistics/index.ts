export { meanUncertainty, type ReadingBudget, type Settling, studentFactor, whatSettles } from "./budget";
export { median } from "./median";
export { normalProbability } from "./normal-probability";
export { normalQuantile } from "./normal-quantile";
export { pooledDeviation } from "./pooled-deviation";
export { slopeCoverage } from "./slope-coverage";
export { robustTrend, type Trend, type TrendPoint } from "./trend";
export { combined, differenceUncertainty, fromResolution } from "./uncertainty";
export { type WarmUp, type WarmUpPoint, warmUp } from "./warm-up";
