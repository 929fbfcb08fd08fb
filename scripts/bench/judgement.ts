import { allAgree, randomRound } from "../../tests/random-round";

const cases = 20_000;

/** Of random rounds of every kind and quantity, on how many entry, screen, floor, trend and a second judgement with no import of the app agree. */
export function measureJudgement(): void {
  let [taken, agreed] = [0, 0];
  for (let seed = 0; taken < cases; seed++) {
    const round = randomRound(seed);
    if (!round) continue;
    taken++;
    if (allAgree(round)) agreed++;
    else console.log(`  round ${seed} is judged differently: ${JSON.stringify(round)}`);
  }
  console.log(
    `judgement, ${taken} random rounds of every kind: ${((100 * agreed) / taken).toFixed(3)} % judged alike by entry, screen, floor, trend and a naive second judgement`,
  );
}
