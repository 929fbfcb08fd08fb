import { data } from "react-router";
import { PlanPage } from "~/app/features/proving/plan-page";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepProofPlan } from "~/operations/keep-proof-plan";
import type { Route } from "./+types/machine-plan";
import { loadMachinePlan } from "./load-plan.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `What proves ${loaderData?.machine?.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadMachinePlan(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const { machine, stage } = await loadMachinePlan(asked, params.machineId);
    const kept = await keepProofPlan(asked, { ...input, machineId: machine.id, stageId: stage?.id ?? null });
    if (kept.ok) return data({ onward: `/machines/${params.machineId}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function MachinePlan({ loaderData }: Route.ComponentProps) {
  return <PlanPage {...loaderData} />;
}
