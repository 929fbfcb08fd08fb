export { degrees, radians, turnDegrees } from "./angles";
export { gcd, lcm } from "./integers";
export { leastSquares } from "./least-squares";
export { conditionNumber, singularValues } from "./singular-values";
export { symmetricEigenvalues } from "./symmetric-eigenvalues";
