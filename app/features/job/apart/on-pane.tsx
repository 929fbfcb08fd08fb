import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { GuidePart } from "~/core/guides";
import type { PartNow, ScrewsBack } from "~/core/logbook";
import { screwName } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Tick } from "~/ui/tick";
import { capital } from "../../words/count";
import { screwsText, seatWords, spacersText } from "../../words/parts";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { followed, partIn, toBuild, useGuide } from "./use-guide";

/** A part that can go on: off in the tray, or of a first build still to be fitted. */
type Candidate = { key: string; name: string; off: PartNow | null; guided: GuidePart | null };

/** The next part on: how it sits, what was found, its screws; the reversed list leads. */
export function OnPane() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const guide = useGuide();
  const { apart, firstBuild } = job.record;
  const [problem, setProblem] = useState<Refusal | null>(null);
  const candidates: Candidate[] = [
    ...apart.off.map((off) => ({ key: off.key, name: off.name, off, guided: partIn(guide, off.key) })),
    ...(firstBuild && guide
      ? toBuild(guide, apart)
          .filter(({ id }) => !apart.off.some(({ key }) => key === id))
          .map((guided) => ({ key: guided.id, name: guided.name, off: null, guided }))
      : []),
  ];
  const next = candidates.find(({ key }) => key === texts["on.part"]) ?? candidates[0];
  if (!next) return <Done />;
  const { off, guided } = next;
  const out = off?.off?.body;
  const sets: Omit<ScrewsBack, "in" | "washersIn">[] = out
    ? (out.screws ?? guided?.screws ?? [])
    : (guided?.screws ?? []);
  const field = (i: number, what: "in" | "washers") => `on.${i}.${what}`;
  const counted = (i: number, what: "in" | "washers", all: number) => {
    const typed = (texts[field(i, what)] ?? "").trim();
    return typed === "" ? all : /^\d{1,3}$/.test(typed) ? Number(typed) : null;
  };
  const screwsOfAll = sets.reduce((sum, { count }) => sum + count, 0);
  const some = texts["on.some"] === "yes";
  const log = async (event: React.FormEvent) => {
    event.preventDefault();
    const screws: ScrewsBack[] = [];
    for (const [i, { size, lengthMm, count, washers, where }] of sets.entries()) {
      const back = some ? counted(i, "in", count) : count;
      const washersIn = some ? counted(i, "washers", washers) : washers;
      if (back === null || washersIn === null)
        return setProblem({
          code: "not-whole",
          path: [field(i, back === null ? "in" : "washers")],
          facts: { text: texts[field(i, back === null ? "in" : "washers")] ?? "" },
        });
      screws.push({ size, lengthMm, count, washers, where, in: back, washersIn });
    }
    const result = await job.put({
      kind: "part-on",
      key: next.key,
      name: next.name,
      guide: followed(guided ? guide : null),
      screws,
      state: screws.some((set) => set.in > 0) ? "started" : null,
      fresh: texts["on.fresh"] === "yes",
      asItWentOn: texts["on.did"] === "yes" ? (guided?.asItGoesOn ?? "") : "",
      note: texts["on.note"] ?? "",
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) for (const key of Object.keys(texts)) if (key.startsWith("on.")) job.changeText(key, "");
  };
  const pictures = (data.photographs ?? []).filter(({ of }) => of === off?.off?.id);
  const before = guided?.beforeHidden || out?.beforeHidden;
  const spacers = out && out.spacers.length > 0 ? out.spacers : (guided?.spacers ?? []);
  return (
    <form onSubmit={log} aria-label="Put on" className="grid gap-3 content-start">
      <p className="text-2xl font-semibold leading-snug">
        Put on <span className="text-now">{next.name}</span>
      </p>
      <ul className="text-lg grid gap-1">
        {[
          before && `Before it hides it: ${before}`,
          out?.fate && out.fate !== "goes back" && `It was to do: ${out.fate}`,
          out && out.conditions.length > 0 && `Found ${out.conditions.join(", ")}`,
          (out?.side || guided?.side) && `Side: ${out?.side || guided?.side}`,
          (out?.facing || guided?.facing) && `Which way round: ${out?.facing || guided?.facing}`,
          (out?.mark || guided?.mark) && `Mark: ${out?.mark || guided?.mark}`,
          spacers.length > 0 && spacersText(reader, spacers),
          off?.seat && `${seatWords(reader, off.seat.body).title}. ${seatWords(reader, off.seat.body).detail}`,
          sets.length > 0 ? screwsText(sets) : out?.screws === null ? "Its screws were not counted" : "No screws",
          out?.note,
        ]
          .filter(Boolean)
          .map((line) => (
            <li key={String(line)}>{line}</li>
          ))}
      </ul>
      {pictures.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {pictures.map(({ id, caption }) => (
            <a
              key={id}
              href={`/files/${id}`}
              target="_blank"
              rel="noreferrer"
              aria-label={`${caption}, as it came off`}
            >
              <img
                src={`/files/${id}?small=1`}
                alt=""
                loading="lazy"
                className="w-40 h-28 object-cover border border-rule"
              />
            </a>
          ))}
        </div>
      )}
      {candidates.length > 1 && (
        <Fold summary="Another goes on first" look="line">
          <Select
            label="Part to put on"
            value={next.key}
            onChange={(event) => job.changeText("on.part", event.target.value)}
          >
            {candidates.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Select>
        </Fold>
      )}
      {guided?.asItGoesOn && (
        <Tick
          label={capital(guided.asItGoesOn)}
          checked={texts["on.did"] === "yes"}
          onChange={(checked) => job.changeText("on.did", checked ? "yes" : "")}
        />
      )}
      {out && (
        <Tick
          label="A new one in its place"
          checked={texts["on.fresh"] === "yes"}
          onChange={(checked) => job.changeText("on.fresh", checked ? "yes" : "")}
        />
      )}
      {sets.length > 0 && (
        <Tick
          label="Not all of its screws are in"
          checked={some}
          onChange={(checked) => job.changeText("on.some", checked ? "yes" : "")}
        />
      )}
      {some &&
        sets.map((set, i) => (
          <div key={i} className="grid grid-cols-2 gap-3 max-w-md">
            <Field
              label={`${screwName(set)} in, of ${set.count}`}
              hint="empty: all of them"
              inputMode="numeric"
              autoComplete="off"
              value={texts[field(i, "in")] ?? ""}
              onChange={(event) => job.changeText(field(i, "in"), event.target.value)}
              error={problem?.path[0] === field(i, "in") ? <Refused refusal={problem} /> : undefined}
            />
            {set.washers > 0 && (
              <Field
                label={`Washers in, of ${set.washers}`}
                inputMode="numeric"
                autoComplete="off"
                value={texts[field(i, "washers")] ?? ""}
                onChange={(event) => job.changeText(field(i, "washers"), event.target.value)}
                error={problem?.path[0] === field(i, "washers") ? <Refused refusal={problem} /> : undefined}
              />
            )}
          </div>
        ))}
      <Field
        label="Remark"
        value={texts["on.note"] ?? ""}
        autoComplete="off"
        onChange={(event) => job.changeText("on.note", event.target.value)}
      />
      {problem && !String(problem.path[0]).startsWith("on.") && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={problem} />
        </p>
      )}
      <div>
        <Button kind={apart.toTurn ? "line" : "now"} large type="submit" className="max-sm:w-full">
          {screwsOfAll > 0
            ? some
              ? "It is on, screws started as counted"
              : `It is on, all ${screwsOfAll} screws started`
            : "It is on"}
        </Button>
      </div>
    </form>
  );
}

/** Nothing is left to go on. */
function Done() {
  const { job } = useJobScreen();
  const { apart } = job.record;
  return (
    <p className="text-2xl font-semibold">
      {apart.parts.length === 0 ? "Nothing was taken off in this job." : "Everything that came off is on again."}
    </p>
  );
}
