import { Bar, BarChart, LabelList, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { StageElement } from "~/core/stages";
import { aheadPercent, type DriveLine, type OutputState } from "~/core/trains";
import { Fold } from "~/ui/fold";
import { traitsOf } from "../kinds/traits";
import { Term } from "../shell/term";
import { lengthWords } from "../words/spoken";
import { DivideOutput } from "./divide-output";

const f = (reader: Reader, value: number, digits = 2) => formatNumber(reader, value, digits);

type Named = { id: string; name: string; element: StageElement };

/** Each output: its speed, its lost motion with every stage's share, and which stage to work on first. */
export function OutputPane({ line, stages }: { line: DriveLine; stages: readonly Named[] }) {
  const reader = useWords();
  const [first, ...others] = line.outputs;
  if (!first) return <p className="text-mid">No output is named. Name one in the drive line, with its wheel.</p>;
  return (
    <div className="grid gap-6">
      {line.outputs.map((output) => (
        <Output key={`${output.at} ${output.name}`} output={output} stages={stages} />
      ))}
      {others.map((other) => {
        const ahead = aheadPercent(other, first);
        return ahead === null ? null : (
          <p key={other.name} className="text-lg">
            {other.name} runs <b className="figure">{f(reader, Math.abs(ahead))} %</b> {ahead < 0 ? "slower" : "faster"}{" "}
            than {first.name}.
          </p>
        );
      })}
    </div>
  );
}

function Output({ output, stages }: { output: OutputState; stages: readonly Named[] }) {
  const reader = useWords();
  const { shaft, surfaceMPerS, scale, lostMotionArcmin } = output;
  const nameOf = (id: string) => stages.find((stage) => stage.id === id)?.name ?? "";
  const known = output.shares.filter(({ arcmin }) => arcmin !== null && arcmin > 0);
  const unread = output.shares.filter(({ arcmin }) => arcmin === null);
  const worst = known.reduce(
    (a, b) => ((b.arcmin ?? 0) > (a.arcmin ?? 0) ? b : a),
    known[0] ?? { id: "", arcmin: 0, share: 0 },
  );
  return (
    <section aria-label={output.name}>
      <h3 className="text-lg font-bold">
        {output.name}
        {shaft.ratio !== null && (
          <span className="figure font-normal text-mid"> 1 : {f(reader, Math.abs(shaft.ratio), 3)}</span>
        )}
      </h3>
      <p className="text-lg">
        {shaft.rpm === null ? "Speed not known" : `${f(reader, Math.abs(shaft.rpm), 1)} turns a minute`}
        {surfaceMPerS !== null &&
          `, ${f(reader, surfaceMPerS, 3)} m/s at its wheel of ${lengthWords(reader, output.wheelDiameterMm ?? 0, 1)}`}
        {surfaceMPerS !== null &&
          scale !== null &&
          `, ${f(reader, 3.6 * surfaceMPerS * scale, 1)} km/h at a scale of 1 : ${f(reader, scale, 0)}`}
        .
      </p>
      {known.length > 0 && (
        <>
          <p className="text-lg mt-2">
            <Term name="lost motion">Lost motion</Term> <b className="figure">{f(reader, lostMotionArcmin, 1)}′</b> at
            this output. Work on <b>{nameOf(worst.id)}</b> first: {f(reader, 100 * worst.share, 0)} % of it.
          </p>
          <SharesChart shares={known.map(({ id, arcmin }) => ({ name: nameOf(id), arcmin: arcmin ?? 0 }))} />
        </>
      )}
      {unread.length > 0 && (
        <p className="text-mid">Not in it, because never read: {unread.map(({ id }) => nameOf(id)).join(", ")}.</p>
      )}
      {shaft.ratio !== null && (
        <Fold summary="Divide a turn of it">
          <DivideOutput
            output={output}
            slips={stages.some(({ id, element }) => traitsOf(element).slips && shaft.path.includes(id))}
          />
        </Fold>
      )}
    </section>
  );
}

function SharesChart({ shares }: { shares: readonly { name: string; arcmin: number }[] }) {
  const reader = useWords();
  const rows = [...shares];
  return (
    <figure>
      <div className="bg-panel" style={{ height: 34 * rows.length + 16 }} aria-hidden="true">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={rows}
            layout="vertical"
            accessibilityLayer={false}
            margin={{ top: 8, right: 64, bottom: 8, left: 8 }}
          >
            <XAxis type="number" hide domain={[0, "dataMax"]} />
            <YAxis
              type="category"
              dataKey="name"
              width={150}
              tick={{ fill: "var(--room-ink)", fontSize: 16 }}
              axisLine={false}
              tickLine={false}
            />
            <Bar dataKey="arcmin" fill="var(--room-mid)" isAnimationActive={false} barSize={16}>
              <LabelList
                dataKey="arcmin"
                position="right"
                formatter={(value: unknown) => `${f(reader, Number(value), 1)}′`}
                style={{ fill: "var(--room-ink)", fontSize: 16 }}
              />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-mid">
        Each stage's loosest reading, and a worm's end float, as an angle at this output: divided by every ratio behind
        it. Belts and chains are taken as free of it.
      </figcaption>
      <ul className="sr-only">
        {rows.map(({ name, arcmin }) => (
          <li key={name}>
            {name}: {f(reader, arcmin, 1)} minutes of arc
          </li>
        ))}
      </ul>
    </figure>
  );
}
