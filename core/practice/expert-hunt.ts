import { tappedRate } from "../proving";
import { linePeriodsAt } from "../stages";
import { rankSuspects } from "../symptoms";
import type { PracticeWay } from "./expert-way";
import { type PracticeCase, practiceMinutes } from "./lessons";
import { type PracticeMachine, partOf } from "./practice-machine";

/** Seconds that one listens for. */
const listened = 40;

/** Along a line with a knock: timed, the parts that come as often looked at in the guide's order, the one that is at fault renewed. */
export function expertHunt(practice: PracticeCase, machine: PracticeMachine, way: PracticeWay): void {
  const { knock } = practice;
  const rate = tappedRate(machine.sound(listened));
  if (!knock || !rate.ok) return;
  way.steps.push({ does: "listens", perMinute: rate.value.perMinute });
  way.minutes += practiceMinutes.listen;
  const stages = practice.stages.map(({ element }, i) => ({ id: knock.kept.links[i]?.stageId ?? "", element }));
  const suspects = rankSuspects(
    {
      kinds: ["knock"],
      when: { direction: null, load: null, warmth: null, place: null, speed: null },
      heard: { perMinute: rate.value.perMinute, toleranceShare: Math.max(0.005, rate.value.toleranceShare) },
    },
    stages.map(({ id, element }) => ({ id, kind: element.kind })),
    linePeriodsAt(knock.kept, stages, knock.motorRpm),
  );
  for (const suspect of suspects) {
    const part = suspect.part && partOf(suspect.part);
    const stage = stages.findIndex(({ id }) => id === suspect.stageId);
    if (!part || stage < 0) continue;
    const found = machine.tells("look", stage, part);
    way.steps.push({ does: "looks", stage, part, found });
    way.minutes += practiceMinutes.test.look;
    if (!found) continue;
    machine.renew(stage, part);
    way.steps.push({ does: "renews", stage, part });
    way.minutes += practiceMinutes.renew;
    return;
  }
}
