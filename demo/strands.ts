import { pluckSound, recordedIn, seededRandom } from "../core/practice";
import { mustHold } from "../core/quantity";
import { hearPluck, surePitch } from "../core/sound";
import { type Feel, frameOf, fromJudged, placeCount, type StageElement, toJudged } from "../core/stages";
import { liveChecks } from "./visits";

const sampleRateHz = 8000;
const way = { quantity: "span-frequency" as const, held: null, indicatorRadiusMm: null, indicatorAngleDeg: 0 };

/** What a microphone heard at four places of a belt's turn, as the app's own ear read it from the simulated span in a noisy hall. */
function heardRound(element: StageElement, tensionsN: readonly number[], seed: number): object {
  const random = seededRandom(seed);
  const { convert } = mustHold(toJudged(element, way));
  const readings = tensionsN.map((tension, i) => {
    const expectedHz = fromJudged(convert, tension);
    const string = {
      stringHz: expectedHz,
      stiffness: 2e-4,
      decayS: 1.1,
      decayRise: 6,
      sharpening: 0.01,
      pluckAt: 0.32,
      hearAt: 0.2,
      plucks: [{ atS: 0.2, strength: 1 }],
    };
    const around = { signalToNoiseDb: 18, mainsHz: 50, hum: 0.1, knocksS: [] };
    const samples = recordedIn(pluckSound(string, sampleRateHz, 1.5), sampleRateHz, around, random);
    const heard = hearPluck({ samples, sampleRateHz }, { expectedHz, bandHz: [0.4 * expectedHz, 2.5 * expectedHz] });
    const hz = surePitch(heard);
    if (hz === null) throw new Error("the demo's belt could not be heard");
    return {
      tooth: 1 + Math.round((i * placeCount(frameOf(element))) / tensionsN.length),
      turn: 1,
      typed: hz.toFixed(1),
      struck: false,
      repeats: null,
    };
  });
  return {
    kind: "round",
    phase: "as-found",
    method: {
      quantity: "span-frequency",
      instrumentId: "microphone",
      indicatorRadiusMm: null,
      indicatorAngleDeg: 0,
      temperatureC: 21,
      sense: "clockwise",
    },
    readings,
  };
}

const runs = (current: string) => [
  { kind: "live", acknowledged: liveChecks },
  ...(["forwards", "backwards"] as const).map((direction) => ({
    kind: "proof",
    way: "powered",
    outcome: "ran",
    direction,
    speed: "working",
    current,
    temperature: "",
    noise: "even hum",
  })),
];

/** A belt heard twice: from a sound file that somebody brought, and by the microphone at the machine. */
export const pluckedRounds = (element: StageElement) => ({
  fromFile: [
    heardRound(element, [246, 239, 244, 251], 61),
    ...runs("2.32"),
    { kind: "note", text: "Plucks opened from sound files, recorded on the night shift beside the belt" },
  ],
  byMicrophone: [heardRound(element, [238, 231, 236, 243], 62), ...runs("2.27")],
});

const clamps = (state: "eased" | "firm") =>
  [1, 2, 3, 4].map((clamp) => ({ kind: "clamp", clamp, pass: state === "firm" ? 2 : 0, state }));

/** Loosened, pushed in, tightened, and felt before and after. */
export const reTensioned = (found: Feel, pushedMm: number) => [
  { kind: "feel", phase: "as-found", method: "by hand", places: [{ tooth: 1, feel: found }] },
  ...clamps("eased"),
  { kind: "move", amount: pushedMm, did: "otherwise", advised: null, reasons: [], note: "Re-tensioned" },
  ...clamps("firm"),
  { kind: "feel", phase: "check", method: "by hand", places: [{ tooth: 1, feel: "firm" }] },
];
