import { useState } from "react";
import type { LessonHere } from "~/app/routes/practice/load-practice.server";
import { practiceMinutes, type Renewal, renewals } from "~/core/practice";
import { Button } from "~/ui/button";
import { Select } from "~/ui/field";
import { capital } from "../words/count";
import { renewalWords } from "./lesson-words";
import type { Practice } from "./use-practice";

type Stages = LessonHere["stages"];

/** Parts that such a stage has. */
export const partsOf = (kind: Stages[number]["kind"]): readonly Renewal[] =>
  renewals.filter((part) => part !== "loop" || kind === "toothed-belt" || kind === "v-belt" || kind === "chain");

/** Any part of the machine can be renewed, sound or not, as on a real one. */
export function RenewKeys({ practice, stages }: { practice: Practice; stages: Stages }) {
  const all = stages.flatMap(({ id, name, kind }) => partsOf(kind).map((part) => ({ stageId: id, name, part })));
  const [chosen, setChosen] = useState(0);
  const [done, setDone] = useState("");
  const one = all[chosen];
  if (!one) return null;
  const renew = async () => {
    const answer = await practice.act({ does: "renew", stageId: one.stageId, part: one.part });
    if (answer) setDone(`${capital(renewalWords[one.part])} of ${one.name} is new.`);
  };
  return (
    <div className="flex flex-wrap gap-3 items-end">
      <Select label="Which part" value={chosen} onChange={(event) => setChosen(Number(event.target.value))}>
        {all.map(({ stageId, name, part }, i) => (
          <option key={`${stageId} ${part}`} value={i}>
            {name}: {renewalWords[part]}
          </option>
        ))}
      </Select>
      <Button large disabled={practice.busy} onClick={renew}>
        Have it renewed: {practiceMinutes.renew} minutes
      </Button>
      <span role="status" className="text-lg">
        {done}
      </span>
    </div>
  );
}
