import { useCallback, useEffect, useRef, useState } from "react";

export type Calculation<A> = {
  answer: A | null;
  /** Of the way, 0 to 1, while it runs. */
  share: number;
  running: boolean;
  calledOff: boolean;
  callOff: () => void;
};

const begun = { answer: null, share: 0, running: false, calledOff: false };

/**
 * What a worker answers; a new question ends the one before. Nothing is asked while `question` is null.
 *
 * @param start makes the worker; the same function every time
 */
export function useWorker<A>(start: () => Worker, question: object | null): Calculation<A> {
  const [state, setState] = useState<Omit<Calculation<A>, "callOff">>(begun);
  const worker = useRef<Worker | null>(null);
  const asked = question && JSON.stringify(question);
  useEffect(() => {
    if (asked === null) return setState(begun);
    const started = start();
    worker.current = started;
    setState((was) => ({ ...was, share: 0, running: true, calledOff: false }));
    started.onmessage = ({ data }: MessageEvent<{ share: number } | { answer: A }>) => {
      if ("share" in data) setState((was) => ({ ...was, share: data.share }));
      else setState({ answer: data.answer, share: 1, running: false, calledOff: false });
    };
    started.postMessage(JSON.parse(asked));
    return () => started.terminate();
  }, [start, asked]);
  const callOff = useCallback(() => {
    worker.current?.terminate();
    setState((was) => ({ ...was, running: false, calledOff: true }));
  }, []);
  return { ...state, callOff };
}
