import { Link } from "react-router";
import type { Stage } from "~/core/records";
import { buttonClass } from "~/ui/button";
import { runName } from "../words/run";
import { useWords } from "../words/use-words";

/** What proves the stage, as its plan has it. */
export function ProofPane({ stage, mayEdit }: { stage: Stage; mayEdit: boolean }) {
  const reader = useWords();
  const plan = stage.plans?.find(({ stageId }) => stageId === stage.id);
  const ofMachine = stage.plans?.find(({ stageId }) => stageId === null);
  if (!plan && !mayEdit) return null;
  return (
    <section aria-labelledby="proves">
      <div className="flex gap-4 items-baseline justify-between">
        <h2 id="proves" className="text-xl font-bold">
          What proves it
        </h2>
        {mayEdit && (
          <Link to={`/stages/${stage.id}/proof-plan`}>{plan ? "Revise the plan" : "Say what proves it"}</Link>
        )}
      </div>
      {plan ? (
        <ul>
          {plan.runs.map((run) => (
            <li key={run.id}>
              {runName(reader, run)}
              {!run.required && <span className="text-mid">, if there is time</span>}
            </li>
          ))}
        </ul>
      ) : (
        <p>Nobody has said which runs: every direction under power.</p>
      )}
      <p className="mt-2">
        <Link to={`/machines/${stage.machineId}/why?stage=${stage.id}`} className={buttonClass("quiet")}>
          Why does it do that?
        </Link>
      </p>
      {ofMachine && <p className="text-mid">Beside it {ofMachine.runs.length} runs of the machine as a whole.</p>}
    </section>
  );
}
