import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Tick } from "~/ui/tick";
import { Refused } from "../words/refused";
import { clock, recordedLater } from "../words/times";
import type { LogbookLine } from "./logbook-line";

/** An entry in the machine's logbook, with what corrects it beside it, and the way to correct it. */
export function EntryRow({ line, mayCorrect }: { line: LogbookLine; mayCorrect: boolean }) {
  const reader = useWords();
  const [correcting, setCorrecting] = useState(false);
  const { title, detail, corrections } = line;
  const words = (
    <>
      <b className="font-semibold">{title}</b>
      {detail && <span className="text-tape-mid">: {detail}</span>}
    </>
  );
  return (
    <div className="border-t border-dashed border-tape-mid/50 py-2 grid grid-cols-[3.5rem_minmax(0,1fr)_auto] gap-x-3">
      <span className="figure text-tape-mid">{clock(reader, line.madeAt)}</span>
      <div>
        <p>{corrections.some(({ voids }) => voids) ? <s>{words}</s> : words}</p>
        {line.file && <Attached id={line.id} file={line.file} />}
        <p className="text-tape-mid">
          <span className="figure">{line.seq}</span> {line.stageName ?? "whole machine"}, {line.madeByName}
          {recordedLater(reader, line)}
        </p>
        {corrections.map((correction) => (
          <p key={correction.id} className="border-l-4 border-on-tape pl-2 mt-1">
            {correction.text}
            <span className="text-tape-mid">, {correction.madeByName}</span>
          </p>
        ))}
        {correcting && <Correct entry={line} onDone={() => setCorrecting(false)} />}
      </div>
      {mayCorrect && line.kind !== "correction" && (
        <button
          type="button"
          className="underline text-tape-mid min-h-11 px-2 cursor-pointer"
          aria-expanded={correcting}
          aria-label={`Correct entry ${line.seq}`}
          onClick={() => setCorrecting(!correcting)}
        >
          correct
        </button>
      )}
    </div>
  );
}

/** A photograph in the tape itself; any other file as a link. */
function Attached({ id, file: { isPicture, words } }: { id: string; file: NonNullable<LogbookLine["file"]> }) {
  return (
    <a href={`/files/${id}`} target="_blank" rel="noreferrer" className="text-on-tape inline-block my-1">
      {isPicture ? <img src={`/files/${id}?small=1`} alt={words} className="max-h-40" loading="lazy" /> : words}
    </a>
  );
}

const voidable = new Set(["round", "feel", "move", "clamp", "proof", "usage"]);

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
          className="bg-panel text-ink p-2 text-lg font-normal"
        />
      </label>
      {voidable.has(entry.kind) && <Tick name="voids" value="yes" label="It does not count at all" />}
      {answer && "refusal" in answer && (
        <p role="alert" className="bg-panel text-outside font-semibold p-2">
          <Refused refusal={answer.refusal} />
        </p>
      )}
      <div className="flex gap-3">
        <button
          type="submit"
          disabled={fetcher.state !== "idle"}
          className="bg-on-tape text-tape font-semibold px-4 min-h-11 cursor-pointer"
        >
          Add the correction
        </button>
        <button type="button" className="underline px-2 min-h-11 cursor-pointer" onClick={onDone}>
          Leave it
        </button>
      </div>
    </fetcher.Form>
  );
}
