import type * as z from "zod";
import { simulatedPluck, simulatedSound } from "../calc/tools/pluck";
import { accept, type Result } from "../core/quantity";
import { type DrawnSound, drawnSound, hearPluck, oneChannel, type Pluck, type Recorded, readWav } from "../core/sound";

/** As calc takes it, with what it leaves out as usual. */
export type SimulatedPluck = z.input<typeof simulatedPluck>;

/** What is listened to: a file as it is, samples as they were recorded or opened, or a simulated pluck. */
export type SoundQuestion = {
  of: { wav: ArrayBuffer } | { channels: Float64Array[]; sampleRateHz: number } | { simulated: SimulatedPluck };
  expectedHz?: number | undefined;
  bandHz: [number, number];
};

export type HeardSound = {
  pluck: Pluck;
  drawn: DrawnSound;
  /** Of the recording: too loud for the recorder; it ended before it said. */
  clipped: boolean;
  cutOff: boolean;
  sampleRateHz: number;
};

/** More of a recording than this stands at its top, and partials that are not there come with it. */
const mostClipped = 0.002;

/** A recording listened to beside the page. */
self.onmessage = ({ data }: MessageEvent<SoundQuestion>) => {
  self.postMessage({ answer: heard(data) });
};

function heard({ of, expectedHz, bandHz }: SoundQuestion): Result<HeardSound> {
  const sound = soundOf(of);
  if (!sound.ok) return sound;
  const { cutOff, ...recorded } = sound.value;
  const pluck = hearPluck(recorded, { expectedHz, bandHz });
  return accept({
    pluck,
    drawn: drawnSound(recorded, pluck.ringS, bandHz),
    clipped: recorded.clippedShare > mostClipped,
    cutOff,
    sampleRateHz: recorded.sampleRateHz,
  });
}

function soundOf(of: SoundQuestion["of"]): Result<Recorded & { cutOff: boolean }> {
  if ("simulated" in of)
    return accept({ ...simulatedSound(simulatedPluck.parse(of.simulated)), clippedShare: 0, cutOff: false });
  if ("channels" in of) return accept({ ...oneChannel(of.channels, of.sampleRateHz), cutOff: false });
  const wav = readWav(of.wav);
  return wav.ok ? accept({ ...oneChannel(wav.value.channels, wav.value.sampleRateHz), cutOff: wav.value.cutOff }) : wav;
}
