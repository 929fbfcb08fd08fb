import { type ComponentType, lazy, type ReactNode, Suspense } from "react";
import { later, whenIdle } from "./use-later";
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
