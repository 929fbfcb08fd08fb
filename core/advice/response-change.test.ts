import { expect, test } from "vitest";
import { seededRandom } from "../practice";
import type { MoveEvidence } from "./learn";
import { responseChange } from "./response-change";

const sd = 0.02;
const normal = (random: () => number) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
/** Moves of a quarter turn, each of which did so much a turn. */
const moves = (did: readonly number[], random: () => number): MoveEvidence[] =>
  did.map((per) => ({
    ...{ amount: 0.25, change: per * 0.25, used: true, opposite: false, why: "used" as const },
    ...{ per: per + sd * normal(random), perSd: sd },
  }));
const steady = Array.from({ length: 10 }, () => 0.7);

test("a response that stays is called changed about once in a hundred; a loose screw and a worn thread are told, and told apart", () => {
  const random = seededRandom(41);
  const told = (did: readonly number[]) =>
    Array.from({ length: 1000 }, () => responseChange(moves(did, random))?.kind ?? null);
  const count = (kinds: readonly (string | null)[], kind: string) => kinds.filter((one) => one === kind).length;
  expect(told(steady).filter((one) => one !== null).length).toBeLessThan(15);
  const stepped = told([...steady.slice(0, 6), 0.5, 0.5, 0.5, 0.5]);
  expect(count(stepped, "step")).toBeGreaterThan(950);
  const worn = told(steady.map((per, i) => per * (1 - 0.05 * i)));
  expect(count(worn, "drift")).toBeGreaterThan(900);
});

test("what it did before and does now, and for how many moves; little, few or unsure moves say nothing", () => {
  const exact = (did: readonly number[]) => moves(did, () => 0.5).map((one, i) => ({ ...one, per: did[i] ?? null }));
  const change = responseChange(exact([0.7, 0.7, 0.7, 0.7, 0.42, 0.42, 0.42]));
  expect(change).toMatchObject({ kind: "step", moves: 3 });
  expect(change?.before).toBeCloseTo(0.7, 10);
  expect(change?.now).toBeCloseTo(0.42, 10);
  expect(responseChange(exact([0.7, 0.7, 0.7, 0.66, 0.66, 0.66]))).toBeNull();
  expect(responseChange(exact([0.7, 0.7, 0.4, 0.4]))).toBeNull();
  // A part brought back by hand is no child of the screw.
  const byHand = exact([0.7, 0.7, 0.7, 0.7, 0.1, 0.1]).map((one, i) =>
    i > 3 ? { ...one, why: "not-teaching" as const } : one,
  );
  expect(responseChange(byHand)).toBeNull();
});
