import { useState } from "react";
import { v7 } from "uuid";
import { type GuidePart, partConditions, partFates, type Race, races, screwsOf } from "~/core/guides";
import { parseNumber, parseQuantity, type Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { SeveralWords } from "~/ui/several-words";
import { UsualWords } from "~/ui/usual-words";
import { capital } from "../../words/count";
import { raceWords } from "../../words/parts";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { ScrewsFields, screwsSaid, screwTexts } from "./screws-fields";
import { followed, nextIn, useGuide } from "./use-guide";

/** What is mostly found; what else there is, is typed. */
const usualParts = [
  "cover",
  "bearing",
  "washer",
  "circlip",
  "gear",
  "pinion",
  "shaft",
  "spacer",
  "bush",
  "key",
  "seal",
];

/** One part off: which, its screws, how it looks, what to do with it, how it sat. */
export function OffPane() {
  const { job } = useJobScreen();
  const texts = useTexts();
  const guide = useGuide();
  const { apart } = job.record;
  const [problem, setProblem] = useState<Refusal | null>(null);
  const reach = texts["apart.reach"] ?? "";
  const guided = guide ? nextIn(guide, apart, reach).off : [];
  const other = texts["off.other"] === "yes" || guided.length === 0;
  const part = other ? null : ((guided.find(({ id }) => id === texts["off.part"]) ?? guided[0]) as GuidePart);
  const typed = (key: string) => texts[`off.${key}`] ?? "";
  const change = (key: string, value: string) => {
    setProblem(null);
    job.changeText(`off.${key}`, value);
  };
  const chosen = <T extends string>(key: string, words: readonly T[]): T[] =>
    words.filter((word) => typed(key).split("|").includes(word));
  const log = async (event: React.FormEvent) => {
    event.preventDefault();
    const name = (part?.name ?? typed("name")).trim();
    if (name === "") return setProblem({ code: "missing", path: ["name"], facts: {} });
    const screws = screwsSaid(texts, part);
    if (!screws.ok) return setProblem(screws.refusal);
    const width = typed("spacer") === "" ? null : parseQuantity(typed("spacer"), "length", "mm");
    if (width && !width.ok) return setProblem({ ...width.refusal, path: ["spacer"] });
    const mass = typed("mass") === "" ? null : parseNumber(typed("mass"));
    if (mass && !mass.ok) return setProblem({ ...mass.refusal, path: ["mass"] });
    const result = await job.put({
      kind: "part-off",
      // Off once more, it is the same part.
      key: part?.id ?? apart.parts.find((known) => known.on && alike(known.name, name))?.key ?? v7(),
      name,
      guide: followed(part ? guide : null),
      screws: screws.value,
      side: typed("side"),
      facing: typed("facing"),
      mark: typed("mark"),
      spacers: width?.ok
        ? [{ widthMm: width.value.value, count: 1, race: races.find((race) => race === typed("race")) ?? "none" }]
        : [],
      massKg: mass?.ok ? mass.value : null,
      conditions: chosen("conditions", partConditions),
      fate: partFates.find((fate) => fate === typed("fate")) ?? null,
      beforeHidden: typed("hides"),
      note: typed("note"),
    });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const key of Object.keys(texts)) if (key.startsWith("off.")) job.changeText(key, "");
    for (const key of screwTexts) job.changeText(`off.${key}`, "");
  };
  const at = (field: string) => (problem?.path[0] === field ? <Refused refusal={problem} /> : undefined);
  return (
    <form onSubmit={log} aria-label="Take off" className="grid gap-4 content-start">
      {part ? (
        <section aria-label="Next by the guide">
          <p className="text-2xl font-semibold leading-snug">
            Take off <span className="text-now">{part.name}</span>
            {screwsOf(part) > 0 && <span className="figure">, {screwsOf(part)} screws</span>}
          </p>
          <p className="text-lg empty:hidden">
            {[part.side && `side: ${part.side}`, part.facing, part.mark && `mark: ${part.mark}`]
              .filter(Boolean)
              .join(", ")}
          </p>
          <Fold summary="Another part first" look="line">
            <div className="flex flex-wrap gap-3 items-end pb-1">
              {guided.length > 1 && (
                <Select label="Of the guide" value={part.id} onChange={(event) => change("part", event.target.value)}>
                  {guided.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </Select>
              )}
              <Button kind="quiet" large onClick={() => change("other", "yes")}>
                A part that is not in the guide
              </Button>
            </div>
          </Fold>
        </section>
      ) : (
        <div>
          <Field
            label={apart.off.length === 0 ? "What comes off first?" : "What comes off next?"}
            value={typed("name")}
            autoComplete="off"
            onChange={(event) => change("name", event.target.value)}
            error={at("name")}
          />
          <UsualWords
            label="Usual parts"
            words={usualParts}
            value={typed("name")}
            onPick={(word) => change("name", word)}
          />
          {guided.length > 0 && (
            <Button kind="quiet" className="mt-2" onClick={() => change("other", "")}>
              Back to the guide
            </Button>
          )}
        </div>
      )}
      <ScrewsFields part={part} problem={problem} />
      <SeveralWords
        legend="How it looks"
        words={partConditions}
        value={chosen("conditions", partConditions)}
        onChange={(words) => change("conditions", words.join("|"))}
      />
      <SeveralWords
        legend="What to do with it"
        words={partFates}
        value={chosen("fate", partFates)}
        onChange={(words) => change("fate", words.find((word) => word !== typed("fate")) ?? "")}
      />
      <Fold summary="How it sat" look="line">
        <div className="grid sm:grid-cols-2 gap-3 py-2">
          {(
            [
              ["side", "Side", "left, motor side"],
              ["facing", "Which way round", "lip outwards"],
              ["mark", "Mark that keeps its place", "dot to dot"],
              ["hides", "Before this hides it", "nuts in first"],
            ] as const
          ).map(([key, label, hint]) => (
            <Field
              key={key}
              label={label}
              hint={hint}
              value={typed(key)}
              autoComplete="off"
              onChange={(event) => change(key, event.target.value)}
              error={at(key)}
            />
          ))}
          <Field
            label="Spacer beside it, width"
            value={typed("spacer")}
            autoComplete="off"
            onChange={(event) => change("spacer", event.target.value)}
            error={at("spacer")}
          />
          <Select
            label="It touches"
            value={typed("race") || "none"}
            onChange={(event) => change("race", event.target.value)}
          >
            {races.map((race: Race) => (
              <option key={race} value={race}>
                {raceWords[race]}
              </option>
            ))}
          </Select>
          <Field
            label="Mass, kg"
            value={typed("mass")}
            autoComplete="off"
            onChange={(event) => change("mass", event.target.value)}
            error={at("mass")}
          />
          <Field
            label="Remark"
            value={typed("note")}
            autoComplete="off"
            onChange={(event) => change("note", event.target.value)}
            error={at("note")}
          />
        </div>
      </Fold>
      {problem &&
        !["name", "spacer", "mass"].includes(String(problem.path[0])) &&
        !String(problem.path[0]).startsWith("off.") && (
          <p role="alert" className="text-outside font-semibold">
            <Refused refusal={problem} />
          </p>
        )}
      <div className="sticky bottom-0 bg-ground py-2 border-t border-rule">
        <Button kind="now" large type="submit" className="max-sm:w-full">
          {part ? `${capital(part.name)} is off` : "It is off"}
        </Button>
      </div>
    </form>
  );
}

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
