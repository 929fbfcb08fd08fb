export { type DrawnSound, drawnSound } from "./drawn-sound";
export { mostSeconds, oneChannel, type Recorded } from "./one-channel";
export { hearPluck, type Pluck, type PluckQuestion, surePitch } from "./pluck";
export { alikeWithin, type SeveralPlucks, severalPlucks } from "./several-plucks";
export { type PluckDoubt, pluckDoubts } from "./sureness";
export { readWav, type WavFile, writeWav } from "./wav";
export type { Sound } from "./working-rate";
