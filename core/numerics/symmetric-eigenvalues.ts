/**
 * Eigenvalues of a small symmetric matrix by cyclic Jacobi rotations, in no order. Source: Golub & Van Loan §8.5.
 *
 * @param matrix m × m, symmetric; left as it is
 */
export function symmetricEigenvalues(matrix: readonly (readonly number[])[]): number[] {
  const a = matrix.map((row) => [...row]);
  const m = a.length;
  for (let sweep = 0; sweep < 30; sweep++) {
    let off = 0;
    let diagonal = 0;
    for (let p = 0; p < m; p++) {
      diagonal += cell(a, p, p) ** 2;
      for (let q = p + 1; q < m; q++) off += cell(a, p, q) ** 2;
    }
    if (off <= 1e-28 * diagonal) break;
    for (let p = 0; p < m - 1; p++) for (let q = p + 1; q < m; q++) rotate(a, p, q);
  }
  return a.map((row, i) => row[i] ?? 0);
}

function rotate(a: number[][], p: number, q: number): void {
  const rowP = a[p] as number[];
  const rowQ = a[q] as number[];
  const apq = rowP[q] as number;
  if (apq === 0) return;
  const theta = ((rowQ[q] as number) - (rowP[p] as number)) / (2 * apq);
  const t = (theta >= 0 ? 1 : -1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
  const c = 1 / Math.sqrt(t * t + 1);
  const s = t * c;
  for (const row of a) {
    const x = row[p] as number;
    const y = row[q] as number;
    row[p] = c * x - s * y;
    row[q] = s * x + c * y;
  }
  for (let j = 0; j < a.length; j++) {
    const x = rowP[j] as number;
    const y = rowQ[j] as number;
    rowP[j] = c * x - s * y;
    rowQ[j] = s * x + c * y;
  }
}

const cell = (a: readonly (readonly number[])[], i: number, j: number): number => a[i]?.[j] ?? 0;
