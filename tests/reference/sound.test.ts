import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { describe, expect, test } from "vitest";
import { lowestPartial, pluckSound, recordedIn, seededRandom } from "~/core/practice";
import { mustHold } from "~/core/quantity";
import { hearPluck, oneChannel, readWav, severalPlucks, writeWav } from "~/core/sound";
import { refusalOf, run } from "./run";

/*
 * Plucks. The string is stepped through its wave equation (finite differences), which knows nothing of the reader's partials; its own pitch
 * is checked against the string with stiffness of handbooks of acoustics, f₁·√(1 + B), and by counting its swings. WAV bytes are laid
 * out by hand after the RIFF specification.
 */

const rate = 8000;
const string = {
  stringHz: 92,
  stiffness: 0,
  decayS: 0.9,
  decayRise: 6,
  sharpening: 0,
  pluckAt: 0.4,
  hearAt: 0.5,
  plucks: [{ atS: 0.3, strength: 1 }],
};
const room = { signalToNoiseDb: 25, mainsHz: 50, hum: 0, knocksS: [] as number[] };
const recorded = (of: object = {}, around: object = {}, seed = 3) =>
  recordedIn(pluckSound({ ...string, ...of }, rate, 2), rate, { ...room, ...around }, seededRandom(seed));
const sum = (a: Float64Array, b: Float64Array) => a.map((value, i) => value + (b[i] as number));
const heard = (samples: Float64Array, question: object = {}) =>
  hearPluck({ samples, sampleRateHz: rate }, { bandHz: [10, 1200], ...question });

describe("the string itself", () => {
  test("its lowest partial is that of the stiff string, and what one counts of its swings", () => {
    for (const stiffness of [0, 1e-3]) {
      const of = { ...string, stiffness, hearAt: 0.5, pluckAt: 0.5, decayRise: 60, decayS: 3 };
      expect(lowestPartial(of, rate) / (92 * Math.sqrt(1 + stiffness))).toBeCloseTo(1, 3);
      const sound = pluckSound(of, rate, 2);
      const crossings: number[] = [];
      for (let i = Math.round(0.8 * rate); i < sound.length; i++) {
        const [a, b] = [sound[i - 1], sound[i]] as [number, number];
        if (a < 0 && b >= 0) crossings.push(i - b / (b - a));
      }
      const swings = crossings.length - 1;
      const counted = (swings * rate) / ((crossings[swings] as number) - (crossings[0] as number));
      expect(counted / lowestPartial(of, rate)).toBeCloseTo(1, 3);
    }
  });
});

describe("pluck", () => {
  test.each<[string, object, object]>([
    ["in the middle", { pluckAt: 0.5 }, {}],
    ["near a quarter, where the second partial is louder", { pluckAt: 0.25, hearAt: 0.25, decayRise: 1 }, {}],
    ["of a stiff belt", { stiffness: 2e-3 }, {}],
    ["low", { stringHz: 31 }, {}],
    ["high", { stringHz: 640, decayS: 0.3 }, {}],
    ["through hum as loud as itself", {}, { hum: 1 }],
    ["of the hum's own pitch", { stringHz: 50 }, { hum: 0.6 }],
    ["with a knock before it", {}, { knocksS: [0.12] }],
    [
      "struck twice",
      {
        plucks: [
          { atS: 0.3, strength: 1 },
          { atS: 0.7, strength: 0.8 },
        ],
      },
      {},
    ],
    ["with noise as loud as a tenth", {}, { signalToNoiseDb: 10 }],
  ])("a span plucked %s is heard within half a per cent, and surely", (_, of, around) => {
    const { frequencyHz, confidence } = heard(recorded(of, around));
    expect(Math.abs((frequencyHz ?? 0) / lowestPartial({ ...string, ...of }, rate) - 1)).toBeLessThan(0.005);
    expect(confidence).toBeGreaterThanOrEqual(0.5);
  });

  test.each<[string, Float64Array]>([
    ["silence", new Float64Array(16_000)],
    ["noise", recorded({ plucks: [] }, { signalToNoiseDb: 0 })],
    [
      "hum only",
      Float64Array.from(
        { length: 16_000 },
        (_, i) => 0.4 * Math.sin((2 * Math.PI * 50 * i) / rate) + 0.2 * Math.sin((2 * Math.PI * 150 * i) / rate),
      ),
    ],
    ["a knock only", recorded({ plucks: [] }, { knocksS: [0.5] })],
    [
      "a tone that begins and stays",
      Float64Array.from({ length: 16_000 }, (_, i) => (i < 4000 ? 0 : 0.4 * Math.sin((2 * Math.PI * 110 * i) / rate))),
    ],
    ["two belts at once", sum(recorded(), recorded({ stringHz: 103.7 }))],
    ["a tenth of a second", recorded().slice(0, 700)],
  ])("%s is no pluck that one can rely on", (_, samples) => {
    const { confidence, doubts } = heard(samples);
    expect(confidence).toBeLessThan(0.5);
    expect(doubts.length).toBeGreaterThan(0);
  });

  test("outside of the band asked for it is not that pitch; the contract's tool hears the same", () => {
    const sound = recorded();
    const { frequencyHz } = run("pluck", { samples: [...sound], sampleRateHz: rate });
    expect(frequencyHz).toBe(heard(sound).frequencyHz);
    expect(heard(sound, { bandHz: [300, 600] }).confidence).toBeLessThan(0.5);
    const simulated = run("pluck", { simulated: { frequencyHz: 120, stiffness: 0.001 } });
    expect(Math.abs(simulated.frequencyHz / 120 - 1)).toBeLessThan(0.005);
    expect(simulated.peaks[0].level).toBe(1);
  });

  test("the same at 44 100 Hz, clipped or not, and in a channel of its own", () => {
    const fine = pluckSound(string, 44_100, 2);
    const channels = [fine.map(() => 0.001), fine.map((value) => value * 0.7)];
    const one = oneChannel(channels, 44_100);
    expect([...one.samples.slice(20_000, 20_050)]).toEqual([...(channels[1] ?? []).slice(20_000, 20_050)]);
    const { frequencyHz } = hearPluck(one, { bandHz: [10, 1200] });
    expect(Math.abs((frequencyHz ?? 0) / lowestPartial(string, 44_100) - 1)).toBeLessThan(0.005);
    const clipped = oneChannel([recorded().map((value) => Math.max(-0.2, Math.min(0.2, value)))], rate);
    expect(clipped.clippedShare).toBeGreaterThan(0.01);
    expect(oneChannel([recorded()], rate).clippedShare).toBe(0);
  });

  test("of several the middle; they agree within two in a hundred", () => {
    expect(severalPlucks([92, 91.4, 92.3])).toMatchObject({ frequencyHz: 92, alike: true });
    expect(severalPlucks([92, 46, 92.4])).toMatchObject({ frequencyHz: 92, alike: false });
    expect(severalPlucks([])).toBeNull();
  });

  test.each<[object, string]>([
    [{}, "one-of-missing wavPath"],
    [{ wavPath: "a.wav", simulated: { frequencyHz: 50 } }, "one-of-doubled wavPath"],
    [{ samples: [0, 1] }, "missing sampleRateHz"],
    [{ wavPath: "a.wav", sampleRateHz: 8000 }, "not-of-this-form sampleRateHz"],
    [{ samples: [0, 1], sampleRateHz: 8000, bandHz: [50, 20] }, "window-upside-down bandHz.0"],
    [{ wavPath: "a.wav" }, "not-read-here wavPath"],
  ])("%j is refused: %s", (wrong, code) => expect(refusalOf("pluck", wrong)).toBe(code));
});

describe("recordings", () => {
  /** A WAV file byte by byte: form, channels, rate, bits, and the data as given. */
  const wav = (code: number, channels: number, bits: number, data: number[], said = data.length) => {
    const word = (text: string) => [...text].map((letter) => letter.charCodeAt(0));
    const le = (value: number, bytes: number) =>
      Array.from({ length: bytes }, (_, i) => Math.floor(value / 256 ** i) % 256);
    return Uint8Array.from([
      ...word("RIFF"),
      ...le(36 + said, 4),
      ...word("WAVE"),
      ...word("LIST"),
      ...le(3, 4),
      ...[1, 2, 3, 0],
      ...word("fmt "),
      ...le(16, 4),
      ...le(code, 2),
      ...le(channels, 2),
      ...le(8000, 4),
      ...le((8000 * channels * bits) / 8, 4),
      ...le((channels * bits) / 8, 2),
      ...le(bits, 2),
      ...word("data"),
      ...le(said, 4),
      ...data,
    ]).buffer;
  };

  test("8, 16, 24 and 32 bits and floating point, by their bytes; an odd chunk before them is passed over", () => {
    const first = (bytes: ArrayBuffer) => mustHold(readWav(bytes)).channels.map((channel) => channel[0]);
    expect(first(wav(1, 1, 8, [192]))).toEqual([0.5]);
    expect(first(wav(1, 2, 16, [0, 64, 0, 192]))).toEqual([0.5, -0.5]);
    expect(first(wav(1, 1, 24, [0, 0, 64]))).toEqual([0.5]);
    expect(first(wav(1, 1, 24, [255, 255, 255]))).toEqual([-1 / 2 ** 23]);
    expect(first(wav(1, 1, 32, [0, 0, 0, 192]))).toEqual([-0.5]);
    expect(first(wav(3, 1, 32, [0, 0, 0, 63]))).toEqual([0.5]);
  });

  test("one that was cut off gives what is there; what is written is read again", () => {
    const cut = mustHold(readWav(wav(1, 1, 16, [0, 64, 0], 4000)));
    expect(cut.cutOff).toBe(true);
    expect([...(cut.channels[0] ?? [])]).toEqual([0.5]);
    const again = mustHold(readWav(writeWav(Float64Array.from([0, 0.25, -1]), 8000)));
    expect(again.channels[0]?.[1]).toBeCloseTo(0.25, 4);
  });

  test.each<[string, ArrayBuffer, string]>([
    ["packed sound", wav(85, 1, 16, [1, 2]), "sound-compressed"],
    ["no samples", wav(1, 1, 16, []), "sound-empty"],
    ["something else", Uint8Array.from({ length: 60 }, (_, i) => i).buffer, "not-a-recording"],
    ["nothing", new ArrayBuffer(0), "not-a-recording"],
  ])("%s is refused", (_, bytes, code) => expect(readWav(bytes)).toMatchObject({ ok: false, refusal: { code } }));

  test("the command reads a file by its path, and says which it cannot", () => {
    const folder = mkdtempSync(join(tmpdir(), "harmostat-sound-"));
    try {
      const root = resolve(import.meta.dirname, "../..");
      writeFileSync(join(folder, "belt.wav"), new Uint8Array(writeWav(recorded(), rate)));
      writeFileSync(join(folder, "packed.wav"), new Uint8Array(wav(85, 1, 16, [1, 2])));
      const calc = (wavPath: string) =>
        spawnSync("npm", ["run", "--silent", "calc", "--", "pluck"], {
          cwd: root,
          input: JSON.stringify({ wavPath }),
          encoding: "utf8",
        });
      const found = JSON.parse(calc(join(folder, "belt.wav")).stdout);
      expect(Math.abs(found.frequencyHz / 92 - 1)).toBeLessThan(0.005);
      const packed = calc(join(folder, "packed.wav"));
      expect(packed.status).toBe(2);
      expect(JSON.parse(packed.stdout).error).toMatchObject({ code: "sound-compressed", path: ["wavPath"] });
      expect(JSON.parse(calc(join(folder, "none.wav")).stdout).error.code).toBe("no-such-file");
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});
