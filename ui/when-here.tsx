import { type ComponentType, useState } from "react";
import { Button } from "./button";
import { type Later, useLater } from "./use-later";

/** A part of the page that is fetched when it is first shown; where it cannot be brought it says so, and is asked for again by hand. */
export function WhenHere<P extends object>({ part, props }: { part: Later<ComponentType<P>>; props: P }) {
  const [away, setAway] = useState(false);
  const Part = useLater(part, !away, () => setAway(true));
  if (Part) return <Part {...props} />;
  if (!away) return null;
  return (
    <p role="alert" className="flex flex-wrap gap-3 items-center">
      This part could not be fetched.
      <Button kind="quiet" onClick={() => setAway(false)}>
        Try again
      </Button>
    </p>
  );
}
