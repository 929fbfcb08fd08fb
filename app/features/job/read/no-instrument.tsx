import { Link } from "react-router";

/** Nothing can be read before the workshop has said with what. */
export const NoInstrument = () => (
  <p className="p-5 text-xl max-w-2xl">
    No instrument is entered yet, and a reading must say what it was taken with.{" "}
    <Link to="/stores/instruments">Enter one under Stores</Link>, then come back to this job.
  </p>
);
