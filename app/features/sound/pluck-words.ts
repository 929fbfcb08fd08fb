import { type Pluck, type PluckDoubt, surePitch } from "~/core/sound";
import type { HeardSound } from "~/workers/sound";
import type { MicrophoneTrouble } from "./record";

/** What speaks against a recording, and what to do about it. */
const doubtWords: Record<PluckDoubt, string> = {
  silent: "There is no sound in it. Hold the microphone nearer to the span.",
  "nothing-rings": "Nothing rings in it: pluck once, and let it ring.",
  "nothing-in-band": "What rings lies outside of what a span sounds at.",
  weak: "It is too weak. Hold the microphone nearer, pluck harder, or wait until it is quieter.",
  "two-pitches": "Two pitches ring at once. Hold the other strand still, and pluck once.",
  "does-not-fade": "It does not fade: a motor or a hum, not a pluck. Switch it off, and pluck again.",
  unclear: "It is not clear which pitch it is. Pluck once in the middle of the span, and let it ring.",
};

export const microphoneWords: Record<MicrophoneTrouble, string> = {
  "no-microphone":
    "This device has no microphone that can be used here. Open a sound file, or type the figure of a meter.",
  "no-permission":
    "The browser may not listen. Allow the microphone for this page, open a sound file, or type the figure of a meter.",
  "microphone-failed": "The microphone gave nothing. Try it again, open a sound file, or type the figure of a meter.",
};

/** How clearly a pitch was heard; no chance that it is right, which a figure in per cent would be taken for. */
export const clearWords = (pluck: Pick<Pluck, "frequencyHz" | "confidence">): string =>
  surePitch(pluck) === null ? "not clear" : pluck.confidence >= 0.9 ? "clear" : "fairly clear";

/** What to know about one recording beside its pitch; empty where there is nothing. */
export function remarksOn({ pluck, clipped, cutOff }: HeardSound): string[] {
  const sure = surePitch(pluck) !== null;
  return [
    ...(sure ? [] : [pluck.doubts.map((doubt) => doubtWords[doubt])[0] ?? doubtWords.unclear]),
    ...(clipped ? ["It is too loud for the recorder: hold it farther away, or pluck more softly."] : []),
    ...(cutOff ? ["The file ends before it says so; what is there was listened to."] : []),
  ];
}
