import { useState } from "react";
import { data, useFetcher } from "react-router";
import { v7 } from "uuid";
import { FormEnd } from "~/app/features/form/form-end";
import { SavedForm } from "~/app/features/form/saved-form";
import { SeveralField } from "~/app/features/form/several-field";
import { SelectField, TextField } from "~/app/features/form/text-field";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { kindName } from "~/app/features/kinds";
import { PlaceHead } from "~/app/features/shell/head";
import { noRule, readRule } from "~/app/features/symptoms/rule-texts";
import { capital, countWords } from "~/app/features/words/count";
import { Refused } from "~/app/features/words/refused";
import { causeWords, partWords, symptomWords, testWords, whenWords } from "~/app/features/words/symptom";
import { shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Refusal } from "~/core/quantity";
import { recurringParts, stageKinds } from "~/core/stages";
import { type CauseRule, causeRules, type OwnRule, symptomKinds, testCodes, whensSaid } from "~/core/symptoms";
import { dropRule, keepRule } from "~/operations/own-rules";
import { Button } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { loadRules } from "./load-rules.server";

export const meta: Route.MetaFunction = () => [{ title: "Rules of the house, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) => asPerson(context, request, everyRole, loadRules);

/** Keeps a rule, or takes one back. */
export async function action({ context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const done = input?.drop ? await dropRule(asked, { id: input.drop }) : await keepRule(asked, input);
    if (!done.ok) return data({ refusal: done.refusal }, { status: 400 });
    return data({ onward: "/rules" });
  });
}

/** What the workshop has learnt of its own about what is behind a noise, beside what comes with the app. */
export default function Rules({ loaderData }: Route.ComponentProps) {
  const { rules, mayKeep } = loaderData;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-7">
        <header>
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {rules.length === 0
              ? "No rule of the house yet"
              : `${capital(countWords(rules.length))} ${rules.length === 1 ? "rule" : "rules"} of the house`}
          </h1>
          <p className="text-lg text-mid max-w-3xl">
            The search for a cause ranks them beside the {causeRules.length} that come with it. A rule of one’s own
            stands under its words in the logbook of whatever it was found on.
          </p>
        </header>
        {rules.length > 0 && (
          <ul aria-label="Rules of the house">
            {rules.map((rule) => (
              <OwnRuleLine key={rule.id} rule={rule} mayKeep={mayKeep} />
            ))}
          </ul>
        )}
        {mayKeep && <NewRule key={rules.length} />}
        <Fold summary="The rules that come with it">
          <ul>
            {causeRules.map((rule) => (
              <li key={rule.code} className="border-t border-rule py-2">
                <b>{causeWords[rule.code]}</b>
                <span className="block text-mid">{sayRule(rule)}. Common practice.</span>
              </li>
            ))}
          </ul>
        </Fold>
      </main>
    </>
  );
}

type Said = Pick<CauseRule, "kinds" | "parts" | "shows" | "when" | "test">;

/** Where, how it shows, what speaks for and against, and what to try. */
function sayRule({ kinds, parts, shows, when, test }: Said): string {
  const of = (weight: 1 | -1) => whensSaid.filter((said) => when[said] === weight).map((said) => whenWords[said]);
  return [
    kinds ? kinds.map(kindName).join(", ") : "any stage",
    parts.length > 0 ? `comes with ${parts.map((part) => partWords[part]).join(" or ")}` : "has no rhythm of its own",
    `shows as ${symptomKinds
      .filter((kind) => shows[kind])
      .map((kind) => symptomWords[kind])
      .join(", ")}`,
    of(1).length > 0 ? `for it: ${of(1).join(", ")}` : "",
    of(-1).length > 0 ? `against it: ${of(-1).join(", ")}` : "",
    `next: ${testWords[test]}`,
  ]
    .filter(Boolean)
    .join("; ");
}

function OwnRuleLine({ rule, mayKeep }: { rule: OwnRule; mayKeep: boolean }) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const said: Said = {
    ...{ kinds: rule.kinds.length > 0 ? rule.kinds : null, parts: rule.parts, test: rule.test },
    shows: Object.fromEntries(rule.shows.map((kind) => [kind, 2])),
    when: Object.fromEntries([
      ...rule.speaksFor.map((one) => [one, 1] as const),
      ...rule.against.map((one) => [one, -1] as const),
    ]),
  };
  return (
    <li className="border-t border-rule py-2 flex flex-wrap gap-4 items-start justify-between">
      <span className="min-w-0 grow basis-96">
        <b className="text-lg">{rule.says}</b>
        <span className="block">{sayRule(said)}.</span>
        <span className="block text-mid">
          {rule.source || "From where one knows it is not said"}. {rule.madeByName}, {shortDay(reader, rule.madeAt)}
        </span>
        {fetcher.data?.refusal && (
          <span role="alert" className="block text-outside font-semibold">
            <Refused refusal={fetcher.data.refusal} />
          </span>
        )}
      </span>
      {mayKeep && (
        <Button
          kind="quiet"
          aria-label={`Take back: ${rule.says}`}
          disabled={fetcher.state !== "idle"}
          onClick={() => fetcher.submit({ drop: rule.id }, { method: "post", encType: "application/json" })}
        >
          Take it back
        </Button>
      )}
    </li>
  );
}

function NewRule() {
  const [id] = useState(() => v7());
  const saved = useSavedForm({
    key: "rule",
    initial: noRule,
    read: readRule,
    send: (rule) => ({ id, rule }),
    fieldOf: (path) => String(path[path[0] === "rule" ? 1 : 0] ?? ""),
  });
  return (
    <SavedForm of={saved} label="A rule of the house" className="grid gap-5 max-w-4xl">
      <TextField
        name="says"
        label="What is wrong then"
        hint="as it will stand in the logbook: Pin of the tensioner worn"
      />
      <SeveralField name="shows" legend="It shows as" words={symptomKinds} said={(kind) => symptomWords[kind]} />
      <SeveralField name="kinds" legend="On these stages; none chosen: on all" words={stageKinds} said={kindName} />
      <SeveralField
        name="parts"
        legend="It comes with; none chosen: it has no rhythm"
        words={recurringParts}
        said={(part) => partWords[part]}
      />
      <SeveralField name="speaksFor" legend="For it speaks" words={whensSaid} said={(said) => whenWords[said]} />
      <SeveralField name="against" legend="Against it speaks" words={whensSaid} said={(said) => whenWords[said]} />
      <SelectField name="test" label="What to try first" usual="mark-and-watch">
        {testCodes.map((code) => (
          <option key={code} value={code}>
            {testWords[code]}
          </option>
        ))}
      </SelectField>
      <TextField name="source" label="From where one knows" hint="a job, a maker’s letter, somebody’s experience" />
      <FormEnd save="Keep the rule" busy={saved.busy} back="/" />
    </SavedForm>
  );
}
