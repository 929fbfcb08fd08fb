import { useWords } from "~/app/features/words/use-words";
import { judgePins } from "~/core/logbook";
import { frameOf } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { feltWords } from "../../words/feel";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { doneWords } from "../stations/stations";
import type { HandPane } from "./hand-pane";
import { pinsTyped } from "./pins-texts";

/** Pins, drill shanks or feelers: the largest that goes and the smallest that does not, and which to try next. */
export function PinsPane({ phase, log, problem }: HandPane) {
  const reader = useWords();
  const { stage, job, data } = useJobScreen();
  const texts = useTexts();
  const { element } = stage.geometry;
  const [goes, stops] = [texts["pins.goes"] ?? "", texts["pins.stops"] ?? ""];
  const tried = pinsTyped(texts);
  const sizesMm = [...new Set(data.instruments.flatMap(({ leavesMm }) => leavesMm))].sort((a, b) => a - b);
  const found =
    tried.goesMm === null && tried.stopsMm === null ? null : judgePins(tried, element, stage.limits, sizesMm);
  const tooth = Number(texts["pins.tooth"]) || null;
  const done = async () => {
    const logged = await log({
      method: "pins",
      places: [],
      pins: { tooth, goes, stops, toleranceMm: tried.toleranceMm },
    });
    if (!logged) return;
    for (const name of ["goes", "stops"]) job.changeText(`pins.${name}`, "");
  };
  const wrong = (field: string) =>
    problem?.path[0] === "pins" && problem.path[1] === field ? refusalWords(reader, problem) : undefined;
  const { word } = frameOf(element);
  return (
    <section aria-label="Pins" className="flex flex-col gap-3">
      <p className="text-2xl font-bold">What goes, what does not?</p>
      <p className="text-lg">
        Pin, drill shank or feeler, in the gap at the tight spot. In inches as it is called: 3/32 in.
      </p>
      <Field
        label="Largest that goes"
        value={goes}
        onChange={(event) => job.changeText("pins.goes", event.target.value)}
        error={wrong("goes")}
      />
      <Field
        label="Smallest that does not"
        hint="empty: nothing stopped yet"
        value={stops}
        onChange={(event) => job.changeText("pins.stops", event.target.value)}
        error={wrong("stops")}
      />
      <Field
        label="They may be off by"
        hint="± mm; a worn drill is thinner. Empty: 0"
        value={texts["pins.off"] ?? ""}
        onChange={(event) => job.changeText("pins.off", event.target.value)}
      />
      <Field
        label={word === "tooth" ? "At tooth" : "At place"}
        hint="from the witness mark; empty: not said"
        inputMode="numeric"
        value={texts["pins.tooth"] ?? ""}
        onChange={(event) => job.changeText("pins.tooth", event.target.value.replace(/\D/g, ""))}
      />
      {found && (
        <p className="text-lg" role="status">
          {found.ok ? (
            <>
              The gap is{" "}
              {found.value.gap.highMm === null
                ? `at least ${lengthWords(reader, found.value.gap.lowMm, 3)}`
                : `between ${lengthWords(reader, found.value.gap.lowMm, 3)} and ${lengthWords(reader, found.value.gap.highMm, 3)}`}
              : <b>{feltWords(found.value.judged)}</b>.
              {found.value.gap.nextMm != null && ` Try ${lengthWords(reader, found.value.gap.nextMm, 2)} next.`}
            </>
          ) : (
            refusalWords(reader, found.refusal)
          )}
        </p>
      )}
      {problem && problem.path[0] !== "pins" && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      <Button kind="now" large onClick={done}>
        {doneWords[phase]}
      </Button>
    </section>
  );
}
