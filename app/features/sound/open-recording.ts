import type { SoundQuestion } from "~/workers/sound";

/** A pluck is over in seconds; what is larger is something else. */
export const mostMegabytes = 40;

export type FileTrouble = "too-large" | "not-a-recording";

/** A file as something that can be listened to: a WAV file as it is, another kind by what the browser makes of it. */
export async function openRecording(file: File): Promise<SoundQuestion["of"] | FileTrouble> {
  if (file.size > mostMegabytes * 2 ** 20) return "too-large";
  const bytes = await file.arrayBuffer();
  const head = new TextDecoder("latin1").decode(bytes.slice(0, 4));
  if (head === "RIFF" && !isPacked(bytes)) return { wav: bytes };
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

/** Whether the samples of a WAV file are packed, which the browser may open; plain ones and floating point are read here. */
function isPacked(bytes: ArrayBuffer): boolean {
  const view = new DataView(bytes);
  for (let at = 12; at + 24 <= bytes.byteLength; ) {
    const length = view.getUint32(at + 4, true);
    if (view.getUint32(at, false) === 0x666d7420) return ![1, 3, 0xfffe].includes(view.getUint16(at + 8, true));
    at += 8 + length + (length % 2);
  }
  return false;
}
