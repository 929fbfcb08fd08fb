import { useState } from "react";
import { Link } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { clunkNoise, isKind, type RunOutcome, type RunWay, runOutcomes, whineNoise } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { frameOf, gearNames } from "~/core/stages";
import { Button, buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { UsualWords } from "~/ui/usual-words";
import { useDoNow } from "../../shell/use-arrival";
import { capital } from "../../words/count";
import { outcomeWords } from "../../words/entry";
import { axisRunWords, unprovenEndsWords, unprovenWords } from "../../words/proof";
import { refusalWords } from "../../words/refusal";
import { shortDay } from "../../words/times";
import { onlyPushes } from "../advise/only-pushes";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { SweepFold } from "../shift/sweep-fold";
import { AxisRun } from "./axis-run";
import { ClunkPane } from "./clunk-pane";
import { GoingLive } from "./going-live";

const directions = ["forwards", "backwards"] as const;
const speeds = ["slow", "working", "fast"] as const;
const fieldNames = ["current", "temperature", "noise", "leftToBuffer", "overshoot"] as const;
const noises = ["quiet", "even hum", "growl", whineNoise, "knock once a turn", clunkNoise];

/** Powered runs, direction by speed, beside those of last time. */
export function Prove() {
  const reader = useWords();
  const { job, stage, stationPath } = useJobScreen();
  const [asking, setAsking] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const texts = useTexts();
  useDoNow(job.record.power?.state);
  const direction = directions.find((d) => d === texts["proof.direction"]) ?? "forwards";
  const speed = speeds.find((s) => s === texts["proof.speed"]) ?? "slow";
  const gears = gearsToProve(stage);
  const gear = gears.find((name) => name === texts["proof.gear"]) ?? gears[0];
  const { ends } = frameOf(stage.geometry.element);
  const live = job.record.power?.state === "live";
  const way: RunWay = live ? "powered" : "by-hand";
  const field = (name: string) => ({
    value: texts[`proof.${name}`] ?? "",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
      setRefusal(null);
      job.changeText(`proof.${name}`, event.target.value);
    },
    error: refusal?.path[0] === name ? refusalWords(reader, refusal) : undefined,
    autoComplete: "off",
  });
  const put = async (outcome: RunOutcome) => {
    const text = (name: string) => texts[`proof.${name}`] ?? "";
    const result = await job.put({
      kind: "proof",
      way,
      outcome,
      direction,
      speed,
      gear,
      current: text("current"),
      temperature: text("temperature"),
      noise: text("noise"),
      ...(ends && {
        leftToBuffer: text("leftToBuffer"),
        overshoot: text("overshoot"),
        guidesLubricated: text("guides") === "yes",
      }),
    });
    if (!result.ok) return setRefusal(result.refusal);
    for (const name of [...fieldNames, "guides"]) job.changeText(`proof.${name}`, "");
    // The same run again until it goes well.
    if (outcome !== "ran") return;
    const runs = cellsOf(gears);
    const at = runs.findIndex((run) => run.gear === gear && run.direction === direction && run.speed === speed);
    const after = runs[at + 1];
    if (after) {
      job.changeText("proof.gear", after.gear ?? "");
      job.changeText("proof.direction", after.direction);
      job.changeText("proof.speed", after.speed);
    }
  };
  return (
    <div className="grow min-h-0 overflow-y-auto grid lg:grid-cols-[minmax(0,1fr)_minmax(0,34rem)] gap-6 p-5">
      <section aria-label="Run">
        <h2 className="text-2xl font-bold mb-2">
          {live
            ? "Run it, and note what it does"
            : ends
              ? "Push it by hand first, from end to end: the same drag everywhere"
              : "Turn it by hand first, all the way round: the same drag everywhere"}
        </h2>
        {!live && (
          <div className="mb-4 flex flex-wrap items-center gap-4">
            <p className="text-lg">
              Then powered. It has to be live for that; a turn by hand is logged while it is isolated.
            </p>
            {job.record.power?.state === "isolated" ? (
              <Button kind="now" large onClick={() => setAsking(true)}>
                Go live
              </Button>
            ) : (
              <Link to={stationPath("make-safe")} replace className={buttonClass("now", true)}>
                Make safe first
              </Link>
            )}
            <GoingLive open={asking} onOpenChange={setAsking} />
          </div>
        )}
        {onlyPushes(stage) && (
          <p className="mb-4 border-l-4 border-ink pl-3 text-lg">
            Its screw only pushes: one whole turn of the output under power, watched for a stall, belongs to the proof .
            A tight spot that a hand passes over stops it there.
          </p>
        )}
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void put("ran");
          }}
          className="grid gap-4 max-w-2xl"
        >
          <div className="flex flex-wrap gap-x-8 gap-y-3">
            {gears.length > 1 && (
              <Choice
                legend="Gear that is in"
                name="gear"
                value={gear ?? ""}
                onChange={(value) => job.changeText("proof.gear", value)}
                options={gears.flatMap((name) => (name ? [{ value: name, label: name }] : []))}
              />
            )}
            <Choice
              legend="Direction"
              name="direction"
              value={direction}
              onChange={(v) => job.changeText("proof.direction", v)}
              options={directions.map((value) => ({ value, label: value }))}
            />
            <Choice
              legend="Speed"
              name="speed"
              value={speed}
              onChange={(v) => job.changeText("proof.speed", v)}
              options={speeds.map((value) => ({ value, label: value }))}
            />
          </div>
          {ends && <AxisRun element={stage.geometry.element} direction={direction} field={field} />}
          <div className="grid sm:grid-cols-2 gap-4">
            <Field label="Current" hint="A, or mA" {...field("current")} />
            <Field label="Temperature" hint="°C, or with °F" {...field("temperature")} />
          </div>
          <div>
            <Field label="Noise, in words" {...field("noise")} />
            <UsualWords
              label="Noises"
              words={noises}
              value={texts["proof.noise"] ?? ""}
              onPick={(noise) => job.changeText("proof.noise", noise)}
            />
          </div>
          {refusal && !fieldNames.some((name) => name === refusal.path[0]) && (
            <p role="alert" className="text-outside font-semibold">
              {refusalWords(reader, refusal)}
            </p>
          )}
          <p className="font-semibold -mb-2">
            {live ? "Log this run: how did it end?" : "Log this turn by hand: how did it end?"}
          </p>
          <div className="flex flex-wrap gap-3">
            <Button kind={live ? "now" : "line"} large type="submit">
              {capital(outcomeWords.ran)}
            </Button>
            {runOutcomes
              .filter((outcome) => outcome !== "ran")
              .map((outcome) => (
                <Button key={outcome} kind="line" large onClick={() => put(outcome)}>
                  {capital(outcomeWords[outcome])}
                </Button>
              ))}
            {job.record.proofs.length > 0 && (
              <Link to={stationPath("sign-off")} replace className={buttonClass("line", true)}>
                Sign off
              </Link>
            )}
          </div>
        </form>
        <SweepFold stage={stage} />
      </section>
      <Runs />
    </div>
  );
}

/** The gears of a switchable stage; of any other one that has no name. */
const gearsToProve = ({ geometry: { element } }: Stage): (string | undefined)[] => gearNames(element) ?? [undefined];

/** Gear by direction by speed: what is to be proved. */
const cellsOf = (gears: readonly (string | undefined)[]) =>
  gears.flatMap((gear) => directions.flatMap((direction) => speeds.map((speed) => ({ gear, direction, speed }))));

function Runs() {
  const reader = useWords();
  const { job, stage, before: known } = useJobScreen();
  const earlier = known.proofs.filter(isKind("proof"));
  const lastJob = earlier[0]?.jobId;
  const before = earlier.filter((entry) => entry.jobId === lastJob);
  const cells = cellsOf(gearsToProve(stage));
  const find = (runs: typeof job.record.proofs, { gear, direction, speed }: (typeof cells)[number]) =>
    runs.findLast(
      ({ body }) =>
        body.way === "powered" && body.gear === gear && body.direction === direction && body.speed === speed,
    );
  const words = (run: (typeof before)[number] | (typeof job.record.proofs)[number] | undefined) =>
    run
      ? [
          run.body.outcome === null || run.body.outcome === "ran" ? "" : outcomeWords[run.body.outcome],
          run.body.currentA === null ? "" : `${formatNumber(reader, run.body.currentA, 1)} A`,
          run.body.temperatureC === null ? "" : `${formatNumber(reader, run.body.temperatureC, 0)} °C`,
          axisRunWords(reader, run.body),
          run.body.noise,
        ]
          .filter(Boolean)
          .join(", ")
      : "–";
  return (
    <section aria-label="Runs so far">
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-2">Run</th>
            <th className="pr-3">Now</th>
            <th>{before[0] ? `Last time, ${shortDay(reader, before[0].madeAt)}` : "Last time"}</th>
          </tr>
        </thead>
        <tbody>
          {cells.map((cell) => (
            <tr key={`${cell.gear} ${cell.direction} ${cell.speed}`} className="border-b border-rule align-top">
              <th scope="row" className="font-semibold py-2 pr-3 whitespace-nowrap">
                {cell.gear && `${cell.gear}, `}
                {cell.direction}, {cell.speed}
              </th>
              <td className="py-2 pr-3">{words(find(job.record.proofs, cell))}</td>
              <td className="py-2 text-mid">{words(find([...before].reverse(), cell))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-lg mt-3" role="status">
        {unprovenWords(job.record.unproven) || "Every direction is proven under power"}.{" "}
        {job.record.unprovenEnds.length > 0 && `${unprovenEndsWords(job.record.unprovenEnds)}.`}
      </p>
      {job.record.proofs.some(({ body }) => body.way === "by-hand") && (
        <ul aria-label="Turned by hand" className="text-lg">
          {job.record.proofs
            .filter(({ body }) => body.way === "by-hand")
            .map((run) => (
              <li key={run.id}>
                By hand {run.body.gear ?? ""} {run.body.direction}: {words(run)}
              </li>
            ))}
        </ul>
      )}
      <ClunkPane />
    </section>
  );
}
