import { Button } from "~/ui/button";
import { useJobScreen } from "../entries/job-context";

/** As found belongs to every gear that stands by itself, and before anything is moved. */
export function OtherGearFirst({ gear }: { gear: string }) {
  const { job } = useJobScreen();
  return (
    <section aria-label="Next move" className="grid gap-3">
      <p className="text-mid font-semibold">As found</p>
      <p className="text-2xl font-semibold leading-snug">
        Now put <span className="text-now">{gear}</span> in, and read it as found too, before anything is moved.
      </p>
      <div>
        <Button kind="now" large data-onward="" onClick={() => job.changeText("method.gear", gear)}>
          {gear} is in
        </Button>
      </div>
      <p className="text-lg">What to move is said under Set.</p>
    </section>
  );
}
