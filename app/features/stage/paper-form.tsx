import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import type { MeasuredQuantity } from "~/core/stages";
import { type MovedAfter, readPaper } from "~/operations/paper-sheet";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field, Select, TextArea } from "~/ui/field";
import { FileField } from "~/ui/file-field";
import { capital, countWords } from "../words/count";
import { measuredWords } from "../words/quantity-names";
import { Refused } from "../words/refused";
import { dateWords } from "../words/times";
import { useWords } from "../words/use-words";

const columnWords: Record<string, string> = {
  date: "date",
  place: "place",
  value: "value",
  turn: "turn",
  struck: "struck out",
  moved: "moved after",
};

const mostBytes = 400_000;

/** A sheet of rounds kept on paper: chosen or typed, looked through while it is typed, brought in as a whole. */
export function PaperForm({
  ways,
  instruments,
  gears,
}: {
  ways: readonly MeasuredQuantity[];
  instruments: readonly { id: string; name: string }[];
  /** Of a switchable gear. */
  gears: readonly string[];
}) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal; done?: { rounds: number; readings: number } }>();
  const [id, setId] = useState(() => v7());
  const [sheet, setSheet] = useState("");
  const [tooLarge, setTooLarge] = useState(false);
  const [moved, setMoved] = useState<MovedAfter>("unknown");
  const [seen, setSeen] = useState(fetcher.data);
  if (fetcher.data !== seen) {
    setSeen(fetcher.data);
    if (fetcher.data?.done) {
      setId(v7());
      setSheet("");
    }
  }
  const read = sheet.trim() === "" ? null : readPaper(sheet);
  const refusal = read && !read.ok ? read.refusal : fetcher.data?.refusal;
  const [where, line, column] = refusal?.path ?? [];
  const ofSheet = where === "lines";
  const done = fetcher.data?.done;
  const rounds = read?.ok ? read.value : [];
  return (
    <fetcher.Form method="post" className="grid gap-5 max-w-4xl" aria-label="Rounds kept on paper">
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      {done && (
        <p role="status" className="text-lg font-semibold">
          {capital(countWords(done.rounds))} {done.rounds === 1 ? "round" : "rounds"} of {done.readings} readings are in
          the logbook, marked as of paper.
        </p>
      )}
      <FileField
        label="A CSV sheet"
        accept=".csv,text/csv,text/plain"
        onChange={async (event) => {
          const file = event.target.files?.[0];
          setTooLarge(file !== undefined && file.size > mostBytes);
          if (file && file.size <= mostBytes) setSheet(await file.text());
        }}
      />
      {tooLarge && (
        <p role="alert" className="text-outside font-semibold">
          This file is larger than a sheet of five thousand readings can be: bring it in by parts.
        </p>
      )}
      <TextArea
        label="Or typed here"
        name="sheet"
        rows={8}
        value={sheet}
        onChange={(event) => setSheet(event.target.value)}
        error={
          ofSheet && refusal ? (
            <>
              {line !== undefined && `Line ${line}${column ? `, ${columnWords[String(column)] ?? column}` : ""}: `}
              <Refused refusal={refusal} />
            </>
          ) : undefined
        }
        hint="A head with date, place and value, a reading a line; also turn, struck out, kept by, moved after: 2024-05-31, 1, 0.12"
      />
      {rounds.length > 0 && (
        <p className="text-lg" role="status">
          {capital(countWords(rounds.length))} {rounds.length === 1 ? "round" : "rounds"},{" "}
          {rounds.reduce((sum, round) => sum + round.readings.length, 0)} readings, of{" "}
          {dateWords(reader, rounds[0]?.date ?? "")}
          {rounds.length > 1 && ` to ${dateWords(reader, rounds.at(-1)?.date ?? "")}`}.
        </p>
      )}
      <div className="grid sm:grid-cols-2 gap-4">
        <Select label="How it was read" name="quantity">
          {ways.map((way) => (
            <option key={way} value={way}>
              {measuredWords[way].name}
            </option>
          ))}
        </Select>
        <Select label="With" name="instrumentId" required hint="It is judged by the uncertainty of this one">
          <option value="">choose</option>
          {instruments.map((instrument) => (
            <option key={instrument.id} value={instrument.id}>
              {instrument.name}
            </option>
          ))}
        </Select>
        <Field
          label="Held still, where something was"
          name="held"
          inputMode="decimal"
          autoComplete="off"
          hint="mm, N or pitches"
        />
        {gears.length > 0 && (
          <Select label="Gear" name="gear">
            {gears.map((gear) => (
              <option key={gear}>{gear}</option>
            ))}
          </Select>
        )}
        <Field
          label="Kept by, or where"
          name="keptBy"
          required
          hint="a name, a notebook, a card on the machine"
          autoComplete="off"
        />
      </div>
      <Choice
        legend="Between one round and the next it was"
        name="movedAfter"
        value={moved}
        onChange={setMoved}
        options={[
          { value: "unknown", label: "not known" },
          { value: "no", label: "left as it was" },
          { value: "yes", label: "set, or parts replaced" },
        ]}
      />
      <p className="text-mid">
        Only rounds between which nothing was moved make one trend; of what nobody knows each stands alone.
      </p>
      {refusal && !ofSheet && (
        <p role="alert" className="text-outside font-semibold text-lg">
          <Refused refusal={refusal} />
        </p>
      )}
      <div>
        <Button kind="now" large type="submit" disabled={!read?.ok || fetcher.state !== "idle"}>
          Bring them in
        </Button>
      </div>
    </fetcher.Form>
  );
}
