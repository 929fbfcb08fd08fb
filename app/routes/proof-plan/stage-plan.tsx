import { data } from "react-router";
import { PlanPage } from "~/app/features/proving/plan-page";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepProofPlan } from "~/operations/keep-proof-plan";
import type { Route } from "./+types/stage-plan";
import { loadStagePlan } from "./load-plan.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `What proves ${loaderData?.stage?.name ?? "a stage"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadStagePlan(asked, params.stageId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const { machine, stage } = await loadStagePlan(asked, params.stageId);
    const kept = await keepProofPlan(asked, { ...input, machineId: machine.id, stageId: stage?.id ?? null });
    if (kept.ok) return data({ onward: `/stages/${params.stageId}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function StagePlan({ loaderData }: Route.ComponentProps) {
  return <PlanPage {...loaderData} />;
}
