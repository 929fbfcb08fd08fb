/** Plays knocks, and says at each that it sounds; gives back how it is stopped. Without sound it still says so: a lamp does as well. */
export function playKnocks(knocks: readonly number[], onKnock: (on: boolean) => void, onEnd: () => void): () => void {
  const sound = typeof AudioContext === "undefined" ? null : new AudioContext();
  const timers: ReturnType<typeof setTimeout>[] = [];
  for (const at of knocks) {
    if (sound) knockAt(sound, at);
    timers.push(setTimeout(() => onKnock(true), 1000 * at));
    timers.push(setTimeout(() => onKnock(false), 1000 * at + 120));
  }
  const stop = () => {
    for (const timer of timers) clearTimeout(timer);
    void sound?.close();
    onKnock(false);
    onEnd();
  };
  timers.push(setTimeout(stop, 1000 * ((knocks.at(-1) ?? 0) + 0.5)));
  return stop;
}

/** A dull knock: a low tone that dies away within a tenth of a second. */
function knockAt(sound: AudioContext, at: number): void {
  const [tone, loud] = [sound.createOscillator(), sound.createGain()];
  const from = sound.currentTime + at;
  tone.frequency.value = 140;
  loud.gain.setValueAtTime(0.5, from);
  loud.gain.exponentialRampToValueAtTime(0.001, from + 0.1);
  tone.connect(loud).connect(sound.destination);
  tone.start(from);
  tone.stop(from + 0.12);
}
