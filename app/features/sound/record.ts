import recorderUrl from "~/workers/microphone?worker&url";

export type MicrophoneTrouble = "no-microphone" | "no-permission" | "microphone-failed";
export type Recording = { samples: Float64Array; sampleRateHz: number };

/**
 * Some seconds from the microphone. What phones do to speech (echo, noise, level) is switched off as far as they allow it: it would take a
 * pluck for noise.
 *
 * @param onLevel told how loud it is just now, 0 to 1
 */
export async function record(
  seconds: number,
  onLevel: (level: number) => void,
  signal: AbortSignal,
): Promise<Recording | MicrophoneTrouble> {
  if (!navigator.mediaDevices?.getUserMedia) return "no-microphone";
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
    });
  } catch (error) {
    const name = error instanceof DOMException ? error.name : "";
    if (name === "NotAllowedError" || name === "SecurityError") return "no-permission";
    return name === "NotFoundError" ? "no-microphone" : "microphone-failed";
  }
  const context = new AudioContext();
  try {
    await context.audioWorklet.addModule(recorderUrl);
    await context.resume();
    const recorder = new AudioWorkletNode(context, "recorder", { numberOfOutputs: 0 });
    const blocks: Float32Array[] = [];
    const wanted = Math.round(seconds * context.sampleRate);
    await new Promise<void>((done) => {
      let count = 0;
      const timer = setTimeout(done, seconds * 1000 + 3000);
      if (signal.aborted) return done();
      signal.addEventListener("abort", () => done());
      recorder.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
        blocks.push(data);
        count += data.length;
        onLevel(data.reduce((most, value) => Math.max(most, Math.abs(value)), 0));
        if (count < wanted) return;
        clearTimeout(timer);
        done();
      };
      context.createMediaStreamSource(stream).connect(recorder);
    });
    recorder.port.onmessage = null;
    const samples = new Float64Array(blocks.reduce((sum, block) => sum + block.length, 0));
    let at = 0;
    for (const block of blocks) {
      samples.set(block, at);
      at += block.length;
    }
    return samples.length > 0 ? { samples, sampleRateHz: context.sampleRate } : "microphone-failed";
  } catch {
    return "microphone-failed";
  } finally {
    for (const track of stream.getTracks()) track.stop();
    await context.close();
  }
}
