import { Link } from "react-router";
import type { ProofPlan, ProofPlanFields } from "~/core/proving";
import { PlaceHead } from "../shell/head";
import { runName } from "../words/run";
import { shortDay } from "../words/times";
import { useWords } from "../words/use-words";
import { PlanForm } from "./plan-form";

type Shown = {
  machine: { id: string; name: string };
  /** null: the machine's own. */
  stage: { id: string; name: string } | null;
  gears: readonly string[];
  plan: ProofPlan | null;
  revisions: readonly { id: string; revision: number; runs: number; madeByName: string; madeAt: string }[];
  proposed: ProofPlanFields;
  mayWork: boolean;
};

/** What proves a stage or a machine, and how that came to be. */
export function PlanPage({ machine, stage, gears, plan, revisions, proposed, mayWork }: Shown) {
  const reader = useWords();
  const back = stage ? `/stages/${stage.id}` : `/machines/${machine.id}`;
  const name = stage?.name ?? machine.name;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header>
          <h1 className="text-3xl font-bold">
            {plan ? `What proves the ${name.toLowerCase()}` : `Nobody has said what proves the ${name.toLowerCase()}`}
          </h1>
          <p className="text-lg text-mid">
            {stage ? (
              <>
                A stage of the{" "}
                <Link to={`/machines/${machine.id}`} className="text-ink">
                  {machine.name}
                </Link>
                .{" "}
              </>
            ) : (
              "The whole machine, beside what each stage has. "
            )}
            {plan
              ? "Only runs that go well and keep their limits prove it."
              : mayWork
                ? "This is a proposal; change it, and keep it."
                : ""}
          </p>
        </header>
        {mayWork ? (
          <PlanForm of={stage?.id ?? machine.id} plan={plan} proposed={proposed} gears={gears} back={back} />
        ) : (
          <ul>
            {(plan?.runs ?? []).map((run) => (
              <li key={run.id}>{runName(reader, run)}</li>
            ))}
          </ul>
        )}
        {revisions.length > 1 && (
          <section aria-labelledby="revisions">
            <h2 id="revisions" className="text-xl font-bold">
              Earlier
            </h2>
            <ul>
              {revisions.slice(1).map(({ id, revision, runs, madeByName, madeAt }) => (
                <li key={id}>
                  Revision {revision}: {runs} {runs === 1 ? "run" : "runs"}, {madeByName}, {shortDay(reader, madeAt)}
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </>
  );
}
