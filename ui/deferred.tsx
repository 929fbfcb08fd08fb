import { type ComponentType, lazy, type ReactNode, Suspense, useEffect, useState } from "react";
import { type Later, later, whenIdle } from "./use-later";
import { WhenHere } from "./when-here";

/**
 * A part of a page that the server draws with it, and whose script comes once what has to answer at once stands. Where it cannot be brought
 * it says so in its place.
 *
 * @param Room what keeps its place until then
 */
export function deferred<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Room: () => ReactNode = () => null,
): ComponentType<P> {
  const part = later(load);
  const Part = lazy(async (): Promise<{ default: ComponentType<P> }> => {
    if (typeof document !== "undefined") await new Promise<void>((stands) => whenIdle(stands));
    try {
      return { default: await part.load() };
    } catch {
      return { default: (props) => <WhenHere part={part} props={props} /> };
    }
  });
  return function Deferred(props) {
    return (
      <Suspense fallback={<Room />}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/**
 * The same for a part that only the browser draws, inside of what is drawn with every key: no component stands between.
 *
 * @returns null until it is there
 */
export function useDeferred<P extends object>(part: Later<ComponentType<P>>): ComponentType<P> | null {
  const [Part, setPart] = useState(() => part.kept);
  useEffect(() => {
    if (Part) return;
    return whenIdle(() => {
      part.load().then(
        (loaded) => setPart(() => loaded),
        () => setPart(() => (props: P) => <WhenHere part={part} props={props} />),
      );
    });
  }, [part, Part]);
  return Part;
}
