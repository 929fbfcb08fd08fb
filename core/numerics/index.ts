export { degrees, radians, turnDegrees } from "./angles";
export { bisect } from "./bisect";
export { type Fraction, fraction, inverseModulo, modulo } from "./fraction";
export { gcd, lcm } from "./integers";
export { leastSquares } from "./least-squares";
export { conditionNumber, singularValues } from "./singular-values";
export { symmetricEigenvalues } from "./symmetric-eigenvalues";
