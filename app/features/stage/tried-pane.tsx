import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { makings, type TriedPart, trialOutcomes } from "~/core/logbook";
import { fitWords } from "~/core/making";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Refused } from "../words/refused";
import { lengthWords } from "../words/spoken";
import { shortDay } from "../words/times";
import { triedWords } from "../words/trial";
import { useWords } from "../words/use-words";

/** Parts of a stage that were made and tried: every version side by side, what was fitted, and the size for next time. */
export function TriedPane({
  stageId,
  parts,
  mayWork,
}: {
  stageId: string;
  parts: readonly TriedPart[];
  mayWork: boolean;
}) {
  if (parts.length === 0 && !mayWork) return null;
  return (
    <section aria-labelledby="tried" className="grid gap-3">
      <h2 id="tried" className="text-xl font-bold">
        Parts made and tried
      </h2>
      {parts.map((part) => (
        <Part key={part.part} part={part} />
      ))}
      {parts.length === 0 && (
        <p className="text-mid">None yet. Printed, moulded, filed: each version, drawn, made, tried, fitted.</p>
      )}
      {mayWork && (
        <Fold summary="Log a try">
          <TrialForm stageId={stageId} parts={parts} />
        </Fold>
      )}
    </section>
  );
}

function Part({ part }: { part: TriedPart }) {
  const reader = useWords();
  const mm = (value: number | null) => (value === null ? "–" : lengthWords(reader, value, 2));
  return (
    <div className="grid gap-1 overflow-x-auto">
      <h3 className="font-bold text-lg">{part.part}</h3>
      {triedWords(reader, part).map((said) => (
        <p key={said} className="text-lg">
          {said}.
        </p>
      ))}
      <table className="w-full text-left" aria-label={`${part.part}: its versions`}>
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-2">Version</th>
            <th className="pr-2">Drawn</th>
            <th className="pr-2">Made</th>
            <th className="pr-2">Felt</th>
            <th>What came of it</th>
          </tr>
        </thead>
        <tbody>
          {[...part.tries].reverse().map(({ id, body, madeAt, madeByName }) => (
            <tr key={id} className="border-b border-rule align-top">
              <th scope="row" className="py-1.5 pr-2 font-semibold">
                {body.version} <span className="font-normal text-mid">{body.making}</span>
              </th>
              <td className="figure py-1.5 pr-2 whitespace-nowrap">{mm(body.drawnMm)}</td>
              <td className="figure py-1.5 pr-2 whitespace-nowrap">{mm(body.madeMm)}</td>
              <td className="py-1.5 pr-2">
                {[body.felt, body.play && `play ${body.play}`, body.smooth].filter(Boolean).join(", ") || "–"}
              </td>
              <td className="py-1.5">
                <b>{body.outcome}</b>
                {body.why && `: ${body.why}`}{" "}
                <span className="text-mid">
                  {madeByName}, {shortDay(reader, madeAt)}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function TrialForm({ stageId, parts }: { stageId: string; parts: readonly TriedPart[] }) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id, setId] = useState(() => v7());
  const [seen, setSeen] = useState(fetcher.data);
  if (fetcher.data !== seen) {
    setSeen(fetcher.data);
    if (fetcher.data?.done) setId(v7());
  }
  const refusal = fetcher.data?.refusal ?? null;
  const wrong = (name: string) => (refusal?.path[0] === name ? <Refused refusal={refusal} /> : undefined);
  const fields = ["part", "version", "making", "drawn", "made", "of", "outcome", "why"];
  return (
    <fetcher.Form key={id} method="post" action="/trials" className="grid grid-cols-2 gap-x-4 gap-y-3 pt-2">
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <input type="hidden" name="stageId" value={stageId} />
      <Field
        label="Part"
        hint="pinion bore, planet bearing"
        name="part"
        defaultValue={parts[0]?.part ?? ""}
        autoComplete="off"
        error={wrong("part")}
      />
      <Field label="Version" hint="A, B, 2nd stroke" name="version" autoComplete="off" error={wrong("version")} />
      <Select label="It was" name="making" defaultValue="" error={wrong("making")}>
        <option value="">say how it was made</option>
        {makings.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </Select>
      <Select label="Tried is the" name="of" error={wrong("of")}>
        <option value="">no fit</option>
        <option value="hole">hole</option>
        <option value="shaft">shaft</option>
      </Select>
      <Field
        label="Drawn"
        hint="mm; empty: not drawn"
        name="drawn"
        inputMode="decimal"
        autoComplete="off"
        error={wrong("drawn")}
      />
      <Field
        label="Came out"
        hint="mm, as measured; empty: not measured"
        name="made"
        inputMode="decimal"
        autoComplete="off"
        error={wrong("made")}
      />
      <Select label="It felt" name="felt">
        <option value="">not felt</option>
        {fitWords.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </Select>
      <Select label="Burr or raised edge" name="burr">
        <option value="">not looked at</option>
        <option>none</option>
        <option>taken off</option>
      </Select>
      <Field label="Play, as measured" hint="with its unit: 6 arcmin" name="play" autoComplete="off" />
      <Field label="How smooth" hint="even, one stiff place …" name="smooth" autoComplete="off" />
      <Select label="What came of it" name="outcome" defaultValue="" error={wrong("outcome")}>
        <option value="">say what came of it</option>
        {trialOutcomes.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </Select>
      <Field label="Why" hint="of one that is dropped" name="why" autoComplete="off" error={wrong("why")} />
      <div className="col-span-full">
        {refusal && !fields.includes(String(refusal.path[0])) && (
          <p role="alert" className="text-outside font-semibold mb-2">
            <Refused refusal={refusal} />
          </p>
        )}
        <Button type="submit" large disabled={fetcher.state !== "idle"}>
          Log the try
        </Button>
      </div>
    </fetcher.Form>
  );
}
