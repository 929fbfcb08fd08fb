import { useCallback, useEffect, useRef, useState } from "react";
import type { Result } from "~/core/quantity";
import { severalPlucks, surePitch } from "~/core/sound";
import type { HeardSound, SoundQuestion } from "~/workers/sound";

/** One recording that was listened to, and the pitch that was picked in it: heard, or moved by a person. */
export type HeardPluck = { id: number; from: string; heard: HeardSound; pickedHz: number | null; byHand: boolean };

/** Listens beside the page; the last question ends the one before. */
export const listenTo = (question: SoundQuestion): Promise<Result<HeardSound>> =>
  new Promise((done, failed) => {
    const worker = new Worker(new URL("../../../workers/sound.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<{ answer: Result<HeardSound> }>) => {
      worker.terminate();
      done(data.answer);
    };
    worker.onerror = () => {
      worker.terminate();
      failed(new Error("the sound could not be listened to"));
    };
    worker.postMessage(question);
  });

/** The plucks so far and what they say together. */
export function useEar(expectedHz: number | undefined, bandHz: [number, number]) {
  const [plucks, setPlucks] = useState<HeardPluck[]>([]);
  const [listening, setListening] = useState(false);
  const next = useRef(1);
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  const [lo, hi] = bandHz;
  const add = useCallback(
    async (of: SoundQuestion["of"], from: string): Promise<Result<HeardSound>> => {
      setListening(true);
      try {
        const answer = await listenTo({ of, expectedHz, bandHz: [lo, hi] });
        if (answer.ok && here.current) {
          const heard = answer.value;
          const pickedHz = surePitch(heard.pluck);
          setPlucks((was) => [...was, { id: next.current++, from, heard, pickedHz, byHand: false }]);
        }
        return answer;
      } finally {
        if (here.current) setListening(false);
      }
    },
    [expectedHz, lo, hi],
  );
  const pick = useCallback((id: number, hz: number | null) => {
    setPlucks((was) => was.map((one) => (one.id === id ? { ...one, pickedHz: hz, byHand: hz !== null } : one)));
  }, []);
  const drop = useCallback((id: number) => setPlucks((was) => was.filter((one) => one.id !== id)), []);
  const picked = plucks.flatMap(({ pickedHz }) => (pickedHz === null ? [] : [pickedHz]));
  return { plucks, listening, add, pick, drop, together: severalPlucks(picked), taken: picked.length };
}
