import { useEffect } from "react";
import { Link, useFetcher } from "react-router";
import { Button } from "~/ui/button";

/** Over every page of a practice: that nothing of it is real, and the way out. */
export function PracticeStrip() {
  const leave = useFetcher<{ onward?: string }>();
  useLeaving(leave.data?.onward);
  return (
    <section
      aria-label="Practice"
      className="bg-ink text-panel px-5 max-sm:px-3.5 py-1.5 flex flex-wrap gap-x-4 gap-y-1 items-center shrink-0 print:bg-panel print:text-ink print:border-2"
    >
      <b className="figure tracking-[0.14em]">PRACTICE</b>
      <span className="grow max-sm:sr-only">
        Nothing here is real, and nothing of it stands in the workshop’s logbook.
      </span>
      <Link to="/practice" className="text-panel min-h-11 inline-flex items-center font-semibold print:hidden">
        The lesson
      </Link>
      <Button
        kind="quiet"
        className="print:hidden"
        disabled={leave.state !== "idle"}
        onClick={() =>
          leave.submit({ leave: true }, { method: "post", action: "/practice", encType: "application/json" })
        }
      >
        Leave practice
      </Button>
    </section>
  );
}

/** A page is somebody's: it is loaded anew where they go into a practice or out of it. */
export function useLeaving(onward: string | undefined): void {
  useEffect(() => {
    if (onward) window.location.assign(onward);
  }, [onward]);
}
