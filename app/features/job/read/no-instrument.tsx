import type { ReactNode } from "react";
import { Link } from "react-router";

/** No number can be read before the workshop has said with what; what else can be done stands under it. */
export const NoInstrument = ({ children }: { children?: ReactNode }) => (
  <div className="p-5 text-xl max-w-2xl grid gap-4">
    <p>
      No instrument is entered yet, and a reading must say what it was taken with.{" "}
      <Link to="/stores/instruments">Enter one under Stores</Link>, then come back to this job.
    </p>
    {children}
  </div>
);
