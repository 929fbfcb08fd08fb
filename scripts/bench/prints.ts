import { seededRandom } from "../../core/practice";
import { type PrintMove, readPrint } from "../../core/prints";
import { mustHold } from "../../core/quantity";
import { type Mounting, simulatePrint } from "../../tests/simulated-contact";

const contacts = 5000;
const wrongs = ["none", "apart", "inclined", "crossed", "apart and inclined"] as const;
type Wrong = (typeof wrongs)[number];

/** What the moves have to say, of what was put wrong. */
function isRight(move: PrintMove, wrong: Wrong, { inclined }: Mounting): boolean {
  if (move.what === "together") return wrong.startsWith("apart");
  if (move.what === "tilt") return wrong.endsWith("inclined") && move.partAt === (inclined > 0 ? 0 : 1);
  return move.what === "swing" && wrong === "crossed";
}

/**
 * Prints of simulated contacts, made by turning two drawn flanks through each other, read by the reader of contact prints: of what it says to
 * do, how much goes the right way, and how much of what was put wrong it finds.
 */
export function measurePrints(): void {
  const random = seededRandom(1914);
  const between = (from: number, to: number) => from + (to - from) * random();
  let [named, right, put, found, quiet, aligned] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < contacts; i++) {
    const wrong = wrongs[i % wrongs.length] as Wrong;
    const faceMm = between(6, 16);
    const filmMm = between(0.006, 0.014);
    // A print as long as a fifth to three fifths of the face.
    const tilt = ((random() < 0.5 ? -1 : 1) * filmMm) / (between(0.2, 0.6) * faceMm * Math.sin(Math.PI / 9));
    const mounting: Mounting = {
      teeth: [Math.round(between(17, 24)), Math.round(between(36, 70))],
      apartMm: wrong.startsWith("apart") ? between(0.75, 1.1) : between(-0.05, 0.1),
      inclined: wrong.endsWith("inclined") ? tilt : 0,
      crossed: wrong === "crossed" ? tilt * Math.tan(Math.PI / 9) : 0,
      faceMm,
      filmMm,
    };
    const prints = ([1, -1] as const).flatMap((side) => {
      const span = simulatePrint(mounting, side);
      return span ? [{ flank: side === 1 ? ("drive" as const) : ("coast" as const), diagonal: false, ...span }] : [];
    });
    if (prints.length === 0) continue;
    const { moves, ok } = mustHold(
      readPrint({ kind: "spur", prints, wholeDepthMm: 2.25, faceWidthMm: faceMm, filmMm, pressureAngleDeg: 20 }),
    );
    named += moves.length;
    right += moves.filter((move) => isRight(move, wrong, mounting)).length;
    if (wrong === "none") {
      aligned++;
      if (ok) quiet++;
    } else {
      put += wrong === "apart and inclined" ? 2 : 1;
      found += moves.filter((move) => isRight(move, wrong, mounting)).length;
    }
  }
  const percent = (part: number, of: number) => `${((100 * part) / of).toFixed(2)} %`;
  console.log(
    `prints, ${contacts} contacts of drawn flanks: of ${named} moves named ${percent(right, named)} go the right way (aim 99 %); of ${put} errors ${percent(found, put)} are found; of ${aligned} right mountings ${percent(quiet, aligned)} are left alone`,
  );
}
