import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import { voidable } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Tick } from "~/ui/tick";
import { Refused } from "../words/refused";
import { clock, recordedLater } from "../words/times";
import type { LogbookLine } from "./logbook-line";

/** An entry in the machine's logbook, a line; opened, all it says, with its number and the way to correct it. What corrects it stands beside it always. */
export function EntryRow({ line, mayCorrect }: { line: LogbookLine; mayCorrect: boolean }) {
  const reader = useWords();
  const [open, setOpen] = useState(false);
  const [correcting, setCorrecting] = useState(false);
  const { title, detail, corrections } = line;
  const words = (
    <>
      <b className="font-semibold">{title}</b>
      {detail && <span className="text-mid">: {detail}</span>}
    </>
  );
  return (
    <div className="border-t border-rule">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="w-full min-h-11 text-left cursor-pointer grid grid-cols-[3.5rem_minmax(0,1fr)] lg:grid-cols-[3.5rem_minmax(0,1fr)_13rem_10rem] gap-x-3 items-center"
      >
        <span className="figure text-mid">{clock(reader, line.madeAt)}</span>
        <span className={open ? "py-2" : "truncate"}>
          {corrections.some(({ voids }) => voids) ? <s>{words}</s> : words}
        </span>
        <span className="text-mid truncate max-lg:col-start-2">{line.stageName ?? "whole machine"}</span>
        <span className="text-mid truncate max-lg:hidden">{line.madeByName}</span>
      </button>
      <div className="pl-[4.25rem]">
        {corrections.map((correction) => (
          <p key={correction.id} className="border-l-4 border-ink pl-2 mb-2">
            {correction.text}
            <span className="text-mid">, {correction.madeByName}</span>
          </p>
        ))}
        {open && (
          <div className="pb-3 grid gap-2 justify-items-start">
            {line.file && <Attached id={line.id} file={line.file} />}
            <p className="text-mid">
              Entry <span className="figure">{line.seq}</span>, {line.madeByName}
              {recordedLater(reader, line)}
            </p>
            {mayCorrect && line.kind !== "correction" && !correcting && (
              <Button kind="quiet" onClick={() => setCorrecting(true)} aria-label={`Correct entry ${line.seq}`}>
                Correct
              </Button>
            )}
            {correcting && <Correct entry={line} onDone={() => setCorrecting(false)} />}
          </div>
        )}
      </div>
    </div>
  );
}

/** A photograph in the tape itself; any other file as a link. */
function Attached({ id, file: { isPicture, words } }: { id: string; file: NonNullable<LogbookLine["file"]> }) {
  return (
    <a href={`/files/${id}`} target="_blank" rel="noreferrer" className="text-ink inline-block">
      {isPicture ? <img src={`/files/${id}?small=1`} alt={words} className="max-h-40" loading="lazy" /> : words}
    </a>
  );
}

function Correct({ entry, onDone }: { entry: LogbookLine; onDone: () => void }) {
  const fetcher = useFetcher<{ refusal: Refusal } | { entry: object }>();
  const [id] = useState(() => v7());
  const [text, setText] = useState("");
  const answer = fetcher.data;
  if (answer && "entry" in answer) return <p role="status">Corrected. Both stay visible.</p>;
  return (
    <fetcher.Form
      method="post"
      action={`/machines/${entry.machineId}/corrections`}
      className="grid gap-2 mt-2 max-w-md"
    >
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="namesEntry" value={entry.id} />
      <label className="grid gap-1 font-semibold">
        What is right?
        <textarea
          name="text"
          rows={2}
          required
          autoFocus
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="bg-panel border-2 border-ink p-2 text-lg font-normal"
        />
      </label>
      {voidable.has(entry.kind) && <Tick name="voids" value="yes" label="It does not count at all" />}
      {answer && "refusal" in answer && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={answer.refusal} />
        </p>
      )}
      <div className="flex gap-3">
        <Button kind="solid" type="submit" disabled={fetcher.state !== "idle"}>
          Add the correction
        </Button>
        <Button kind="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </fetcher.Form>
  );
}
