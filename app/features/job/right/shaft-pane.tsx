import { useMemo, useState } from "react";
import { Link } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { type EntryOf, isOverdue, type MachineShaft } from "~/core/logbook";
import type { Refusal, Result } from "~/core/quantity";
import { type ShaftPhase, type ShaftPlan, shaftPhases } from "~/core/shafts";
import { widthUncertainty } from "~/operations/entries/parts";
import { buildShaft, shaftInput } from "~/operations/entries/shaft";
import { Button, buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field, Select } from "~/ui/field";
import { PickList } from "~/ui/pick-list";
import { Running } from "../../calculation/running";
import { useWorker } from "../../calculation/use-worker";
import { capital } from "../../words/count";
import { Refused } from "../../words/refused";
import { laidWords } from "../../words/shafts";
import { lengthUnit, lengthWords } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { ShaftSays } from "./shaft-says";
import { ShaftSeenTo } from "./shaft-seen-to";
import { ShaftWidths } from "./shaft-widths";
import { drawersFor, laidTyped, questionOf, shaftNow, shaftWork, textName, waysOf } from "./typed-shaft";

const start = () => new Worker(new URL("../../../../workers/shaft.ts", import.meta.url), { type: "module" });
const none: readonly MachineShaft[] = [];

/** A shaft measured part by part, its spacers reckoned, laid in and read: as it was found, and as it was put together. */
export function ShaftPane() {
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const shafts = data.shafts ?? none;
  const chosen = shafts.find(({ shaft }) => shaft.shaftId === texts["sh.of"]) ?? shafts[0];
  const now = chosen ? shaftNow(shafts, job.record.shafts, chosen.shaft.shaftId) : null;
  if (!now)
    return (
      <div className="grid gap-3 justify-items-start text-lg">
        <p>No shaft of this machine is put down yet: its parts between the faces, where their planes must stand.</p>
        <Link to={`/machines/${data.machine.id}/shafts/new`} className={buttonClass("now", true)}>
          Put a shaft down
        </Link>
      </div>
    );
  return (
    <div className="grid gap-4">
      {shafts.length > 1 && (
        <Select
          className="max-w-sm"
          label="Shaft"
          value={now.shaft.shaftId}
          onChange={(event) => job.changeText("sh.of", event.target.value)}
        >
          {shafts.map(({ shaft }) => (
            <option key={shaft.shaftId} value={shaft.shaftId}>
              {shaft.name}
            </option>
          ))}
        </Select>
      )}
      <OneShaft key={now.shaft.shaftId} shafts={shafts} here={job.record.shafts} shaftId={now.shaft.shaftId} />
    </div>
  );
}

function OneShaft({
  shafts,
  here,
  shaftId,
}: {
  shafts: readonly MachineShaft[];
  here: readonly EntryOf<"shaft">[];
  shaftId: string;
}) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const now = useMemo(() => shaftNow(shafts, here, shaftId), [shafts, here, shaftId]);
  if (!now) throw new Error("a shaft that is not there");
  const { shaft, before, wanted } = now;
  const text = (what: string) => texts[textName(shaft, what)] ?? "";
  const change = (what: string, value: string) => {
    setProblem(null);
    job.changeText(textName(shaft, what), value);
  };
  const phase: ShaftPhase = text("phase") === "as found" ? "as found" : "as fitted";
  const items = useMemo(() => drawersFor(shaft, data.stock ?? []), [shaft, data.stock]);
  const instruments = data.instruments.filter(({ dimension }) => dimension === "length");
  const measuring = instruments.find(({ id }) => id === text("with"));
  const asked = questionOf(reader, now, texts, items, measuring ? widthUncertainty(measuring) : null);
  const found = useWorker<Result<ShaftPlan>>(start, asked.ok && phase === "as fitted" ? asked.value : null);
  const plan = found.answer?.ok && asked.ok ? found.answer.value : null;
  const ways = plan && phase === "as fitted" ? waysOf(plan) : [];
  const typedLaid = laidTyped(reader, shaft, texts);
  const way = ways.find(({ key }) => key === text("way")) ?? (text("way") === "typed" ? undefined : ways[0]);
  // Said gap by gap: as it was found, where one says so, and where the planner has nothing to offer.
  const byHand =
    phase === "as found" || text("way") === "typed" || found.calledOff || (found.answer !== null && ways.length === 0);
  const laid = way?.laid ?? (typedLaid.ok ? typedLaid.value : []);
  const work = shaftWork(reader, now, texts, laid, phase, items, instruments);
  const checked = shaftInput.safeParse(work);
  const stands = checked.success ? buildShaft(checked.data, shafts, here, data.instruments) : null;
  const wrong = problem ?? (asked.ok ? null : asked.refusal) ?? (stands && !stands.ok ? stands.refusal : null);
  const lacking = shaft.parts.filter(
    ({ id, widthMm }) => widthMm === null && (texts[textName(shaft, `w.${id}`)] ?? "").trim() === "",
  );
  const laidWrong = byHand && !typedLaid.ok ? typedLaid.refusal : null;
  const log = async () => {
    if (laidWrong) return setProblem(laidWrong);
    const result = await job.put(work);
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    // As found, the widths stay: the same parts go together again.
    const done = ["float", "way", "note", "phase"];
    for (const name of Object.keys(texts)) {
      const own = textName(shaft, "");
      if (!name.startsWith(own)) continue;
      const what = name.slice(own.length);
      const kept = phase === "as found" && /^(w\.|length|with|floatWith)/.test(what);
      if (!kept && (done.includes(what) || /^[lsw]\.|^length$/.test(what))) job.changeText(name, "");
    }
  };
  const measuredWith = (what: string, label: string) => (
    <Select label={label} value={text(what)} onChange={(event) => change(what, event.target.value)}>
      <option value="">not said</option>
      {instruments.map(({ id, name, dueOn }) => (
        <option key={id} value={id}>
          {name}
          {isOverdue(dueOn, data.now.slice(0, 10)) ? ", overdue" : ""}
        </option>
      ))}
    </Select>
  );
  return (
    <div className="grid lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)] gap-x-8 gap-y-5 items-start">
      <div className="grid gap-4">
        <Choice
          legend={shaft.name}
          name="shaft-phase"
          value={phase}
          onChange={(value) => change("phase", value)}
          options={shaftPhases.map((value) => ({ value, label: capital(value) }))}
        />
        {measuredWith("with", "Widths measured with")}
        <ShaftWidths now={now} wrong={wrong} />
      </div>
      <div className="grid gap-4">
        {lacking.length > 0 && (
          <p className="text-xl" role="status">
            Measure <b>{lacking.map(({ name }) => name).join(", ")}</b>: then its spacers are reckoned.
          </p>
        )}
        {asked.ok && phase === "as fitted" && (
          <>
            <Running of={found} />
            {plan && !plan.fewest && plan.nearest.endFloatMm >= 0 && (
              <p className="text-lg text-near font-semibold">
                Nothing in the drawers brings all of it inside
                {plan.makings.length > 0 ? "; make one:" : "; the nearest stands here."}
              </p>
            )}
            {plan?.thinned && (
              <p className="text-mid">There are more pieces than were looked through: reckoned with fewer of a size.</p>
            )}
            {plan && ways.length > 0 && (
              <PickList
                legend="What goes between"
                value={way?.key ?? "typed"}
                onChange={(value) => change("way", value)}
                options={[
                  ...ways.map(({ key, laid: goes, answer }) => ({
                    value: key,
                    label: (
                      <>
                        <b>{capital(laidWords(reader, { laid: goes, parts: partsNamed(now) })) || "Nothing"}</b>
                        <span className="figure">{lengthWords(reader, answer.endFloatMm, 3)} left</span>
                      </>
                    ),
                  })),
                  { value: "typed", label: "Something else, as I say" },
                ]}
              />
            )}
          </>
        )}
        {byHand && (
          <fieldset className="grid sm:grid-cols-2 gap-3">
            <legend className="font-semibold mb-1">What lies between: 0.5 + 2 × 0.1</legend>
            {["left-face", ...shaft.parts.map(({ id }) => id)].map((after, i) => (
              <Field
                key={after}
                label={`${i === 0 ? "At the left face" : `Behind ${i} ${shaft.parts[i - 1]?.name}`}, ${lengthUnit(reader)}`}
                autoComplete="off"
                value={text(`l.${after}`)}
                onChange={(event) => change(`l.${after}`, event.target.value)}
                error={laidWrong?.path[1] === after ? <Refused refusal={laidWrong} /> : undefined}
              />
            ))}
          </fieldset>
        )}
        {stands?.ok && (way || byHand) && (
          <ShaftSays shaft={shaft} stands={stands.value} wanted={wanted} before={before?.body ?? null} />
        )}
        {phase === "as fitted" && <ShaftSeenTo shaft={shaft} />}
        <div className="grid sm:grid-cols-2 gap-3">
          <Field
            label={`End float as read, ${lengthUnit(reader)}`}
            hint="pushed and pulled, by dial or feeler; empty: not read"
            inputMode="decimal"
            autoComplete="off"
            value={text("float")}
            onChange={(event) => change("float", event.target.value)}
            error={wrong?.path[0] === "float" ? <Refused refusal={wrong} /> : undefined}
          />
          {measuredWith("floatWith", "Float read with")}
          <Field
            label="Remark on the shaft"
            autoComplete="off"
            value={text("note")}
            onChange={(event) => change("note", event.target.value)}
          />
        </div>
        {wrong && !["length", "widths", "float", "laid"].includes(String(wrong.path[0])) && (
          <p role="alert" className="text-outside font-semibold">
            <Refused refusal={wrong} />
          </p>
        )}
        <div>
          <Button large kind="now" disabled={!stands?.ok || !(way || byHand)} onClick={log}>
            Log it {phase}
          </Button>
        </div>
      </div>
    </div>
  );
}

const partsNamed = ({ shaft }: { shaft: MachineShaft["shaft"] }) =>
  shaft.parts.map(({ id, name }) => ({ key: id, name, mm: 0, typed: null, expandedUncertaintyMm: null, leftMm: 0 }));
