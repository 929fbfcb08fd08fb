import { expertWay, lessonKeys, practiceCase, practiceMachine, seededRandom } from "../../core/practice";
import { placesToRead } from "../../core/rounds";
import { frameOf } from "../../core/stages";

const machines = 60;

/**
 * Practice machines: how many turns a second are read on them with an instrument at every place of a round, and how many of those that are drawn somebody who
 * knows the trade sets right without being told what is hidden.
 */
export async function measurePractice(): Promise<void> {
  let [turns, right, moves, ms] = [0, 0, 0, 0];
  for (const lesson of lessonKeys)
    for (let seed = 1; seed <= machines; seed++) {
      const drawn = practiceCase(lesson, seededRandom(seed));
      const machine = practiceMachine(drawn, seed);
      const rounds = drawn.stages.map(({ element }) => placesToRead(frameOf(element), null));
      const began = performance.now();
      for (const [i, stage] of drawn.stages.entries())
        for (let turn = 0; turn < 4; turn++, turns++)
          for (const place of rounds[i] ?? []) machine.read(i, stage.instrument, place, "clamp");
      ms += performance.now() - began;
      const way = expertWay(drawn, seed);
      if (way.right) right++;
      moves = Math.max(moves, way.moves);
    }
  const all = lessonKeys.length * machines;
  console.log(
    `practice machines: ${Math.round((1000 * turns) / ms)} turns a second read at every place of a round; ${right} of ${all} set right by the expert's way, none with more than ${moves} moves`,
  );
}
