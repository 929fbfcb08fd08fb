import type { SoundQuestion } from "~/workers/sound";

/** A pluck is over in seconds; what is larger is something else. */
export const mostMegabytes = 40;

/** A file's bytes, as those of a WAV file or of something that the browser has to open. */
export async function openRecording(file: File): Promise<{ bytes: ArrayBuffer; isWav: boolean } | "too-large"> {
  if (file.size > mostMegabytes * 2 ** 20) return "too-large";
  const bytes = await file.arrayBuffer();
  return { bytes, isWav: new TextDecoder("latin1").decode(bytes.slice(0, 4)) === "RIFF" };
}

/** What the browser makes of a recording of another kind, or of one whose samples are packed. */
export async function decodedByBrowser(bytes: ArrayBuffer): Promise<SoundQuestion["of"] | "not-a-recording"> {
  const context = new AudioContext();
  try {
    const decoded = await context.decodeAudioData(bytes);
    const channels = Array.from({ length: decoded.numberOfChannels }, (_, i) =>
      Float64Array.from(decoded.getChannelData(i)),
    );
    return { channels, sampleRateHz: decoded.sampleRate };
  } catch {
    return "not-a-recording";
  } finally {
    await context.close();
  }
}
