export { degrees, radians, turnDegrees } from "./angles";
export { bisect } from "./bisect";
export { above, alike, atLeast, atMost, below, same } from "./close";
export { type Fraction, fraction, inverseModulo, modulo } from "./fraction";
export { gcd, lcm } from "./integers";
export { leastSquares } from "./least-squares";
export { nearestMultiple } from "./multiple";
export { conditionNumber, singularValues } from "./singular-values";
export { symmetricEigenvalues } from "./symmetric-eigenvalues";
