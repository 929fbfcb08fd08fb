import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { refusalOf, run } from "./run";

/*
 * Belts, cords, chains and axes in use. Check values: handbooks of belts in use (belt-width, strands, open-run), of axes and frames
 * (axis-travel, counterbalance) and of proving (index-error); second ways: a stop by time steps, a load moved by small steps over a curve that
 * is interpolated anew, a cord pulled until a joint meets something, a tackle solved part by part, index errors by sampling all phases.
 */

describe("belt-width", () => {
  const first = { torqueNm: 1.5, pitchMm: 5, teeth: 18, allowableNPerMm: 14, stockMm: [6, 9, 15, 25] };

  test("1.5 N·m on 18 teeth of 5 mm, 14 N/mm: 7.48, take 9; behind 6 : 1 on 36 teeth 22.44, take 25", () => {
    const width = run("belt-width", { ...first, behind: { ratio: 6, pitchMm: 5, teeth: 36 } });
    expect(width.widthMm).toBeCloseTo(7.48, 2);
    expect(width.stockMm).toBe(9);
    expect(width.behind.widthMm).toBeCloseTo(22.44, 2);
    expect(width.behind.stockMm).toBe(25);
    expect(width.behind.widthMm / width.widthMm).toBeCloseTo(3, 12);
    expect(width.feasible).toBe(true);
  });

  test("power and speed are a torque; four teeth in mesh carry three fifths; what the stock has not is said", () => {
    const byPower = { ...first, torqueNm: undefined, powerW: 1.5 * 100 * Math.PI, rpm: 3000 };
    expect(run("belt-width", byPower).widthMm).toBeCloseTo(run("belt-width", first).widthMm, 12);
    const few = run("belt-width", { ...first, teethInMesh: 4.9 });
    expect(few.meshFactor).toBeCloseTo(0.6, 12);
    const wide = run("belt-width", { ...first, serviceFactor: 5 });
    expect(wide).toMatchObject({ stockMm: null, feasible: false });
    expect(wide.sharePercent).toBeCloseTo((100 * wide.widthMm) / 25, 9);
    expect(run("belt-width", { ...first, stockMm: undefined })).not.toHaveProperty("stockMm");
  });

  test.each<[object, string]>([
    [{ teethInMesh: 1.9 }, "too-small teethInMesh"],
    [{ rpm: 100 }, "not-of-this-form rpm"],
    [{ torqueNm: undefined, powerW: 100 }, "missing rpm"],
    [{ torqueNm: undefined }, "one-of-missing torqueNm"],
    [{ powerW: 5 }, "one-of-doubled torqueNm"],
    [{ pitchDiameterMm: 20 }, "one-of-doubled pitchDiameterMm"],
    [{ pitchMm: undefined, pitchDiameterMm: 20 }, "not-of-this-form teeth"],
    [{ behind: { ratio: 2, pitchMm: 5 } }, "missing behind.teeth"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("belt-width", { ...first, ...wrong })).toBe(code));
});

describe("strands", () => {
  const heard = (...hz: number[]) => ({ strands: hz.map((frequencyHz, i) => ({ id: `belt ${i + 1}`, frequencyHz })) });

  test("41, 44.5, 43, 42.2 Hz: spread 16.417298 %, aim 42.693940 Hz", () => {
    const set = run("strands", heard(41, 44.5, 43, 42.2));
    expect(set.spreadPercent).toBeCloseTo(16.417298, 6);
    expect(set.aim).toBeCloseTo(42.69394, 6);
    expect(set).toMatchObject({ weakest: "belt 1", overPulled: "belt 2", verdict: "conforms" });
    expect(set.strands.reduce((sum: number, { share }: { share: number }) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  test("by sound, by sag and by newtons the same strands share alike; what is taken up brings each to the mean", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 5, max: 500, noNaN: true }), { minLength: 2, maxLength: 6 }), (newtons) => {
        const [spanMm, massKgPerM, stiffnessNPerMm] = [430, 0.09, 37];
        const lengthM = spanMm / 1000;
        const readAs = (key: string, value: (tension: number) => number, more: object) =>
          run("strands", {
            strands: newtons.map((tension, i) => ({ id: `${i}`, [key]: value(tension) })),
            stiffnessNPerMm,
            ...more,
          });
        const span = { spanMm, massKgPerM };
        const byForce = readAs("tensionN", (t) => t, {});
        const bySound = readAs("frequencyHz", (t) => Math.sqrt(t / massKgPerM) / (2 * lengthM), span);
        const bySag = readAs("sagMm", (t) => (1000 * massKgPerM * 9.80665 * lengthM ** 2) / (8 * t), span);
        const mean = newtons.reduce((a, b) => a + b, 0) / newtons.length;
        for (const [i, tension] of newtons.entries())
          for (const set of [byForce, bySound, bySag]) {
            expect(set.strands[i].share).toBeCloseTo(tension / (mean * newtons.length), 9);
            expect(set.strands[i].takeUpMm * stiffnessNPerMm + tension).toBeCloseTo(mean, 6);
          }
      }),
      { numRuns: 60, seed: 16 },
    );
  });

  test("a slack strand carries nothing and the rest a third more; nothing is known of a set that is all slack", () => {
    const set = run("strands", heard(0, 50, 50, 50));
    expect(set.strands[0].share).toBe(0);
    expect(set.strands[1].deviationPercent).toBeCloseTo(100 / 3, 9);
    expect(set.verdict).toBe("does-not-conform");
    expect(run("strands", { ...heard(41, 44.5, 43, 42.2), expandedUncertaintyPercent: 3 }).verdict).toBe("undecided");
    expect(refusalOf("strands", heard(0, 0))).toBe("all-slack strands");
  });

  test.each<[object, string]>([
    [{ strands: [{ id: "a", tensionN: 3 }] }, "too-few strands"],
    [
      {
        strands: [
          { id: "a", tensionN: 3 },
          { id: "b", sagMm: 3 },
        ],
      },
      "not-of-this-form strands.1.sagMm",
    ],
    [
      {
        strands: [
          { id: "a", tensionN: 3 },
          { id: "a", tensionN: 3 },
        ],
      },
      "id-twice strands.1.id",
    ],
    [
      {
        strands: [
          { id: "", tensionN: 3 },
          { id: "a", tensionN: 3 },
        ],
      },
      "too-small strands.0.id",
    ],
    [{ ...heard(40, 41), spanMm: 300 }, "missing massKgPerM"],
    [{ ...heard(40, 41), stiffnessNPerMm: 3 }, "stiffness-without-tension spanMm"],
    [
      {
        strands: [
          { id: "a", sagMm: 0 },
          { id: "b", sagMm: 3 },
        ],
      },
      "too-small strands.0.sagMm",
    ],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("strands", wrong)).toBe(code));
});

describe("open-run", () => {
  const cord = {
    pitchDiameterMm: 40,
    wrapDeg: 180,
    sides: [
      { jointMm: 90, guardMm: 10 },
      { jointMm: 60, guardMm: 5, endMm: 100 },
    ],
  };

  test("forward ends at the far end, back at the guard; the cord is joints and wrap", () => {
    const open = run("open-run", cord);
    expect(open.mmPerTurn).toBeCloseTo(40 * Math.PI, 12);
    expect(open.forward).toMatchObject({ mm: 40, limitedBy: "end" });
    expect(open.back).toMatchObject({ mm: 55, limitedBy: "wheel" });
    expect(open.forward.deg).toBeCloseTo((40 * 360) / (40 * Math.PI), 9);
    expect(open.cordLengthMm).toBeCloseTo(150 + 20 * Math.PI, 9);
    expect(open.feasible).toBe(true);
  });

  test("a chain takes the polygon and shifts by whole pitches, away from none", () => {
    const chain = { ...cord, pitchDiameterMm: undefined, pitchMm: 9.525, teeth: 12 };
    const needed = run("open-run", { ...chain, neededDeg: { forward: 150, back: 60 } });
    expect(needed.mmPerTurn).toBeCloseTo(114.3, 12);
    // 150° are 47.625 mm, 7.625 more than there is: one pitch.
    expect(needed.shiftMm).toBeCloseTo(9.525, 9);
    expect(needed.pitchDiameterMm).toBeCloseTo(9.525 / Math.sin(Math.PI / 12), 9);
    const none = run("open-run", { ...chain, neededDeg: { forward: 200, back: 200 } });
    expect(none).toMatchObject({ shiftMm: null, feasible: false });
    expect(none.shortMm).toBeCloseTo((400 / 360) * 114.3 - 95, 9);
  });

  test("shifted as told, it turns as far as is needed, found by pulling it along by hundredths", () => {
    const pulled = (sides: { jointMm: number; guardMm: number; endMm: number }[], way: 0 | 1) => {
      const [paying, taking] = [{ ...sides[way] }, { ...sides[1 - way] }] as {
        jointMm: number;
        guardMm: number;
        endMm: number;
      }[];
      let mm = 0;
      while (
        (paying?.jointMm ?? 0) - 0.01 >= (paying?.guardMm ?? 0) &&
        (taking?.jointMm ?? 0) + 0.01 <= (taking?.endMm ?? 0)
      ) {
        (paying as { jointMm: number }).jointMm -= 0.01;
        (taking as { jointMm: number }).jointMm += 0.01;
        mm += 0.01;
      }
      return mm;
    };
    const side = fc.record({
      jointMm: fc.double({ min: 40, max: 90, noNaN: true }),
      guardMm: fc.double({ min: 0, max: 20, noNaN: true }),
      endMm: fc.double({ min: 90, max: 140, noNaN: true }),
    });
    fc.assert(
      fc.property(
        side,
        side,
        fc.double({ min: 0, max: 250, noNaN: true }),
        fc.double({ min: 0, max: 250, noNaN: true }),
        (a, b, forward, back) => {
          const open = run("open-run", { ...cord, sides: [a, b], neededDeg: { forward, back } });
          const shift = open.shiftMm ?? 0;
          const moved = [
            { ...a, jointMm: a.jointMm + shift },
            { ...b, jointMm: b.jointMm - shift },
          ];
          const mm = (deg: number) => (deg * 40 * Math.PI) / 360;
          const enough = pulled(moved, 0) >= mm(forward) - 0.02 && pulled(moved, 1) >= mm(back) - 0.02;
          if (open.shiftMm !== null) expect(enough).toBe(true);
          else expect(open.shortMm).toBeGreaterThan(0);
        },
      ),
      { numRuns: 100, seed: 16 },
    );
  });

  test("4 falls, 0.96, 800 N: 221.258362 up, 180.408027 down; 3 falls from the moving block, 0.98, 250 N: 85.022446", () => {
    const tackle = { falls: 4, loadN: 800, loadTravelMm: 100 };
    const fixed = run("open-run", { ...cord, tackle }).tackle;
    expect(fixed.haulN).toBeCloseTo(221.258362, 6);
    expect(fixed.lowerN).toBeCloseTo(180.408027, 6);
    expect(fixed.deadEndN).toBeCloseTo(187.925028, 6);
    expect(fixed.efficiency).toBeCloseTo(0.903921, 6);
    expect(fixed.haulTravelMm).toBe(400);
    const moving = run("open-run", {
      ...cord,
      tackle: { ...tackle, falls: 3, sheaveEfficiency: 0.98, haulFrom: "moving", loadN: 250 },
    });
    expect(moving.tackle.haulN).toBeCloseTo(85.022446, 6);
    expect(moving.tackle.deadEndN).toBeCloseTo(81.655557, 6);
  });

  test.each<[object, string]>([
    [{ sides: [{ jointMm: 90 }, { jointMm: 60, endMm: 50 }] }, "window-upside-down sides.1.endMm"],
    [{ teeth: 12 }, "not-of-this-form teeth"],
    [{ pitchDiameterMm: undefined, pitchMm: 9.525 }, "missing teeth"],
    [{ wrapDeg: 0 }, "too-small wrapDeg"],
    [{ tackle: { falls: 0, loadN: 1, loadTravelMm: 1 } }, "too-small tackle.falls"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("open-run", { ...cord, ...wrong })).toBe(code));
});

describe("axis-travel", () => {
  const axis = {
    perTurn: 60,
    work: { lo: 0, hi: 900 },
    low: { switchAt: -12, bufferAt: -35 },
    high: { switchAt: 910, bufferAt: 927 },
    speed: 260,
    decel: 2600,
    reactionS: 0.02,
  };

  test("260 mm/s, 0.02 s, 2600 mm/s²: stops in 18.2; 17 mm in place of that leave 78.99 mm/s", () => {
    const travel = run("axis-travel", axis);
    expect(travel.stopping).toBeCloseTo(18.2, 12);
    expect(travel.ends.high.speedAtBuffer).toBeCloseTo(78.99, 2);
    expect(travel.ends.low.speedAtBuffer).toBe(0);
    expect(travel.ends.low.switchWindow).toEqual([0, expect.closeTo(-16.8, 9)]);
    expect(travel.faults).toEqual([{ end: "high", code: "overruns", by: expect.closeTo(1.2, 9) }]);
    expect(travel).toMatchObject({ travel: 900, shaftTurns: 15, ok: false, feasible: true });
  });

  test("7.2° a turn, −48 … 95, 40 °/s, 320 °/s², 0.03 s: 19.861111 turns, stops in 3.7°", () => {
    const swing = {
      unit: "deg",
      perTurn: 7.2,
      work: { lo: -48, hi: 95 },
      low: { bufferAt: -60 },
      high: { bufferAt: 110 },
      speed: 40,
      decel: 320,
      reactionS: 0.03,
    };
    const travel = run("axis-travel", swing);
    expect(travel.shaftTurns).toBeCloseTo(19.861111, 6);
    expect(travel.stopping).toBeCloseTo(3.7, 12);
    expect(travel.faults.map(({ code }: { code: string }) => code)).toEqual(["no-switch", "no-switch"]);
  });

  test("what the buffer is met with, by small steps of time", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 500, noNaN: true }),
        fc.double({ min: 200, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 120, noNaN: true }),
        (speed, decel, reactionS, gap) => {
          const { ends } = run("axis-travel", {
            ...axis,
            speed,
            decel,
            reactionS,
            high: { switchAt: 905, bufferAt: 905 + gap },
          });
          const dt = 1e-5;
          let [at, v, t] = [0, speed, 0];
          while (v > 0 && at < gap) {
            if (t >= reactionS) v = Math.max(0, v - decel * dt);
            at += v * dt;
            t += dt;
          }
          expect(Math.abs((at >= gap ? v : 0) - ends.high.speedAtBuffer)).toBeLessThan(
            Math.max(3, Math.sqrt(2 * decel * speed * dt * 3)),
          );
          expect(ends.high.margin < -0.05).toBe(at >= gap && ends.high.margin < -0.05);
        },
      ),
      { numRuns: 60, seed: 16 },
    );
  });

  test("a sensor counts from buffer to buffer; left out, as much is left at both", () => {
    const centred = run("axis-travel", { ...axis, sensor: { turnsAvailable: 20 } }).sensor;
    expect(centred.turnsUsed).toBeCloseTo(962 / 60, 12);
    expect(centred.turnsLeft[0]).toBeCloseTo(centred.turnsLeft[1], 9);
    const short = run("axis-travel", { ...axis, sensor: { turnsAvailable: 17, turnsAtLow: 0.3 } });
    expect(short.faults.at(-1)).toEqual({ end: "sensor", code: "runs-out-low", by: expect.closeTo(35 / 60 - 0.3, 9) });
    expect(short.feasible).toBe(true);
    expect(run("axis-travel", { ...axis, sensor: { turnsAvailable: 16 } }).feasible).toBe(false);
  });

  test("faults of one end in order; room that is too short is none that setting cures", () => {
    const codes = (high: object) =>
      run("axis-travel", { ...axis, high }).faults.map(({ code }: { code: string }) => code);
    expect(codes({ switchAt: 890, bufferAt: 927 })).toEqual(["switch-inside-work"]);
    expect(codes({ switchAt: 930, bufferAt: 927 })).toEqual(["switch-behind-buffer"]);
    expect(codes({ switchAt: 905, bufferAt: 912 })).toEqual(["overruns", "no-room"]);
    const tight = run("axis-travel", { ...axis, high: { switchAt: 905, bufferAt: 912 } });
    expect(tight.ends.high.switchWindow).toBeNull();
    expect(tight.feasible).toBe(false);
  });

  test.each<[object, string]>([
    [{ work: { lo: 5, hi: 5 } }, "window-upside-down work.lo"],
    [{ unit: "deg", perTurn: undefined, pulley: { pitchMm: 5, teeth: 20 } }, "not-of-this-form pulley"],
    [{ low: { bufferAt: 950 } }, "window-upside-down high.bufferAt"],
    [{ pulley: { pitchMm: 5, teeth: 20 } }, "one-of-doubled perTurn"],
    [{ speed: 0 }, "too-small speed"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("axis-travel", { ...axis, ...wrong })).toBe(code));
});

describe("counterbalance", () => {
  const points = [
    { extensionMm: 100, forceN: 28 },
    { extensionMm: 500, forceN: 44 },
  ];
  const lift = { loadN: 330, strand: { points }, strands: 8, extensionAtTopMm: 120, travelMm: 420, frictionN: 12 };

  test("8 strands: residual 99.6 … −34.8, worst 111.6 up at the top, balance at 311.25; 9 strands 92.4", () => {
    const balance = run("counterbalance", lift);
    expect(balance.positions.at(0).residualN).toBeCloseTo(99.6, 9);
    expect(balance.positions.at(-1).residualN).toBeCloseTo(-34.8, 9);
    expect(balance).toMatchObject({
      worstAtMm: 0,
      worstGoing: "up",
      bestStrands: 9,
      staysPut: false,
      extrapolated: true,
    });
    expect(balance.worstN).toBeCloseTo(111.6, 9);
    expect(balance.balanceAtMm).toBeCloseTo(311.25, 9);
    expect(balance.bestWorstN).toBeCloseTo(92.4, 9);
  });

  test("what the drive lifts, over the whole travel in small steps; nothing worse lies between the positions told", () => {
    const strand = fc
      .array(fc.tuple(fc.double({ min: 5, max: 120, noNaN: true }), fc.double({ min: 0, max: 15, noNaN: true })), {
        minLength: 2,
        maxLength: 6,
      })
      .map((steps) => {
        let [extensionMm, forceN] = [0, 0];
        return steps.map(([dx, df]) => {
          [extensionMm, forceN] = [extensionMm + dx, forceN + df];
          return { extensionMm, forceN };
        });
      });
    const curve = (list: typeof points, x: number) => {
      let i = 1;
      while (i < list.length - 1 && x > (list[i]?.extensionMm ?? 0)) i++;
      const [a, b] = [list[i - 1], list[i]] as [(typeof points)[0], (typeof points)[0]];
      return Math.max(0, a.forceN + ((x - a.extensionMm) * (b.forceN - a.forceN)) / (b.extensionMm - a.extensionMm));
    };
    fc.assert(
      fc.property(
        strand,
        fc.integer({ min: 0, max: 12 }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (list, strands, reeving) => {
          const balance = run("counterbalance", { ...lift, strand: { points: list }, strands, reeving });
          const residual = (at: number) => 330 - strands * reeving * curve(list, 120 + reeving * at);
          let worst = 0;
          for (let at = 0; at <= 420; at += 0.5) worst = Math.max(worst, Math.abs(residual(at)) + 12);
          expect(balance.worstN).toBeGreaterThanOrEqual(worst - 1e-9);
          expect(balance.worstN - worst).toBeLessThanOrEqual(strands * reeving * reeving * 3 + 1e-9);
          if (balance.balanceAtMm !== null) expect(residual(balance.balanceAtMm)).toBeCloseTo(0, 6);
          for (const { atMm, upN, downN } of balance.positions) {
            expect((upN + downN) / 2).toBeCloseTo(residual(atMm), 6);
            expect((upN - downN) / 2).toBeCloseTo(12, 9);
          }
        },
      ),
      { numRuns: 100, seed: 16 },
    );
  });

  test("a strand stretched beyond its most: how far the travel may go; kilograms, and torque at the pulley", () => {
    const stretched = run("counterbalance", { ...lift, maxExtensionMm: 400, pulleyPitchDiameterMm: 80 });
    expect(stretched).toMatchObject({ feasible: false, reachMm: 280 });
    expect(stretched.torqueNm).toBeCloseTo(111.6 * 0.04, 9);
    const heavy = run("counterbalance", { ...lift, loadN: undefined, loadKg: 10 });
    expect(heavy.positions[0].residualN).toBeCloseTo(98.0665 - 8 * 28.8, 9);
    expect(run("counterbalance", { ...lift, loadN: 290, frictionN: 80 }).staysPut).toBe(true);
  });

  test.each<[object, string]>([
    [{ strand: { points: [points[1], points[0]] } }, "does-not-rise strand.points.1.extensionMm"],
    [{ strand: { points: [points[0], { extensionMm: 200, forceN: 20 }] } }, "does-not-rise strand.points.1.forceN"],
    [{ loadKg: 5 }, "one-of-doubled loadN"],
    [{ maxStrands: 0 }, "too-small maxStrands"],
    [{ strands: -1 }, "too-small strands"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("counterbalance", { ...lift, ...wrong })).toBe(code));
});

describe("index-error", () => {
  const wheel = { id: "wheel", eccentricityMm: 0.02, radiusMm: 30, turnsPerOutputTurn: [1, 1] };

  test("e 0.02 at r 30, 20°, 200 divisions: ± 2.4389158′, 0.0766176′ between; 3200 steps, 7 divisions: 2.8928571′, 5.7857143′", () => {
    const [runs] = run("index-error", { divisions: 200, wheels: [wheel] }).contributions;
    expect(runs.positionArcmin).toBeCloseTo(2.4389158, 7);
    expect(runs.betweenArcmin).toBeCloseTo(0.0766176, 7);
    const [rounded] = run("index-error", { divisions: 7, stepsPerOutputTurn: [3200, 1] }).contributions;
    expect(rounded.id).toBe("step-rounding");
    expect(rounded.positionArcmin).toBeCloseTo(2.8928571, 7);
    expect(rounded.betweenArcmin).toBeCloseTo(5.7857143, 7);
  });

  test("a wheel at every phase and every division: never more, and nearly so much", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 2, max: 60 }),
        (num, den, divisions) => {
          const { contributions } = run("index-error", {
            divisions,
            wheels: [{ ...wheel, turnsPerOutputTurn: [num, den] }],
          });
          const t = num / den;
          const size = (0.02 / (30 * Math.cos(Math.PI / 9) * t)) * (180 / Math.PI) * 60;
          let between = 0;
          for (let phase = 0; phase < 720; phase++)
            for (let k = 0; k < den * divisions; k++) {
              const at = (turn: number) =>
                size * Math.sin(2 * Math.PI * ((turn * t) / divisions) + (Math.PI * phase) / 360);
              between = Math.max(between, Math.abs(at(k + 1) - at(k)));
              if (k > 60) break;
            }
          expect(contributions[0].betweenArcmin).toBeGreaterThanOrEqual(between - 1e-9);
          expect(contributions[0].betweenArcmin).toBeLessThanOrEqual(between * 1.002 + 1e-9);
        },
      ),
      { numRuns: 40, seed: 16 },
    );
  });

  test("in order, added up in both ways, judged by positions; lost motion is nothing from one side", () => {
    const asked = {
      divisions: 60,
      wheels: [wheel, { ...wheel, id: "whole turns", turnsPerOutputTurn: [120, 1] }],
      stepsPerOutputTurn: [12_800, 3],
      lostMotionArcmin: 4,
      others: [{ id: "coupling", arcmin: 1 }],
      toleranceArcmin: 5,
    };
    const all = run("index-error", asked);
    expect(all.contributions.map(({ id }: { id: string }) => id)).toEqual([
      "wheel",
      "whole turns",
      "step-rounding",
      "lost-motion",
      "coupling",
    ]);
    expect(all.contributions[1]).toMatchObject({ positionArcmin: 0, betweenArcmin: 0 });
    const positions = all.contributions.map(({ positionArcmin }: { positionArcmin: number }) => positionArcmin);
    expect(all.position.worstArcmin).toBeCloseTo(
      positions.reduce((a: number, b: number) => a + b, 0),
      9,
    );
    expect(all.position.rssArcmin).toBeCloseTo(Math.hypot(...positions), 9);
    expect(all.verdict).toBe("likely");
    expect(run("index-error", { ...asked, toleranceArcmin: 3 }).verdict).toBe("beyond");
    expect(run("index-error", { ...asked, oneSided: true, toleranceArcmin: 7 }).verdict).toBe("within");
  });

  test.each<[object, string]>([
    [{}, "nothing-to-add wheels"],
    [{ wheels: [wheel, wheel] }, "id-twice wheels.1.id"],
    [{ wheels: [{ ...wheel, id: "lost-motion" }] }, "id-twice wheels.0.id"],
    [{ wheels: [wheel], others: [{ id: "wheel", arcmin: 1 }] }, "id-twice others.0.id"],
    [{ wheels: [{ ...wheel, pressureAngleDeg: 60 }] }, "too-large wheels.0.pressureAngleDeg"],
    [{ divisions: 100_001 }, "too-large divisions"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("index-error", { divisions: 60, ...wrong })).toBe(code));
});
