/**
 * Linear least squares by Householder QR. The normal equations square the condition number: with readings bunched on a
 * short arc (condition 1e6 and more) they lose every digit that QR keeps. State: R overwrites the matrix column by
 * column while the reflections are applied to the right-hand side. Source: Golub & Van Loan, Matrix Computations, §5.2–5.3.
 *
 * @param rows matrix as rows, n × m with n ≥ m
 * @param rhs right-hand side, n values
 * @returns the m coefficients, or null where a diagonal of R vanishes (columns dependent)
 */
export function leastSquares(rows: readonly (readonly number[])[], rhs: readonly number[]): number[] | null {
  const matrix = rows.map((row) => [...row]);
  const right = [...rhs];
  const columns = matrix[0]?.length ?? 0;
  if (matrix.length < columns) return null;
  for (let column = 0; column < columns; column++) {
    if (!reflectBelow(matrix, right, column)) return null;
  }
  return backSubstitute(matrix, right, columns);
}

function reflectBelow(matrix: number[][], right: number[], column: number): boolean {
  let norm = 0;
  for (let i = column; i < matrix.length; i++) norm = Math.hypot(norm, at(matrix, i, column));
  if (norm === 0) return false;
  const head = at(matrix, column, column);
  const alpha = head > 0 ? -norm : norm;
  const v = matrix.map((row, i) => (i < column ? 0 : (row[column] ?? 0) - (i === column ? alpha : 0)));
  const vv = v.reduce((sum, x) => sum + x * x, 0);
  if (vv === 0) return true;
  const width = matrix[0]?.length ?? 0;
  for (let j = column; j < width; j++) {
    let dot = 0;
    for (let i = column; i < matrix.length; i++) dot += (v[i] ?? 0) * at(matrix, i, j);
    const scale = (2 * dot) / vv;
    for (let i = column; i < matrix.length; i++) {
      const row = matrix[i];
      if (row) row[j] = (row[j] ?? 0) - scale * (v[i] ?? 0);
    }
  }
  let dot = 0;
  for (let i = column; i < right.length; i++) dot += (v[i] ?? 0) * (right[i] ?? 0);
  const scale = (2 * dot) / vv;
  for (let i = column; i < right.length; i++) right[i] = (right[i] ?? 0) - scale * (v[i] ?? 0);
  return true;
}

function backSubstitute(matrix: number[][], right: number[], columns: number): number[] | null {
  const solution = new Array<number>(columns).fill(0);
  for (let i = columns - 1; i >= 0; i--) {
    const pivot = at(matrix, i, i);
    if (pivot === 0) return null;
    let sum = right[i] ?? 0;
    for (let j = i + 1; j < columns; j++) sum -= at(matrix, i, j) * (solution[j] ?? 0);
    solution[i] = sum / pivot;
  }
  return solution;
}

const at = (matrix: readonly (readonly number[])[], i: number, j: number): number => matrix[i]?.[j] ?? 0;
