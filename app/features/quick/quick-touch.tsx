import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { canBeFelt } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { inGear, ownStop } from "~/operations/stage-as-read";
import { DateField } from "~/ui/date-field";
import { Field } from "~/ui/field";
import { methodOf } from "../job/read/method";
import { useWedgeGuard } from "../practice/wedge-guard";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { noLimits } from "../words/limit-words";
import { stageUnit } from "../words/quantity";
import { refusalWords } from "../words/refusal";
import { day } from "../words/times";
import { QuickEnd } from "./quick-end";
import { doQuickJob, quickProvisional } from "./quick-job";
import { AsItIs, Moved, SafeFirst } from "./quick-questions";
import { hasRead, nothingTyped, type QuickTyped, quickFault, quickWork } from "./quick-work";

/** One screen for what takes twenty seconds: safe, read, moved or left alone, fine. It feeds the same logbook, trend and response. */
export function QuickTouch({ kit, stage }: { kit: Kit; stage: Stage }) {
  const reader = useWords();
  const navigate = useNavigate();
  useWedgeGuard();
  const standing = kit.standings.find((item) => item.stageId === stage.id) ?? null;
  const tooth = standing?.result?.tightTooth ?? 1;
  const { element } = stage.geometry;
  const [typed, setTyped] = useState(() => nothingTyped(standing?.felt && canBeFelt(element) ? "feel" : "numbers"));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const method = useMemo(
    () => methodOf(reader, stage, { "method.gear": typed.gear }, kit.instruments),
    [reader, stage, kit.instruments, typed.gear],
  );
  // With the gear that is in: its mesh, its limits, the stop that it rests against.
  const read = useMemo(() => inGear(stage, method.gear), [stage, method.gear]);
  const change = (what: Partial<QuickTyped>) => {
    setRefusal(null);
    setTyped((was) => ({ ...was, ...what }));
  };
  const { way, found, left, comment, nextDate } = typed;
  const work = () =>
    quickWork(reader, { machine: kit.machine, stage: read }, method, tooth, typed, ownStop(stage, method.gear));
  const finish = async (event: React.FormEvent) => {
    event.preventDefault();
    const fault = quickFault(reader, read, typed);
    if (fault) return setRefusal(fault);
    setBusy(true);
    const done = await doQuickJob(kit, {
      stage,
      reason: "Quick touch",
      work: work(),
      comment,
      nextDate: nextDate || null,
    });
    setBusy(false);
    if (!done.ok) return setRefusal(done.refusal);
    navigate(`/jobs/${done.value}/sign-off`);
  };
  const problem = (field: string) => (refusal?.path[0] === field ? refusalWords(reader, refusal) : undefined);
  const general =
    refusal && !["safe", "lock", "found", "readings", "amount", "nextDate"].includes(String(refusal.path[0]))
      ? refusalWords(reader, refusal)
      : null;
  const provisional = hasRead(way, found) || hasRead(way, left) ? quickProvisional(kit, stage, work()) : [];
  const asked = { kit, stage: read, tooth, method, typed, change, problem };
  const { unit, range } = stageUnit(reader, element);
  return (
    <form onSubmit={finish} className="grid gap-6 max-w-2xl" noValidate>
      <p className="text-lg text-mid">
        {standing?.readAt
          ? `Last read ${day(reader, standing.readAt)}: ${standing.felt ? feltWords(standing.felt) : standing.result ? readWords(reader, standing.result) : ""}.`
          : "Never read before."}{" "}
        {read.limits ? `Limits ${range(read.limits.lo, read.limits.hi)} ${unit}.` : `It has ${noLimits}.`}
      </p>
      <SafeFirst {...asked} />
      <AsItIs {...asked} />
      <Moved {...asked} />
      <section className="grid sm:grid-cols-2 gap-4">
        <DateField
          label="Next date"
          value={nextDate}
          onChange={(date) => change({ nextDate: date })}
          error={problem("nextDate")}
        />
        <Field
          label="Remark"
          value={comment}
          onChange={(event) => change({ comment: event.target.value })}
          autoComplete="off"
        />
      </section>
      <QuickEnd done="Fine" {...{ kit, provisional, general, busy }} />
    </form>
  );
}
