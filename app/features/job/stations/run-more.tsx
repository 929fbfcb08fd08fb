import type { ReactNode } from "react";
import type { RunQuantity } from "~/core/proving";
import { warmUp } from "~/core/statistics";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Tick } from "~/ui/tick";
import { UsualWords } from "~/ui/usual-words";
import { TapKey } from "../../proving/tap-key";
import { WarmUpPicture } from "../../proving/warm-up-picture";
import { formatNumber } from "../../words/figure";
import { quantityOfRun, speedWayWords } from "../../words/run";
import { useWords } from "../../words/use-words";
import { warmUpWords } from "../../words/warm-up";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { temperatureRows } from "./run-input";

const places = ["motor", "controller", "gearbox", "bearing", "room"];

/** What is read at the supply. */
export const supplyFields = [
  { of: "peak", name: "peak", unit: "A" },
  { of: "voltage", name: "voltage", unit: "V" },
  { of: "power", name: "power", unit: "W" },
] as const;

export type Problem = (...path: (string | number)[]) => string | undefined;

/** What else a run may show: supply, speed, temperatures by place over time, a noise that is timed, what it was loaded with. */
export function RunMore({
  problem,
  asked,
  limitOf,
  minutesNow,
}: {
  problem: Problem;
  /** What its plan asks for stands beside the current already. */
  asked: ReadonlySet<RunQuantity>;
  /** What a place may get, by its plan; null: not said. */
  limitOf: (place: string) => number | null;
  /** By the clock that runs; null: none does. */
  minutesNow: () => number | null;
}) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const field = (name: string, ...path: string[]) => ({
    value: texts[`proof.${name}`] ?? "",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => job.changeText(`proof.${name}`, event.target.value),
    error: problem(...(path.length > 0 ? path : [name])),
    autoComplete: "off",
  });
  return (
    <div className="grid gap-1">
      <Fold summary="Peak, voltage, power, load">
        <div className="grid sm:grid-cols-3 gap-4 pb-3">
          {supplyFields
            .filter(({ of }) => !asked.has(of))
            .map(({ of, name, unit }) => (
              <Field key={of} label={quantityOfRun[of].name} hint={unit} {...field(name)} />
            ))}
          <Field label="Loaded with" hint="8 kg; 12 N at 150 mm; words" className="sm:col-span-2" {...field("load")} />
          <div className="sm:col-span-3">
            <Tick
              label="The supply showed its limit"
              checked={texts["proof.atLimit"] === "yes"}
              onChange={(checked) => job.changeText("proof.atLimit", checked ? "yes" : "")}
            />
          </div>
        </div>
      </Fold>
      {!asked.has("speed-off") && (
        <Fold summary="Speed, measured">
          <SpeedFields field={field} />
          {!asked.has("slowest-speed") && <SlowestField field={field} />}
        </Fold>
      )}
      <Fold summary="Temperatures, by place and over time">
        <Temperatures problem={problem} limitOf={limitOf} minutesNow={minutesNow} />
      </Fold>
      <Fold summary="How often the noise comes">
        <div className="grid gap-3 pb-3">
          <TapHeard />
          <div className="grid sm:grid-cols-2 gap-4">
            <Field label="Times a minute" hint="tapped, or typed" {...field("heard", "heard", "perMinute")} />
            <Field label="That may be off by" hint="%, usually 5" {...field("heardOff", "heard", "offPercent")} />
          </div>
        </div>
      </Fold>
    </div>
  );
}

function TapHeard() {
  const reader = useWords();
  const { job } = useJobScreen();
  return (
    <TapKey
      onRate={({ perMinute, toleranceShare, taps }) => {
        job.changeText("proof.heard", formatNumber(reader, perMinute, 2));
        job.changeText("proof.heardOff", formatNumber(reader, 100 * toleranceShare, 1));
        job.changeText("proof.taps", String(taps));
      }}
    />
  );
}

type RunField = (
  name: string,
  ...path: string[]
) => {
  value: string;
  onChange: (event: React.ChangeEvent<HTMLInputElement>) => void;
  error: ReactNode;
  autoComplete: string;
};

export function SpeedFields({ field }: { field: RunField }) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const how = texts["proof.speedHow"] || "tachometer";
  const at = (name: string, key = name) => field(name, "speedRead", key);
  return (
    <div className="grid gap-3 pb-3">
      <Choice
        legend="Measured by"
        name="speedHow"
        value={how}
        onChange={(value) => job.changeText("proof.speedHow", value)}
        options={(["tachometer", "turns", "travel"] as const).map((value) => ({ value, label: speedWayWords[value] }))}
      />
      <div className="grid sm:grid-cols-3 gap-4">
        {how === "tachometer" && <Field label="The output turns" hint="times a minute" {...at("rpm")} />}
        {how === "turns" && <Field label="Turns" {...at("turns")} />}
        {how === "travel" && <Field label="Travel" hint="mm" {...at("travel")} />}
        {how === "travel" && <Field label="Travel a turn" hint="mm" {...at("perTurn", "travelPerTurn")} />}
        {how !== "tachometer" && <Field label="Took" hint="s" {...at("seconds")} />}
        <Field label="The motor turns" hint="times a minute; empty: as in the drive line" {...at("motorRpm")} />
      </div>
    </div>
  );
}

/** Slowed down step by step under its load: what a drive that starves at low speed stalls at. */
export function SlowestField({ field }: { field: RunField }) {
  return (
    <Field
      label={quantityOfRun["slowest-speed"].name}
      hint="turns of the output a minute; slower it stalls"
      {...field("slowest")}
    />
  );
}

function Temperatures({ problem, limitOf, minutesNow }: Omit<Parameters<typeof RunMore>[0], "asked">) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const rows = temperatureRows(texts);
  const set = (row: number, name: string, text: string) => job.changeText(`proof.temps.${row}.${name}`, text);
  const number = (text: string | undefined) =>
    Number((text ?? "").replace(",", ".").replace(/[^\d.-]/g, "") || Number.NaN);
  const points = rows.map((row) => ({
    place: texts[`proof.temps.${row}.place`] ?? "",
    minutes: number(texts[`proof.temps.${row}.minutes`]),
    tempC: number(texts[`proof.temps.${row}.temp`]),
  }));
  const last = points.at(-1)?.place ?? "motor";
  const add = () => {
    const row = (rows.at(-1) ?? -1) + 1;
    const minutes = minutesNow();
    set(row, "place", last);
    if (minutes !== null) set(row, "minutes", formatNumber(reader, minutes, 1));
  };
  return (
    <div className="grid gap-3 pb-3">
      {rows.map((row, i) => (
        <div key={row} className="grid grid-cols-[1fr_7rem_8rem] gap-3">
          {(
            [
              ["place", "Where", ""],
              ["minutes", "After", "min"],
              ["temp", "Temperature", "°C"],
            ] as const
          ).map(([name, label, hint]) => (
            <Field
              key={name}
              label={label}
              hint={hint}
              autoComplete="off"
              value={texts[`proof.temps.${row}.${name}`] ?? ""}
              onChange={(event) => set(row, name, event.target.value)}
              error={problem("temperatures", i, name)}
            />
          ))}
        </div>
      ))}
      {rows.length > 0 && (
        <UsualWords
          label="Places"
          words={places}
          value={last}
          onPick={(place) => set(rows.at(-1) ?? 0, "place", place)}
        />
      )}
      <div>
        <Button kind="line" onClick={add}>
          A temperature now
        </Button>
      </div>
      {[...new Set(points.map(({ place }) => place))].map((place) => {
        const read = points.filter((point) => point.place === place && Number.isFinite(point.minutes + point.tempC));
        const limitC = limitOf(place);
        const fitted = read.length >= 4 ? warmUp(read, limitC ?? undefined) : null;
        if (!fitted) return null;
        return (
          <div key={place} className="grid gap-2">
            <p className="text-lg" role="status">
              {place || "Temperature"}: {warmUpWords(reader, fitted, limitC)}.
            </p>
            <WarmUpPicture points={read} fitted={fitted} limitC={limitC} />
          </div>
        );
      })}
    </div>
  );
}
