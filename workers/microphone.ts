/** What an audio worklet is made of; not among the library's types. */
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: typeof AudioWorkletProcessor): void;

/** Hands on what the microphone gives, a block at a time. */
class Recorder extends AudioWorkletProcessor {
  process([input]: Float32Array[][]): boolean {
    const [channel] = input ?? [];
    if (channel) this.port.postMessage(channel.slice());
    return true;
  }
}

registerProcessor("recorder", Recorder);
