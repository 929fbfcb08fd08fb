import { useState } from "react";
import { data, Link } from "react-router";
import { v7 } from "uuid";
import { FormProvider, TextField } from "~/app/features/form/text-field";
import type { Problems, Texts } from "~/app/features/form/text-reader";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { PlaceHead } from "~/app/features/shell/head";
import { AdjusterFields } from "~/app/features/stage-form/adjuster-fields";
import { readAdjuster } from "~/app/features/stage-form/adjuster-texts";
import { ClampFields } from "~/app/features/stage-form/clamp-fields";
import { ElementFields } from "~/app/features/stage-form/element-fields";
import { LimitsFields } from "~/app/features/stage-form/limits-fields";
import { readLimits, readSideLimits } from "~/app/features/stage-form/limits-texts";
import { readGeometry, textsOf } from "~/app/features/stage-form/texts";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { reviseStage } from "~/operations/revise-stage";
import { Button, buttonClass } from "~/ui/button";
import type { Route } from "./+types/revise";
import { loadStageForm } from "./load-form.server";

const parts = ["geometry", "adjuster", "limits", "stage"] as const;
type Part = (typeof parts)[number];
const partWords: Record<Part, string> = {
  geometry: "Geometry and clamps",
  adjuster: "Adjuster",
  limits: "Limits",
  stage: "Name",
};

export const meta: Route.MetaFunction = () => [{ title: "Revise a stage, Harmostat" }];

const partOf = (what: string): Part => {
  const part = parts.find((known) => known === what);
  if (!part) throw data(null, { status: 404 });
  return part;
};

export async function loader({ params, context, request }: Route.LoaderArgs) {
  const part = partOf(params.what);
  return asPerson(context, request, ["lead"], async (asked) => ({
    part,
    ...(await loadStageForm(asked, params.stageId)),
  }));
}

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const revised = await reviseStage(asked, { ...input, stageId: params.stageId });
    if (revised.ok) return data({ onward: `/stages/${params.stageId}` });
    return data({ refusal: revised.refusal }, { status: 400 });
  });
}

export default function ReviseStage({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { part, stage, machine, openJobBy, others } = loaderData;
  const { fields, refusal, busy, send } = useSavedForm(
    `stage ${stage.id} ${part} ${part === "stage" ? "" : stage[part].revision}`,
    textsOf(reader, stage),
  );
  const [problems, setProblems] = useState<Problems | null>(null);
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    const read = readPart(part, fields.texts);
    setProblems(read.problems);
    if (!read.value) return;
    const seenRevision = part === "stage" ? undefined : stage[part].revision;
    const input = {
      what: part,
      ...ids,
      text: fields.texts.why ?? "",
      ...(seenRevision ? { seenRevision } : {}),
      ...read.value,
    };
    send(input);
  };
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">
          {partWords[part]} of the {stage.name.toLowerCase()}
        </h1>
        <p className="text-mid mb-4">
          {machine.name}.{" "}
          {part !== "stage" &&
            `Saved as revision ${stage[part].revision + 1}; what was judged by the ones before stays as it is.`}
        </p>
        {openJobBy && (
          <p role="status" className="border-l-4 border-near pl-3 text-lg mb-4">
            A job of {openJobBy} is open on this stage. It goes on by what you save here, and says so on its screen.
          </p>
        )}
        <FormProvider value={{ fields, problems }}>
          <form onSubmit={save} className="grid gap-8" noValidate>
            {part === "geometry" && (
              <>
                <ElementFields fixedKind />
                <ClampFields />
              </>
            )}
            {part === "adjuster" && <AdjusterFields others={others} />}
            {part === "limits" && <LimitsFields />}
            {part === "stage" && <TextField name="name" label="Name of the stage" className="max-w-md" />}
            <TextField name="why" label="Why it is changed" hint="goes into the logbook" className="max-w-xl" />
            <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center sticky bottom-0 bg-ground pb-3">
              <Button kind="now" large type="submit" disabled={busy}>
                Save
              </Button>
              <Link to={`/stages/${stage.id}`} className={buttonClass("quiet", true)}>
                Leave it as it is
              </Link>
              {(refusal || Object.keys(problems ?? {}).length > 0) && (
                <p role="alert" className="text-outside font-semibold text-lg">
                  {refusal ? refusalWords(reader, refusal) : "Look at the marked fields."}
                </p>
              )}
            </div>
          </form>
        </FormProvider>
      </main>
    </>
  );
}

function readPart(part: Part, texts: Texts): { value: object | null; problems: Problems | null } {
  switch (part) {
    case "geometry": {
      const read = readGeometry(texts);
      return { value: read.value && { geometry: read.value }, problems: read.problems };
    }
    case "adjuster": {
      const read = readAdjuster(texts);
      return { value: read.value && { adjuster: read.value }, problems: read.problems };
    }
    case "limits": {
      const [limits, sides] = [readLimits(texts), readSideLimits(texts)];
      const problems = { ...limits.problems, ...sides.problems };
      const value = limits.value && Object.keys(problems).length === 0;
      return {
        value: value ? { limits: limits.value, sideLimits: sides.value?.map((side) => ({ id: v7(), ...side })) } : null,
        problems,
      };
    }
    case "stage":
      return texts.name?.trim()
        ? { value: { name: texts.name }, problems: null }
        : { value: null, problems: { name: { code: "missing", path: ["name"], facts: {} } } };
  }
}
