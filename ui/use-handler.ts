import { useCallback, useLayoutEffect, useRef } from "react";

/** A handler that stays the same from one rendering to the next and does what the latest one says; not to be called while rendering. */
export function useHandler<A extends unknown[], R>(handler: (...args: A) => R): (...args: A) => R {
  const latest = useRef(handler);
  useLayoutEffect(() => {
    latest.current = handler;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
