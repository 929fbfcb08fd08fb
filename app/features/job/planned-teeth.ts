import { roundPlan } from "~/core/rounds";

const known = new Map<string, number[]>();

/** Teeth to read in a round, from 1 at the witness mark: twelve that can tell gear runout from pinion runout, on one turn. */
export function plannedTeeth(teeth: readonly [number, number]): number[] {
  const name = teeth.join("/");
  let planned = known.get(name);
  if (!planned) {
    const plan = roundPlan(teeth, Math.min(12, teeth[1]), 1);
    planned = plan.ok ? plan.value.gearToothIndices.map((index) => index + 1) : [];
    known.set(name, planned);
  }
  return planned;
}
