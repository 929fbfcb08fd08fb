import { Circle, Path, Rect, Svg, Text, View } from "@react-pdf/renderer";
import { recordedView } from "~/app/features/job/read/round-view";
import { stageUnit } from "~/app/features/words/quantity";
import { useWords } from "~/app/features/words/use-words";
import { type Entry, type ReadSoFar, wholeRound } from "~/core/logbook";
import type { Stage } from "~/core/records";
import type { GaugeRow } from "~/ui/band-gauge/before-after";
import { bandOrSpans, gaugeScale } from "~/ui/band-gauge/layout";
import { curvePath, dialScale } from "~/ui/round-dial/layout";
import { type MarkState, stateWord } from "~/ui/state-mark";

const ink = "#10243A";
const mid = "#3F5467";
const band = { fill: "#CDE2D9", stroke: "#3C7C67", strokeWidth: 0.8 };
const colours: Record<MarkState, string> = { inside: "#14614B", near: "#765200", outside: "#98102F", unknown: mid };

const wide = 230;
const rowPt = 20;

/** As found and as left on one scale, each with its figures. */
export function PaperGauge({ stage, rows }: { stage: Stage; rows: readonly GaugeRow[] }) {
  const reader = useWords();
  const { figure, per } = stageUnit(reader, stage.geometry.element);
  const spans = rows.flatMap(({ span }) => (span ? [span] : []));
  const { lo, hi, drawn } = bandOrSpans(stage.limits, spans);
  const { at, ticks } = gaugeScale(lo, hi, spans, wide, per);
  const foot = rows.length * rowPt;
  return (
    <View style={{ flexDirection: "row", marginTop: 6 }} wrap={false}>
      <View style={{ width: 58 }}>
        {rows.map(({ name }) => (
          <Text key={name} style={{ height: rowPt, fontWeight: 700, paddingTop: 3 }}>
            {name}
          </Text>
        ))}
      </View>
      <View style={{ width: wide + 10 }}>
        <Svg width={wide} height={foot + 14} viewBox={`0 0 ${wide} ${foot + 14}`}>
          {drawn && <Rect x={at(lo)} y={0} width={at(hi) - at(lo)} height={foot} {...band} />}
          {rows.map(
            ({ name, span, state }, i) =>
              span && (
                <Rect
                  key={name}
                  x={Math.min(at(span.min), at(span.max) - 3)}
                  y={(i + 0.5) * rowPt - 3}
                  width={Math.max(3, at(span.max) - at(span.min))}
                  height={6}
                  fill={colours[state]}
                />
              ),
          )}
          {ticks.map((tick) => (
            <Text key={tick} x={at(tick)} y={foot + 10} style={{ fontSize: 8 }} fill={mid} textAnchor="middle">
              {figure(tick)}
            </Text>
          ))}
        </Svg>
      </View>
      <View style={{ flex: 1 }}>
        {rows.map(({ name, words, state }) => (
          <Text key={name} style={{ height: rowPt, paddingTop: 3 }}>
            <Text style={{ fontWeight: 700 }}>{words}</Text>
            <Text style={{ color: colours[state] }}>, {stateWord[state]}</Text>
          </Text>
        ))}
      </View>
    </View>
  );
}

const size = 62;
const ring = { inner: 20, outer: 56 };

/** The round as found beside the one as left: readings at their angles, limits as a ring, what is fitted as a line. */
export function PaperRounds({
  stage,
  entries,
  read,
}: {
  /** With the gear in that was read. */
  stage: Stage;
  entries: readonly Entry[];
  read: ReadSoFar;
}) {
  const { asFound, lastRound } = read;
  const drawn = [
    { name: "As found", round: asFound },
    { name: "As left", round: read.changedSinceRound || lastRound?.id === asFound?.id ? null : lastRound },
  ].flatMap(({ name, round }) => {
    const view = round && recordedView(stage, round, wholeRound(entries, round), null, undefined);
    return view && view.readings.length > 2 ? [{ name, view }] : [];
  });
  if (drawn.length === 0) return null;
  const values = drawn.flatMap(({ view }) => view.readings.filter(({ struck }) => !struck).map(({ value }) => value));
  const limits = bandOrSpans(
    stage.limits,
    values.map((value) => ({ min: value, max: value })),
  );
  const scale = dialScale(limits, values, ring);
  return (
    <View style={{ flexDirection: "row", gap: 24, marginTop: 4 }} wrap={false}>
      {drawn.map(({ name, view }) => (
        <View key={name} style={{ alignItems: "center" }}>
          <Svg width={2 * size} height={2 * size} viewBox={`${-size} ${-size} ${2 * size} ${2 * size}`}>
            {limits.drawn && <Circle cx={0} cy={0} r={scale.radius(limits.hi)} {...band} />}
            {limits.drawn && <Circle cx={0} cy={0} r={scale.radius(limits.lo)} {...band} fill="#FFFFFF" />}
            <Path d={`M0 ${-size + 1}l-3 -1h6Z`} fill={ink} />
            {view.fitted && <Path d={curvePath(scale, view.fitted)} stroke={ink} strokeWidth={0.8} fill="none" />}
            {view.readings
              .filter(({ struck }) => !struck)
              .map((reading) => {
                const [x, y] = scale.place(reading.angleDeg, reading.value);
                return <Circle key={reading.index} cx={x} cy={y} r={2.2} fill={colours[reading.state]} />;
              })}
          </Svg>
          <Text style={{ color: mid }}>{name}</Text>
        </View>
      ))}
    </View>
  );
}
