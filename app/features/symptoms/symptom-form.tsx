import { useState } from "react";
import { v7 } from "uuid";
import { symptomKinds } from "~/core/symptoms";
import { ChoiceField } from "../form/choice-field";
import { FormEnd } from "../form/form-end";
import { SavedForm } from "../form/saved-form";
import { SeveralField } from "../form/several-field";
import { TextField } from "../form/text-field";
import { useFormTexts } from "../form/use-form-texts";
import { useSavedForm } from "../form/use-saved-form";
import { MoreFields } from "../kinds/form-parts";
import { TapField } from "../proving/tap-field";
import { formatNumber } from "../words/figure";
import { symptomWords, twoTimingsWords, whenWords } from "../words/symptom";
import { useWords } from "../words/use-words";
import { heardByAll, type LineKnown, suspectsOn, timedTwice } from "./line-known";
import { SuspectList } from "./suspect-list";
import { readSymptom, whens } from "./symptom-texts";

const nothingAgain = { againPerMinute: "", againOffPercent: "", againMotorRpm: "" };

/** What it does, when, and how often; the suspects stand beside it from the first word on. */
export function SymptomForm({
  machineId,
  jobId,
  line,
  stageId,
  back,
}: {
  machineId: string;
  jobId: string | null;
  line: LineKnown;
  /** Of which alone suspects are shown; null: of the whole line. */
  stageId: string | null;
  back: string;
}) {
  const reader = useWords();
  const [id] = useState(() => v7());
  const usual = line.kept?.sources[0]?.rpm ?? null;
  const saved = useSavedForm({
    key: `symptom ${machineId}`,
    initial: { kinds: "", words: "", perMinute: "", offPercent: "", motorRpm: "", ...nothingAgain },
    read: readSymptom,
    send: ({ said }) => ({ kind: "symptom", id, jobId, ...said }),
  });
  return (
    <SavedForm
      of={saved}
      label="What does it do?"
      className="grid lg:grid-cols-[minmax(0,36rem)_minmax(0,1fr)] gap-x-10 gap-y-6 items-start"
    >
      <div className="grid gap-5">
        <SeveralField name="kinds" legend="What does it do?" words={symptomKinds} said={(kind) => symptomWords[kind]} />
        <TextField name="words" label="In words of your own" hint="since when, after what" />
        <div className="grid gap-3">
          <TapField name="perMinute" off="offPercent" taps="taps" />
          <div className="grid sm:grid-cols-3 gap-4">
            <TextField name="perMinute" label="Comes so often" hint="times a minute; empty: no rhythm" />
            <TextField name="offPercent" label="May be off by" hint="%, usually 5" />
            <TextField
              name="motorRpm"
              label="The motor turns"
              hint={usual === null ? "a minute" : `a minute; empty: ${formatNumber(reader, usual, 0)}`}
            />
          </div>
          <MoreFields title="Timed again at another speed">
            <div className="grid gap-3">
              <TapField name="againPerMinute" off="againOffPercent" />
              <div className="grid sm:grid-cols-3 gap-4">
                <TextField name="againPerMinute" label="Comes so often then" hint="times a minute" />
                <TextField name="againOffPercent" label="May be off by then" hint="%, usually 5" />
                <TextField name="againMotorRpm" label="The motor turns then" hint="a minute" />
              </div>
            </div>
          </MoreFields>
          <p className="text-mid">
            Too fast to tap? Run it slower, and say how fast its motor turns then. Guards on, hands off.
          </p>
        </div>
        {whens.map(({ name, legend, options }) => (
          <ChoiceField
            key={name}
            name={name}
            legend={legend}
            usual="unsaid"
            options={[
              { value: "unsaid", label: "not looked at" },
              ...options.map((value) => ({ value, label: whenWords[value] })),
            ]}
          />
        ))}
        <FormEnd save="Keep it, and go after it" busy={saved.busy} back={back} />
      </div>
      <Ahead line={line} stageId={stageId} />
    </SavedForm>
  );
}

/** Who is suspected by what was said so far. */
function Ahead({ line, stageId }: { line: LineKnown; stageId: string | null }) {
  const { value } = readSymptom(useFormTexts());
  const twice = value ? timedTwice(line, value.symptom.heard, value.motorRpm, value.again) : null;
  const suspects = value
    ? suspectsOn(
        line,
        { ...value.symptom, heard: heardByAll(value.symptom.heard, twice), twice: twice?.find ?? null },
        value.motorRpm,
      ).filter((one) => stageId === null || one.stageId === stageId)
    : [];
  const said = value && (value.symptom.kinds.length > 0 || value.symptom.heard !== null);
  return (
    <section aria-label="Suspects" className="grid gap-3">
      {twice && <p className="text-lg border-l-4 border-near pl-3">{twoTimingsWords[twice.find]}</p>}
      {said ? (
        <SuspectList suspects={suspects.slice(0, 4)} line={line} />
      ) : (
        <p className="text-lg text-mid">Say what it does, or tap along with it: its suspects stand here.</p>
      )}
      {line.kept === null && (
        <p className="border-l-4 border-near pl-3 text-lg">
          Nobody has said what drives what on this machine: how often anything comes round is not known, and a noise
          that is timed tells nothing yet.
        </p>
      )}
    </section>
  );
}
