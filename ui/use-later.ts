import { useEffect, useRef, useState } from "react";

/** A part of the page that is not needed for it to stand; kept once it came. */
export type Later<T> = { load: () => Promise<T>; kept: T | null };

export const later = <T>(load: () => Promise<T>): Later<T> => {
  const part: Later<T> = {
    kept: null,
    load: async () => {
      part.kept = await load();
      return part.kept;
    },
  };
  return part;
};

/** Once there is nothing to do, or after a second of work that does not end. */
export const whenIdle = (work: () => void): (() => void) => {
  // Not every browser can say when it has nothing to do.
  if (typeof requestIdleCallback === "undefined") {
    const timer = setTimeout(work, 500);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(work, { timeout: 1000 });
  return () => cancelIdleCallback(handle);
};

/**
 * Such a part: it comes once the page is idle, or at once where it is wanted before that.
 *
 * @param onFailed told where it was wanted and there is no network to bring it; it is tried again when it is next wanted
 * @param ahead false: it does not come before it is wanted, for few ever do
 * @returns null until it is there
 */
export function useLater<T>(part: Later<T>, wanted: boolean, onFailed: () => void = () => {}, ahead = true): T | null {
  const [here, setHere] = useState(() => part.kept);
  const failed = useRef(onFailed);
  failed.current = onFailed;
  useEffect(() => {
    if (here) return;
    const take = () =>
      part.load().then(
        (loaded) => setHere(() => loaded),
        () => wanted && failed.current(),
      );
    if (wanted) take();
    else if (ahead) return whenIdle(take);
  }, [part, here, wanted, ahead]);
  return here;
}

/** Whether the page stands and has nothing to do: time to fetch what may be wanted next. */
export function useIdle(): boolean {
  const [idle, setIdle] = useState(false);
  useEffect(() => whenIdle(() => setIdle(true)), []);
  return idle;
}
