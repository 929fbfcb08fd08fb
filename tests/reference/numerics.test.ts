import fc from "fast-check";
import { EigenvalueDecomposition, Matrix, SingularValueDecomposition, solve } from "ml-matrix";
import { describe, expect, test } from "vitest";
import {
  conditionNumber,
  fractionOfValue,
  gcd,
  lcm,
  leastSquares,
  singularValues,
  symmetricEigenvalues,
  turnDegrees,
} from "~/core/numerics";

const entry = fc.double({ min: -10, max: 10, noNaN: true });
const matrix = (rows: number, columns: number) =>
  fc.array(fc.array(entry, { minLength: columns, maxLength: columns }), { minLength: rows, maxLength: rows });
const columnsOf = (rows: readonly (readonly number[])[]) =>
  Array.from({ length: rows[0]?.length ?? 0 }, (_, j) => rows.map((row) => row[j] ?? 0));

describe("against an independent library", () => {
  test("singular values", () => {
    fc.assert(
      fc.property(matrix(9, 5), (rows) => {
        const theirs = [...new SingularValueDecomposition(new Matrix(rows)).diagonal].sort((a, b) => b - a);
        const ours = singularValues(columnsOf(rows));
        for (const [i, value] of theirs.entries()) expect(ours[i]).toBeCloseTo(value, 8);
      }),
      { seed: 863, numRuns: 100 },
    );
  });

  test("least squares, wherever the columns are not dependent", () => {
    fc.assert(
      fc.property(matrix(8, 3), fc.array(entry, { minLength: 8, maxLength: 8 }), (rows, rhs) => {
        fc.pre(conditionNumber(columnsOf(rows)) < 1e5);
        const theirs = solve(new Matrix(rows), Matrix.columnVector(rhs), true).to1DArray();
        const ours = leastSquares(rows, rhs) ?? [];
        for (const [i, value] of theirs.entries())
          expect(Math.abs((ours[i] ?? 0) - value)).toBeLessThan(1e-7 * (1 + Math.abs(value)));
      }),
      { seed: 52, numRuns: 100 },
    );
  });

  test("eigenvalues of symmetric matrices", () => {
    fc.assert(
      fc.property(matrix(5, 5), (rows) => {
        const symmetric = rows.map((row, i) => row.map((value, j) => value + (rows[j]?.[i] ?? 0)));
        const theirs = [...new EigenvalueDecomposition(new Matrix(symmetric)).realEigenvalues].sort((a, b) => a - b);
        const ours = symmetricEigenvalues(symmetric).sort((a, b) => a - b);
        for (const [i, value] of theirs.entries()) expect(ours[i]).toBeCloseTo(value, 8);
      }),
      { seed: 85, numRuns: 100 },
    );
  });
});

// Condition numbers of Hilbert matrices are tabulated (Higham, Accuracy and Stability, table 28.1): n 3 524.06, n 5 4.766e5, n 8 1.526e10.
test.each([
  [3, 524.06, 1e-4],
  [5, 4.766e5, 1e-3],
  [8, 1.526e10, 1e-3],
])("the Hilbert matrix of order %d keeps its condition number", (n, kappa, relative) => {
  const hilbert = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_, j) => 1 / (i + j + 1)));
  expect(Math.abs(conditionNumber(hilbert) / kappa - 1)).toBeLessThan(relative);
});

test("dependent columns have no least-squares answer or an infinite condition", () => {
  expect(
    leastSquares(
      [
        [0, 1],
        [0, 2],
        [0, 3],
      ],
      [1, 2, 3],
    ),
  ).toBeNull();
  expect(
    conditionNumber([
      [1, 2, 3],
      [0, 0, 0],
    ]),
  ).toBe(Number.POSITIVE_INFINITY);
  expect(leastSquares([[1, 2]], [1])).toBeNull();
});

test("a bunched arc keeps its digits: mean and waves from readings within three degrees", () => {
  const angles = Array.from({ length: 9 }, (_, i) => (i * 3 * Math.PI) / 180 / 8);
  const rows = angles.map((angle) => [1, Math.cos(angle), Math.sin(angle)]);
  const values = rows.map(([one = 0, c = 0, s = 0]) => 0.2 * one - 0.03 * c + 0.01 * s);
  const [mean = 0, c = 0, s = 0] = leastSquares(rows, values) ?? [];
  expect([mean, c, s].map((x) => Number(x.toFixed(8)))).toEqual([0.2, -0.03, 0.01]);
});

test("whole numbers and directions", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 5000 }), (a, b) => {
      expect(a % gcd(a, b)).toBe(0);
      expect(b % gcd(a, b)).toBe(0);
      expect(lcm(a, b) * gcd(a, b)).toBe(a * b);
    }),
  );
  expect([370, -10, 360, -0].map(turnDegrees)).toEqual([10, 350, 0, 0]);
});

test("a ratio of tooth counts is found again from its value; what is none is said to be none", () => {
  const teeth = fc.integer({ min: 6, max: 120 });
  fc.assert(
    fc.property(fc.tuple(teeth, teeth, teeth), fc.tuple(teeth, teeth, teeth), (driven, drivers) => {
      const value = driven.reduce((ratio, z, i) => ratio * (z / (drivers[i] as number)), 1);
      const [num, den] = [driven, drivers].map((of) => of.reduce((product, z) => product * z, 1)) as [number, number];
      const common = gcd(num, den);
      // No larger parts are looked for.
      fc.pre(Math.max(num, den) / common <= 1e6);
      expect(fractionOfValue(value)).toEqual({ num: num / common, den: den / common });
    }),
  );
  // The golden ratio is the one that fractions come nearest to last (Hardy and Wright).
  expect([(1 + Math.sqrt(5)) / 2, Math.PI].map((value) => fractionOfValue(value))).toEqual([null, null]);
});
