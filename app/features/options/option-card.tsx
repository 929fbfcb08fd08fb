import { Link } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { EntryOf } from "~/core/logbook";
import { mechanismSays, ratioWanted } from "~/core/trains";
import { buttonClass } from "~/ui/button";
import { lengthWords } from "../words/spoken";
import { day } from "../words/times";

/** One way to drive a stage: what it does, what its mount holds, what was measured beside what was predicted. */
export function OptionCard({
  entry,
  wantedRpm,
  revise,
}: {
  entry: EntryOf<"option">;
  /** For its wheel; null: no speed is wanted, or its wheel is not known. */
  wantedRpm: number | null;
  /** null: whoever looks may not. */
  revise: string | null;
}) {
  const reader = useWords();
  const { body } = entry;
  const says = mechanismSays(body);
  const f = (value: number | null, decimals: number, unit: string) =>
    value === null ? "not known" : `${formatNumber(reader, value, decimals)}${unit && ` ${unit}`}`;
  const off = (value: number, of: number) => {
    const percent = 100 * (value / of - 1);
    return `${formatNumber(reader, Math.abs(percent), 1)} % ${percent >= 0 ? "faster" : "slower"}`;
  };
  const ratio = wantedRpm === null ? null : ratioWanted(body.motorRpm, wantedRpm);
  const rows: (readonly [string, string])[] = [
    ["Motor", `${f(body.motorRpm, 0, "rpm")}, ${f(body.motorTorqueNm, 2, "N·m")}`],
    ["Ratio", f(body.ratio, 3, "")],
    ["Output", `${f(says.outputRpm, 2, "rpm")}, ${f(says.outputTorqueNm, 2, "N·m")}`],
    ...(body.wheelDiameterMm === null
      ? []
      : [
          [
            "Along the rim",
            `${f(says.surfaceMPerS, 3, "m/s")}, wheel ${lengthWords(reader, body.wheelDiameterMm, 1)}`,
          ] as const,
        ]),
    ...(says.scaleMPerS === null
      ? []
      : [
          [
            "In its scale",
            `${f(says.scaleMPerS * 3.6, 1, "km/h")}, ${f(says.scaleMPerS / 0.44704, 1, "mph")}`,
          ] as const,
        ]),
    [
      "The mount holds",
      says.mountNm === null
        ? "not known"
        : `${f(says.mountNm, 2, "N·m")} with the motor on it, ${f(says.mountAloneNm, 2, "N·m")} without`,
    ],
    ...(body.measuredRpm === null
      ? []
      : [
          [
            "Measured",
            `${f(body.measuredRpm, 2, "rpm")}${says.outputRpm === null ? "" : `, ${off(body.measuredRpm, says.outputRpm)} than predicted`}`,
          ] as const,
        ]),
    ...(["room", "noise", "effort", "use", "service"] as const).flatMap((name) =>
      body[name] ? [[labels[name], body[name]] as const] : [],
    ),
    ...(body.price === null ? [] : [["Price", formatNumber(reader, body.price, 2)] as const]),
  ];
  return (
    <li
      className={`border-t-2 pt-2 grid gap-2 content-start ${body.outcome === "lost" ? "border-rule" : "border-ink"}`}
    >
      <h2 className="text-xl font-bold">
        {body.assembly && `${body.assembly}: `}
        {body.name}
        <span className="font-normal text-mid">, {body.outcome}</span>
      </h2>
      {body.why && <p className="font-semibold">{body.why}</p>}
      {ratio !== null && (
        <p className="text-lg border-l-4 border-ink pl-3">
          Wanted is {f(wantedRpm, 2, "rpm")}: a ratio of <b className="figure">{formatNumber(reader, ratio, 3)}</b>
          {says.outputRpm !== null && wantedRpm !== null && `; as it is, ${off(says.outputRpm, wantedRpm)}`}.{" "}
          <Link
            to={`/bench/ratio-for-speed?${new URLSearchParams({ unit: "rpm", wanted: String(Number((wantedRpm ?? 0).toFixed(4))), rpm: String(body.motorRpm), teeth: "12-60", stages: "2" })}`}
          >
            Gears for it
          </Link>
        </p>
      )}
      <dl className="grid grid-cols-[8.5rem_1fr] gap-x-4 gap-y-0.5">
        {rows
          .filter(([, value]) => body.assembly === undefined || !/^not known(, not known)?$/.test(value))
          .map(([name, value]) => (
            <div key={name} className="contents">
              <dt className="text-mid">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
      <p className="text-mid">
        {entry.madeByName}, {day(reader, entry.madeAt)}
      </p>
      {revise && (
        <div>
          <Link to={revise} className={buttonClass("quiet")} aria-label={`Revise ${body.name}`}>
            Revise
          </Link>
        </div>
      )}
    </li>
  );
}

const labels = { room: "Room", noise: "Noise", effort: "Effort", use: "In use", service: "Service" } as const;
