import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { nothingToAdjust, tightWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { unitOf } from "~/core/advice";
import { hasClick } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { unitById } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { switchGears } from "~/core/stages";
import { Button, buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { DateField, isDay } from "~/ui/date-field";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { methodInput, methodOf } from "../job/read/method";
import { useWedgeGuard } from "../practice/wedge-guard";
import { parseAmount, unitHint } from "../words/amount";
import { readWords } from "../words/entry";
import { feltWords } from "../words/feel";
import { placeOf, stageUnit } from "../words/quantity";
import { measuredWords } from "../words/quantity-names";
import { refusalWords } from "../words/refusal";
import { noLocks, provisionalWords } from "../words/state";
import { day } from "../words/times";
import { doQuickJob, quickProvisional } from "./quick-job";
import { type Read, ReadOne, typedOf, type Way } from "./read-one";

/** The one thing that is asked here; nothing else is said to have been acknowledged. */
const quickSafe = {
  key: "quick-safe",
  text: "Supply isolated and proved dead, air vented, loads and springs held.",
};

const unread: Read = { typed: "", felt: null };

/** One screen for what takes twenty seconds: safe, read, moved or left alone, fine. It feeds the same logbook, trend and response. */
export function QuickTouch({ kit, stage }: { kit: Kit; stage: Stage }) {
  const reader = useWords();
  const navigate = useNavigate();
  const standing = kit.standings.find((item) => item.stageId === stage.id) ?? null;
  const tooth = standing?.result?.tightTooth ?? 1;
  const clicks = hasClick(stage.geometry.element);
  const [way, setWay] = useState<Way>(standing?.felt && clicks ? "feel" : "numbers");
  const [gear, setGear] = useState("");
  const [lock, setLock] = useState("");
  const [how, setHow] = useState<(typeof noLocks)[number] | null>(null);
  const [safe, setSafe] = useState(false);
  useWedgeGuard();
  const [found, setFound] = useState(unread);
  const [left, setLeft] = useState(unread);
  const [moved, setMoved] = useState<"no" | "plus" | "minus">("no");
  const [amount, setAmount] = useState("");
  const [clamped, setClamped] = useState(false);
  const [comment, setComment] = useState("");
  const [nextDate, setNextDate] = useState("");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const { adjuster } = stage;
  const unit = adjuster.adjuster ? unitOf(adjuster.adjuster) : "mm";
  const { element } = stage.geometry;
  const spoken = stageUnit(reader, element);
  const method = useMemo(
    () => methodOf(reader, stage, { "method.gear": gear }, kit.instruments),
    [reader, stage, kit.instruments, gear],
  );
  const gears = switchGears(element);

  const reading = (read: Read, phase: "as-found" | "check"): Record<string, unknown> =>
    way === "feel"
      ? {
          kind: "feel",
          phase,
          method: "by hand",
          places: [{ tooth, feel: read.felt }],
          ...(method.gear ? { gear: method.gear } : {}),
        }
      : {
          kind: "round",
          phase,
          method: methodInput(method),
          readings: [{ tooth, turn: 1, typed: typedOf(read, method), struck: false, repeats: null }],
          carries: true,
        };
  const parsed = parseAmount(reader, amount, unit);
  const size = parsed.ok ? parsed.value : Number.NaN;
  const has = (read: Read) => (way === "feel" ? read.felt !== null : read.typed.trim() !== "");
  const work = (): Record<string, unknown>[] => [
    ...(safe
      ? [
          {
            kind: "isolated",
            lock: how ? "" : lock,
            noLock: how && { key: how.key, text: how.text },
            acknowledged: [quickSafe],
            notAcknowledged: [],
          },
        ]
      : []),
    ...(has(found) ? [reading(found, "as-found")] : []),
    ...(moved === "no"
      ? []
      : [
          {
            kind: "move",
            amount: moved === "plus" ? size : -size,
            did: "otherwise",
            advised: null,
            reasons: [],
            note: "Quick touch",
            adjusterId: adjuster.id,
          },
        ]),
    ...(moved !== "no" && clamped
      ? stage.geometry.clamps.points.map((_, i) => ({
          kind: "clamp",
          clamp: i + 1,
          pass: stage.geometry.clamps.passes,
          state: "firm",
        }))
      : []),
    ...(moved !== "no" && has(left) ? [reading(left, "check")] : []),
  ];
  const finish = async (event: React.FormEvent) => {
    event.preventDefault();
    if (!safe) return setRefusal({ code: "not-safe", path: ["safe"], facts: {} });
    if (!has(found) && !has(left)) return setRefusal({ code: "empty", path: ["found"], facts: {} });
    if (moved !== "no" && !parsed.ok) return setRefusal({ ...parsed.refusal, path: ["amount"] });
    if (nextDate && !isDay(nextDate)) return setRefusal({ code: "not-understood", path: ["nextDate"], facts: {} });
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
    refusal && !["safe", "lock", "found", "amount", "nextDate"].includes(String(refusal.path[0]))
      ? refusalWords(reader, refusal)
      : null;
  const clear = () => setRefusal(null);
  const provisional = has(found) || has(left) ? quickProvisional(kit, stage, work()) : [];
  return (
    <form onSubmit={finish} onChange={clear} className="grid gap-6 max-w-2xl" noValidate>
      <p className="text-lg text-mid">
        {standing?.readAt
          ? `Last read ${day(reader, standing.readAt)}: ${standing.felt ? feltWords(standing.felt) : standing.result ? readWords(reader, standing.result) : ""}.`
          : "Never read before."}{" "}
        Limits {spoken.range(stage.limits.lo, stage.limits.hi)} {spoken.unit}.
      </p>
      <section className="grid gap-2">
        <Tick
          label={
            <span className="text-lg">
              <b>Safe:</b> {quickSafe.text} <span className="text-mid">Local rules come first.</span>
            </span>
          }
          checked={safe}
          onChange={setSafe}
        />
        {problem("safe") && (
          <p role="alert" className="text-outside font-semibold">
            {problem("safe")}
          </p>
        )}
        <Choice
          legend="Held off by"
          name="safe-how"
          value={how?.key ?? "locked"}
          onChange={(value) => setHow(noLocks.find(({ key }) => key === value) ?? null)}
          options={[
            { value: "locked" as string, label: "A lock" },
            ...noLocks.map(({ key, text }) => ({ value: key as string, label: `No lock: ${text.toLowerCase()}` })),
          ]}
        />
        {!how && (
          <Field
            className="max-w-60"
            label="Number of the lock"
            value={lock}
            onChange={(event) => setLock(event.target.value)}
            autoComplete="off"
            error={problem("lock")}
          />
        )}
      </section>
      <section className="grid gap-3">
        <Choice
          legend="Read"
          name="way"
          value={way}
          onChange={setWay}
          options={[
            { value: "numbers", label: measuredWords[method.quantity].name.toLowerCase() },
            ...(clicks ? [{ value: "feel" as const, label: "by feel" }] : []),
          ]}
        />
        {gears.length > 0 && (
          <Choice
            legend="Gear in"
            name="gear"
            value={method.gear ?? ""}
            onChange={setGear}
            options={gears.map(({ name, teeth }) => ({ value: name, label: `${name} ${teeth.join(" : ")}` }))}
          />
        )}
        <ReadOne
          kit={kit}
          stage={stage}
          tooth={tooth}
          way={way}
          method={method}
          read={found}
          onRead={setFound}
          label={`As it is, at ${placeOf(element, tooth)}, ${tightWords(element)}, in ${unitById(method.bareUnit).symbol}`}
          problem={problem("found") ?? (refusal?.path[0] === "readings" ? refusalWords(reader, refusal) : undefined)}
        />
      </section>
      <section className="grid gap-3">
        {adjuster.adjuster ? null : <p className="text-lg">{nothingToAdjust(element)}</p>}
        {adjuster.adjuster && (
          <Choice
            legend={adjuster.name}
            name="moved"
            value={moved}
            onChange={(value) => setMoved(value as typeof moved)}
            options={[
              { value: "no", label: "left alone" },
              { value: "plus", label: adjuster.positiveWord },
              { value: "minus", label: adjuster.negativeWord },
            ]}
          />
        )}
        {moved !== "no" && (
          <>
            <Field
              className="max-w-72"
              label="How much?"
              hint={unitHint(reader, unit)}
              value={amount}
              onChange={(event) => setAmount(event.target.value)}
              autoComplete="off"
              error={problem("amount")}
            />
            <Tick
              label={`All ${stage.geometry.clamps.points.length} clamps at full torque again`}
              checked={clamped}
              onChange={setClamped}
            />
            <ReadOne
              kit={kit}
              stage={stage}
              tooth={tooth}
              way={way}
              method={method}
              read={left}
              onRead={setLeft}
              label={`As left, at ${placeOf(element, tooth)}, in ${unitById(method.bareUnit).symbol}`}
              problem={undefined}
            />
          </>
        )}
      </section>
      <section className="grid sm:grid-cols-2 gap-4">
        <DateField label="Next date" value={nextDate} onChange={setNextDate} error={problem("nextDate")} />
        <Field label="Remark" value={comment} onChange={(event) => setComment(event.target.value)} autoComplete="off" />
      </section>
      {provisional.length > 0 && (
        <p className="border-l-4 border-near pl-3 text-lg" role="status">
          Signed with it, as open points: {provisional.map((item) => provisionalWords[item].toLowerCase()).join("; ")}.
        </p>
      )}
      {general && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {general}
        </p>
      )}
      <div className="flex flex-wrap gap-3 sticky bottom-0 bg-ground py-3 border-t border-rule">
        <Button kind="now" large type="submit" disabled={busy} className="grow">
          Fine: sign as {kit.person.name}
        </Button>
        <Link to={`/machines/${kit.machine.id}`} className={buttonClass("quiet", true)}>
          A whole job instead
        </Link>
      </div>
    </form>
  );
}
