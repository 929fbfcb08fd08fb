import { nothingToAdjust, tightWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { unitOf } from "~/core/advice";
import { canBeFelt } from "~/core/logbook";
import { unitById } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { switchGears } from "~/core/stages";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import type { Method } from "../job/read/method";
import { unitHint, wayWords } from "../words/amount";
import { placeOf } from "../words/quantity";
import { measuredWords } from "../words/quantity-names";
import { noLocks } from "../words/state";
import { type QuickTyped, quickSafe } from "./quick-work";
import { ReadOne } from "./read-one";

type Asked = {
  kit: Kit;
  stage: Stage;
  /** Where it is read: the tight spot. */
  tooth: number;
  method: Method;
  typed: QuickTyped;
  change: (what: Partial<QuickTyped>) => void;
  /** What is wrong with a field, in words. */
  problem: (field: string) => string | undefined;
};

/** Whether it is safe, and what holds it off. */
export function SafeFirst({
  kit,
  typed: { safe, lock, noLock },
  change,
  problem,
}: Pick<Asked, "kit" | "problem"> & {
  typed: Pick<QuickTyped, "safe" | "lock" | "noLock">;
  change: (what: Partial<Pick<QuickTyped, "safe" | "lock" | "noLock">>) => void;
}) {
  return (
    <section className="grid gap-2">
      <Tick
        label={
          <span className="text-lg">
            <b>Safe:</b> {quickSafe(kit.machine).text} <span className="text-mid">Local rules come first.</span>
          </span>
        }
        checked={safe}
        onChange={(safe) => change({ safe })}
      />
      {problem("safe") && (
        <p role="alert" className="text-outside font-semibold">
          {problem("safe")}
        </p>
      )}
      <Choice
        legend="Held off by"
        name="safe-how"
        value={noLock?.key ?? "locked"}
        onChange={(value) => change({ noLock: noLocks.find(({ key }) => key === value) ?? null })}
        options={[
          { value: "locked" as string, label: "A lock" },
          ...noLocks.map(({ key, text }) => ({ value: key as string, label: `No lock: ${text.toLowerCase()}` })),
        ]}
      />
      {!noLock && (
        <Field
          className="max-w-60"
          label="Number of the lock"
          value={lock}
          onChange={(event) => change({ lock: event.target.value })}
          autoComplete="off"
          error={problem("lock")}
        />
      )}
    </section>
  );
}

/** As it is, by number or by feel. */
export function AsItIs({ kit, stage, tooth, method, typed: { way, found }, change, problem }: Asked) {
  const { element } = stage.geometry;
  const gears = switchGears(element);
  return (
    <section className="grid gap-3">
      <Choice
        legend="Read"
        name="way"
        value={way}
        onChange={(chosen) => change({ way: chosen })}
        options={[
          { value: "numbers", label: measuredWords[method.quantity].name.toLowerCase() },
          ...(canBeFelt(element) ? [{ value: "feel" as const, label: "by feel" }] : []),
        ]}
      />
      {gears.length > 0 && (
        <Choice
          legend="Gear in"
          name="gear"
          value={method.gear ?? ""}
          onChange={(gear) => change({ gear })}
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
        onRead={(read) => change({ found: read })}
        label={`As it is, at ${placeOf(element, tooth)}, ${tightWords(element)}, in ${unitById(method.bareUnit).symbol}`}
        problem={problem("found") ?? problem("readings")}
      />
    </section>
  );
}

/** Whether it was moved, by how much, and how it stands then. */
export function Moved({
  kit,
  stage,
  tooth,
  method,
  typed: { way, moved, amount, clamped, left },
  change,
  problem,
}: Asked) {
  const reader = useWords();
  const { adjuster } = stage;
  const { element } = stage.geometry;
  return (
    <section className="grid gap-3">
      {adjuster.adjuster ? null : <p className="text-lg">{nothingToAdjust(element)}</p>}
      {adjuster.adjuster && (
        <Choice
          legend={adjuster.name}
          name="moved"
          value={moved}
          onChange={(value) => change({ moved: value })}
          options={[
            { value: "no", label: "left alone" },
            { value: "plus", label: wayWords(adjuster, 1) },
            { value: "minus", label: wayWords(adjuster, -1) },
          ]}
        />
      )}
      {moved !== "no" && (
        <>
          <Field
            className="max-w-72"
            label="How much?"
            hint={unitHint(reader, adjuster.adjuster ? unitOf(adjuster.adjuster) : "mm")}
            value={amount}
            onChange={(event) => change({ amount: event.target.value })}
            autoComplete="off"
            error={problem("amount")}
          />
          {stage.geometry.clamps.points.length > 0 && (
            <Tick
              label={`All ${stage.geometry.clamps.points.length} clamps at full torque again`}
              checked={clamped}
              onChange={(clamped) => change({ clamped })}
            />
          )}
          <ReadOne
            kit={kit}
            stage={stage}
            tooth={tooth}
            way={way}
            method={method}
            read={left}
            onRead={(read) => change({ left: read })}
            label={`As left, at ${placeOf(element, tooth)}, in ${unitById(method.bareUnit).symbol}`}
            problem={undefined}
          />
        </>
      )}
    </section>
  );
}
