import { type RefObject, useEffect, useState } from "react";

/** How wide an element is, px; null until it stands on the screen. */
export function useRoom(of: RefObject<HTMLElement | null>): number | null {
  const [room, setRoom] = useState<number | null>(null);
  useEffect(() => {
    if (!of.current || typeof ResizeObserver === "undefined") return;
    const watch = new ResizeObserver(([entry]) => entry && setRoom(Math.floor(entry.contentRect.width)));
    watch.observe(of.current);
    return () => watch.disconnect();
  }, [of]);
  return room;
}
