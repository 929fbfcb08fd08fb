import { expect, test } from "vitest";
import { classTorque, fastenNext } from "../../core/fastening";

/** Handbook, "Fastening", table in N·m: Machinery's Handbook (75 % of proof, K 0.2) with the stress areas of ISO 898-1. */
const table: [string, number, number, number, number][] = [
  ["M2", 0.36, 0.515, 0.602, 0.279],
  ["M2.5", 0.737, 1.06, 1.23, 0.572],
  ["M3", 1.31, 1.88, 2.2, 1.02],
  ["M4", 3.06, 4.37, 5.11, 2.37],
  ["M5", 6.18, 8.84, 10.3, 4.79],
  ["M6", 10.5, 15, 17.5, 8.14],
  ["M8", 25.5, 36.5, 42.6, 19.8],
  // 39.15: the handbook has it as 39.1 here and as 39.2 among its check values.
  ["M10", 50.5, 72.2, 84.4, 39.2],
  ["M12", 88, 126, 147, 68.3],
  ["M14", 140, 200, 234, 109],
  ["M16", 219, 313, 365, 170],
];

test.each(table)("%s by its class, to the decimals of the table", (size, ...torques) =>
  expect(
    (["8.8", "10.9", "12.9", "A2-70"] as const).map((one) => Number(classTorque(size, one)?.toPrecision(3))),
  ).toEqual(torques.map((torque) => expect.closeTo(torque, torque >= 100 ? 0 : torque >= 10 ? 1 : 2))),
);

test("the stress areas are those of the threads, to rounding: π/4·(d − 0.9382·P)²", () => {
  for (const [size, pitch] of [
    ["M4", 0.7],
    ["M8", 1.25],
    ["M12", 1.75],
  ] as const) {
    const d = Number(size.slice(1));
    const area = (Math.PI / 4) * (d - 0.9382 * pitch) ** 2;
    expect((classTorque(size, "8.8") ?? 0) / ((0.2 * 0.75 * 580 * area * d) / 1000)).toBeCloseTo(1, 2);
  }
});

test("oiled it is three quarters; a size that nobody tabulated has none", () => {
  expect(classTorque("m 6", "8.8", "lubricated")).toBeCloseTo(0.75 * (classTorque("M6", "8.8") ?? 0), 9);
  expect([classTorque("M7", "8.8"), classTorque("circlip 12", "8.8"), classTorque("M6 × 12", "8.8")]).toEqual([
    null,
    null,
    null,
  ]);
});

test("all are started before any is snug, all snug before any is firm, compound last", () => {
  const patterns = [
    { key: "mount", state: null, upTo: "firm" },
    { key: "motor", state: null, upTo: "dressed" },
  ] as { key: string; state: "started" | "snug" | "firm" | "dressed" | null; upTo: "firm" | "dressed" }[];
  const walked: string[] = [];
  for (let next = fastenNext(patterns); next; next = fastenNext(patterns)) {
    const { key } = next.pattern;
    walked.push(`${key} ${next.to}`);
    const pattern = patterns.find((one) => one.key === key);
    if (pattern) pattern.state = next.to;
  }
  expect(walked.join(", ")).toBe(
    "mount started, motor started, mount snug, motor snug, mount firm, motor firm, motor dressed",
  );
});
