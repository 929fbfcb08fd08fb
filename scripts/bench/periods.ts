import { knockingCase, seededRandom } from "../../core/practice";
import { tappedRate } from "../../core/proving";
import { linePeriods } from "../../core/stages";
import { rankSuspects } from "../../core/symptoms";

const lines = 2000;

/**
 * Drive lines with one part at fault, turned tooth by tooth and tapped by a hand: how often the guide's first suspect is the one, and how often it is among
 * the first three, from the word "knock" and the taps alone. Taps that tell nothing count as not found.
 */
export async function measurePeriods(): Promise<void> {
  const random = seededRandom(20261130);
  const unsaid = { direction: null, load: null, warmth: null, place: null, speed: null };
  let [first, three, untold] = [0, 0, 0];
  for (let i = 0; i < lines; i++) {
    const { kept, stages, taps, cause } = knockingCase(random);
    const rate = tappedRate(taps);
    if (!rate.ok) {
      untold++;
      continue;
    }
    const suspects = rankSuspects(
      { kinds: ["knock"], when: unsaid, heard: rate.value },
      stages,
      linePeriods(kept, stages),
    );
    const place = suspects.findIndex(({ stageId, part }) => stageId === cause.stageId && part === cause.part);
    if (place === 0) first++;
    if (place >= 0 && place < 3) three++;
  }
  const share = (count: number) => `${((100 * count) / lines).toFixed(1)} %`;
  console.log(
    `tapped knocks of ${lines} drive lines: the first suspect is the one in ${share(first)}, among the first three in ${share(three)} (aim 95 %); ${untold} tapped too unevenly to tell`,
  );
}
