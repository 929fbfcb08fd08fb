import { accept, type Result, refuse } from "../quantity";

/** A recording as it lies in a file. */
export type WavFile = {
  sampleRateHz: number;
  /** Each from −1 to 1. */
  channels: Float64Array[];
  /** The file ends before it says it does. */
  cutOff: boolean;
};

type Form = { code: number; channels: number; rate: number; bits: number };

const pcm = 1;
const ieeeFloat = 3;
const extensible = 0xfffe;
/** Names of what cannot be read here. */
const compressedForms: Readonly<Record<number, string>> = {
  2: "ADPCM",
  6: "A-law",
  7: "µ-law",
  17: "IMA ADPCM",
  49: "GSM",
  85: "MP3",
  255: "AAC",
};

/**
 * A WAV file: whole numbers of 8, 16, 24 or 32 bits or floating point of 32 or 64, any number of channels. One that was cut off gives what
 * is there, since a recorder that lost its power is no reason to pluck again.
 *
 * @returns the recording, or `not-a-recording`, `sound-compressed`, `sound-empty`
 * @source Multimedia Programming Interface and Data Specifications 1.0 (RIFF), and its extensible form
 */
export function readWav(bytes: ArrayBuffer): Result<WavFile> {
  const view = new DataView(bytes);
  if (bytes.byteLength < 12 || word(view, 0) !== "RIFF" || word(view, 8) !== "WAVE")
    return refuse("not-a-recording", []);
  let form: Form | null = null;
  for (let at = 12; at + 8 <= bytes.byteLength; ) {
    const name = word(view, at);
    const length = view.getUint32(at + 4, true);
    const from = at + 8;
    if (name === "fmt " && from + 16 <= bytes.byteLength) form = formAt(view, from, length);
    if (name === "data") return form ? samplesOf(view, form, from, length) : refuse("not-a-recording", []);
    at = from + length + (length % 2);
  }
  return refuse(form ? "sound-empty" : "not-a-recording", []);
}

function formAt(view: DataView, from: number, length: number): Form {
  const said = view.getUint16(from, true);
  const code =
    said === extensible && length >= 26 && from + 26 <= view.byteLength ? view.getUint16(from + 24, true) : said;
  return {
    code,
    channels: view.getUint16(from + 2, true),
    rate: view.getUint32(from + 4, true),
    bits: view.getUint16(from + 14, true),
  };
}

function samplesOf(view: DataView, { code, channels, rate, bits }: Form, from: number, said: number): Result<WavFile> {
  const read = readerOf(code, bits);
  if (!read) return refuse("sound-compressed", [], { form: compressedForms[code] ?? `form ${code}` });
  if (channels < 1 || channels > 64 || rate < 1000 || rate > 1_000_000) return refuse("not-a-recording", []);
  const frame = (channels * bits) / 8;
  const there = Math.min(said, view.byteLength - from);
  const frames = Math.floor(there / frame);
  if (frames === 0) return refuse("sound-empty", []);
  const sound = Array.from({ length: channels }, (_, channel) => {
    const samples = new Float64Array(frames);
    for (let i = 0; i < frames; i++) samples[i] = read(view, from + i * frame + (channel * bits) / 8);
    return samples;
  });
  return accept({ sampleRateHz: rate, channels: sound, cutOff: there < said });
}

/** How one sample is read, scaled to ±1; null where this form is not read. */
function readerOf(code: number, bits: number): ((view: DataView, at: number) => number) | null {
  if (code === ieeeFloat && bits === 32) return (view, at) => view.getFloat32(at, true);
  if (code === ieeeFloat && bits === 64) return (view, at) => view.getFloat64(at, true);
  if (code !== pcm) return null;
  if (bits === 8) return (view, at) => (view.getUint8(at) - 128) / 128;
  if (bits === 16) return (view, at) => view.getInt16(at, true) / 2 ** 15;
  if (bits === 24) return (view, at) => (view.getUint8(at) + view.getInt16(at + 1, true) * 256) / 2 ** 23;
  if (bits === 32) return (view, at) => view.getInt32(at, true) / 2 ** 31;
  return null;
}

const word = (view: DataView, at: number): string =>
  String.fromCharCode(view.getUint8(at), view.getUint8(at + 1), view.getUint8(at + 2), view.getUint8(at + 3));

/** A recording as a WAV file of 16 bits, one channel. */
export function writeWav(samples: Float64Array, sampleRateHz: number): ArrayBuffer {
  const view = new DataView(new ArrayBuffer(44 + samples.length * 2));
  const text = (at: number, letters: string) => {
    for (let i = 0; i < 4; i++) view.setUint8(at + i, letters.charCodeAt(i));
  };
  text(0, "RIFF");
  view.setUint32(4, 36 + samples.length * 2, true);
  text(8, "WAVE");
  text(12, "fmt ");
  view.setUint32(16, 16, true);
  view.setUint16(20, pcm, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, sampleRateHz, true);
  view.setUint32(28, sampleRateHz * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, "data");
  view.setUint32(40, samples.length * 2, true);
  for (let i = 0; i < samples.length; i++)
    view.setInt16(44 + i * 2, Math.round(32767 * Math.max(-1, Math.min(1, samples[i] as number))), true);
  return view.buffer as ArrayBuffer;
}
