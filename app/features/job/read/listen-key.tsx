import { Mic } from "lucide-react";
import { useState } from "react";
import type { Instrument, Stage } from "~/core/records";
import { meterShows } from "~/core/stages";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useJobScreen } from "../entries/job-context";

const ear = later(async () => (await import("../../sound/ear")).Ear);

/** What a sound is read with; its worth stands in the stores as that of every instrument. */
const isMicrophone = ({ kind }: Instrument): boolean => kind === "microphone";

/** A span listened to instead of typing a meter's figure: every pluck is a reading at this place, the later ones repeats of the first. */
export function ListenKey({
  stage,
  place,
  instrument,
  begun,
  onTake,
}: {
  stage: Stage;
  /** As it is said; null: every place is read. */
  place: string | null;
  instrument: Instrument;
  /** Readings stand in the round already. */
  begun: boolean;
  onTake: (typed: string[]) => void;
}) {
  const { job, data } = useJobScreen();
  const [open, setOpen] = useState(false);
  const microphone = isMicrophone(instrument) ? instrument : data.instruments.find(isMicrophone);
  const other = begun && !isMicrophone(instrument);
  return (
    <>
      <Button disabled={place === null} onClick={() => setOpen(true)}>
        <Mic aria-hidden="true" size={20} /> Listen to a pluck
      </Button>
      <Dialog title={`Pluck and listen: ${place ?? ""}`} open={open} onOpenChange={setOpen}>
        {other || !microphone ? (
          <p className="border-l-4 border-near pl-3">
            {other
              ? `This round was begun with ${instrument.name}. Finish it first: a round is read with one instrument.`
              : "No microphone stands among the instruments. It is put there in Stores, as one of the kind “microphone” that reads Hz, with what its readings are worth."}
          </p>
        ) : (
          <WhenHere
            part={ear}
            props={{
              expected: expectedHz(stage),
              onTake: (plucks) => {
                if (!isMicrophone(instrument)) job.changeText("method.instrument", microphone.id);
                onTake(plucks.map((hz) => `${hz.toFixed(1)} Hz`));
                setOpen(false);
              },
            }}
          />
        )}
      </Dialog>
    </>
  );
}

const way = { quantity: "span-frequency", indicatorRadiusMm: null, indicatorAngleDeg: 0, held: null } as const;

/** What the span sounds at within its limits; null where there are none, or nobody knows what a metre of it weighs. */
function expectedHz({ geometry, limits }: Stage): { lo: number; hi: number } | null {
  const shown = limits && meterShows(geometry.element, way, limits);
  return shown?.ok && shown.value.lo > 0 ? shown.value : null;
}
