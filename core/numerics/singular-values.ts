/**
 * Singular values of an n × m matrix by one-sided Jacobi: pairs of columns are rotated until all are orthogonal; their
 * lengths are the singular values. Taking roots of the eigenvalues of XᵀX would lose everything below 1e-8 of the
 * largest, and it is the small one that tells whether two causes can be told apart. Source: Golub & Van Loan §8.6.3.
 *
 * @param columns the matrix as columns, each of n values
 * @returns the singular values, largest first
 */
export function singularValues(columns: readonly (readonly number[])[]): number[] {
  const work = columns.map((column) => [...column]);
  for (let sweep = 0; sweep < 60; sweep++) {
    let rotated = false;
    for (let p = 0; p < work.length - 1; p++) {
      for (let q = p + 1; q < work.length; q++) rotated = orthogonalise(work[p] ?? [], work[q] ?? []) || rotated;
    }
    if (!rotated) break;
  }
  return work.map((column) => Math.sqrt(dot(column, column))).sort((a, b) => b - a);
}

/** Ratio of the largest to the smallest singular value; infinite for dependent columns. */
export function conditionNumber(columns: readonly (readonly number[])[]): number {
  const values = singularValues(columns);
  const least = values[values.length - 1] ?? 0;
  return least === 0 ? Number.POSITIVE_INFINITY : (values[0] ?? 0) / least;
}

function orthogonalise(a: number[], b: number[]): boolean {
  const alpha = dot(a, a);
  const beta = dot(b, b);
  const gamma = dot(a, b);
  if (Math.abs(gamma) <= 1e-15 * Math.sqrt(alpha * beta) || gamma === 0) return false;
  const zeta = (beta - alpha) / (2 * gamma);
  const t = (zeta >= 0 ? 1 : -1) / (Math.abs(zeta) + Math.hypot(1, zeta));
  const c = 1 / Math.hypot(1, t);
  const s = c * t;
  for (let i = 0; i < a.length; i++) {
    const x = a[i] ?? 0;
    const y = b[i] ?? 0;
    a[i] = c * x - s * y;
    b[i] = s * x + c * y;
  }
  return true;
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}
