import { useOutbox } from "./outbox-state";
import { whyWords } from "./why-words";

/** A clock that is wrong is told of, once it is known. */
export function ClockStrip() {
  const { clockAhead } = useOutbox();
  if (clockAhead === 0) return null;
  const size = Math.abs(clockAhead);
  const words =
    size < 120 ? `${size} minutes` : size < 2880 ? `${Math.round(size / 60)} hours` : `${Math.round(size / 1440)} days`;
  return (
    <p role="status" className="bg-panel border-b-2 border-near px-5 max-sm:px-3.5 py-2 shrink-0">
      <b>
        This tablet's clock is {words} {clockAhead > 0 ? "ahead" : "behind"}.
      </b>{" "}
      What is logged gets the right time from the server. Set the clock right before working without a network.
    </p>
  );
}

/** What the tablet has no room for is only in this page: said in red, until the server has it. */
export function UnkeptStrip() {
  const { unkept, stopped } = useOutbox();
  if (unkept.length === 0) return null;
  return (
    <p role="alert" className="px-5 max-sm:px-3.5 py-2 text-lg bg-outside text-panel font-semibold shrink-0">
      Not kept: this tablet has no room left. Keep this page open until {unkept.length === 1 ? "it is" : "all of it is"}{" "}
      sent{stopped ? `. ${whyWords[stopped]}` : "."}
    </p>
  );
}
