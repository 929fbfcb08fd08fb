import { useEffect, useState } from "react";
import { useNavigation } from "react-router";

/** A page that takes longer than this to come is said to be coming. */
const patienceMs = 300;

/** A line along the top while the next page is on its way. */
export function Waiting() {
  const busy = useNavigation().state !== "idle";
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSlow(busy), busy ? patienceMs : 0);
    return () => clearTimeout(timer);
  }, [busy]);
  if (!slow || !busy) return null;
  return (
    <div
      role="progressbar"
      aria-label="The next page is coming"
      className="fixed inset-x-0 top-0 z-40 h-1.5 pointer-events-none overflow-hidden"
    >
      <div className="h-full w-1/3 bg-now motion-safe:animate-[along_1.2s_ease-in-out_infinite_alternate]" />
    </div>
  );
}
