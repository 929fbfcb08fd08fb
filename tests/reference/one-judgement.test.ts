import { describe, expect, test } from "vitest";
import { judgeRound } from "~/core/rounds";
import { judgedQuantities, stageKinds } from "~/core/stages";
import { chain } from "../elements";
import { naiveJudgement } from "../naive-judgement";
import { allAgree, type Judgements, randomRound } from "../random-round";

/*
 * One judgement: what is stored of a round, shown of it, said on the floor and drawn in its trend agrees, and agrees with a second judgement
 * that shares no import with the app (ISO 14253-1; sag on squares, handbook "Advice").
 */
describe("what a round says is decided once", () => {
  const rounds = Array.from({ length: 3000 }, (_, seed) => randomRound(seed)).filter(
    (round): round is Judgements => round !== null,
  );

  test("every kind, every quantity, whole and carried over, and every verdict and fit come up", () => {
    expect(rounds.length).toBeGreaterThan(2500);
    for (const of of ["kind", "quantity", "carried"] as const)
      expect(new Set(rounds.map((round) => round[of])).size).toBe(
        { kind: stageKinds.length, quantity: judgedQuantities.length, carried: 2 }[of],
      );
    expect(new Set(rounds.map(({ naive }) => naive.verdict)).size).toBe(3);
    expect(new Set(rounds.map(({ naive }) => naive.holds)).size).toBe(3);
  });

  test("entry, screen, floor, trend and the second judgement agree on all of them", () => {
    expect(rounds.filter((round) => !allAgree(round))).toEqual([]);
  });

  test("a chain of 3 / 16 / 10 / 12 mm against 11.5 to 23.5 is held by one setting, though 13 do not go into 12", () => {
    const values = [3, 16, 10, 12];
    const judged = judgeRound({
      element: chain,
      limits: { lo: 11.5, hi: 23.5 },
      readings: values.map((value, i) => ({ tooth: 25 * i + 1, angleDeg: 90 * i, value, struck: false })),
      expandedUncertainty: 0.5,
      how: "as-found",
      known: null,
    });
    expect(judged.ok && judged.value).toMatchObject({ verdict: "does-not-conform", holds: "provable" });
    expect(naiveJudgement({ quantity: "sag", values, fitted: [], lo: 11.5, hi: 23.5, uncertainty: 0.5 })).toEqual({
      verdict: "does-not-conform",
      holds: "provable",
    });
  });
});
