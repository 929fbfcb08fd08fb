import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { presentDriven, presentDriver, type SwapPair } from "~/core/gears";
import { bothTeeth, count, over0, over0Or, pitch, pressureAngle, slant } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { TickField } from "../../form/tick-field";
import { swapMissWords } from "../../words/swap-miss";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { LimitsFields, readWindow } from "../limits-fields";
import { TrainRow } from "../train-row";

function readSwap(texts: Texts) {
  const read = new TextReader(texts);
  const moduleMm = pitch(read, "pitch");
  const { lo, hi } = readWindow(read);
  read.want("lo", !(lo < 0), "too-small");
  const slot = (name: string) => {
    const value = read.lengthOrNull(name) ?? 0;
    read.want(name, !(value < 0), "too-small");
    return value;
  };
  const boreMm = (name: string) => over0Or(read, name, null);
  const gears = read.rows("gears", ["name", "teeth"]).map((row) => {
    const bore = boreMm(`${row}.bore`);
    return {
      id: read.words(`${row}.name`),
      teeth: count(read, `${row}.teeth`, 3),
      moduleMm: read.has(`${row}.pitch`) ? pitch(read, `${row}.pitch`) : moduleMm,
      ...(bore === null ? {} : { boreMm: bore }),
      count: read.has(`${row}.count`) ? read.number(`${row}.count`, true) : 1,
    };
  });
  read.want("gears", new Set(gears.map(({ id }) => id)).size === gears.length, "part-twice");
  const range =
    read.has("least") || read.has("most") ? { from: count(read, "least", 3), to: count(read, "most", 3) } : null;
  read.want("most", range === null || !(range.to > 500), "too-large");
  read.want("least", range === null || !(range.from > range.to), "window-upside-down");
  const [driver, driven] = [boreMm("bore1"), boreMm("bore2")];
  return read.done({
    present: {
      teeth: bothTeeth(read),
      moduleMm,
      pressureAngleDeg: pressureAngle(read),
      helixAngleDeg: slant(read, "helix", "hand"),
      centreDistanceMm: over0(read, "centres"),
    },
    travel: { partMm: slot("part"), closeMm: slot("close") },
    limits: { loMm: lo, hiMm: hi, ...(read.has("aim") ? { aimMm: read.length("aim") } : {}) },
    gears,
    ...(range ? { newTeeth: range } : {}),
    ...(driver === null ? {} : { driverBoreMm: driver }),
    ...(driven === null ? {} : { drivenBoreMm: driven }),
    reversed: read.has("reversed"),
  });
}

const isPresent = ({ driver, driven }: Pick<SwapPair, "driver" | "driven">) =>
  driver === presentDriver && driven === presentDriven;
const called = (id: string): string =>
  id === presentDriver || id === presentDriven ? "present" : id.startsWith("new-") ? "to be made" : id;
const signed = (reader: Reader, value: number, decimals: number): string =>
  `${value > 0 ? "+" : ""}${formatNumber(reader, value, decimals)}`;

export const tool = benchTool("swap-pairs", async () => (await import("~/calc/tools/swap-pairs")).swapPairsTool, {
  example: {
    z1: "18",
    z2: "72",
    pitch: "0.5",
    centres: "22.6",
    lo: "0.03",
    aim: "0.06",
    hi: "0.1",
    part: "0.55",
    close: "0.2",
    bore1: "3",
    ...rowTexts("gears", [
      { name: "pinion 19", teeth: "19", bore: "3" },
      { name: "pinion 17", teeth: "17", bore: "3" },
      { name: "pinion 20", teeth: "20", bore: "4" },
    ]),
  },
  beside: true,
  Fields: () => (
    <>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="z1" label="Driver, teeth" inputMode="numeric" />
        <TextField name="z2" label="Driven, teeth" inputMode="numeric" />
        <TextField name="pitch" label="Module, or DP" hint="0.5, or 48 DP" />
        <TextField name="centres" label="Centre distance" hint="mm, as it stands" />
        <TextField name="part" label="Slot, apart" hint="mm it can still go" />
        <TextField name="close" label="Slot, together" hint="mm it can still go" />
        <LimitsFields of="mm of backlash" />
        <TextField name="aim" label="Aim" hint="usually the middle" />
        <TextField name="bore1" label="Driver’s shaft" hint="mm; empty: any" />
        <TextField name="bore2" label="Driven’s shaft" hint="mm; empty: any" />
      </div>
      <RowsField
        name="gears"
        legend="Gears at hand"
        hint="Pitch: empty is that of the pair."
        one="Gear"
        columns={[
          { name: "name", label: "Called", wide: true },
          { name: "teeth", label: "Teeth" },
          { name: "pitch", label: "Pitch" },
          { name: "bore", label: "Bore" },
          { name: "count", label: "Count" },
        ]}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="least" label="Could be made, from" hint="teeth" inputMode="numeric" />
        <TextField name="most" label="to" hint="teeth" inputMode="numeric" />
      </div>
      <TickField name="reversed" label="Also those that turn a reduction into a step up" />
    </>
  ),
  read: (texts) => inputFrom(readSwap(texts)),
  say: (reader, { pairs, rejectedCount }) => {
    const others = pairs.filter((pair) => !isPresent(pair));
    const [best] = others;
    if (!best) return `Nothing else can stand there${rejectedCount > 0 ? `: ${rejectedCount} pairs were tried` : ""}`;
    return `${others.length} other ${others.length === 1 ? "pair goes" : "pairs go"}; nearest ${best.teeth.join(" to ")}, ${signed(reader, best.speedPercent, 1)} % speed`;
  },
  View: ({ output }) => {
    const reader = useWords();
    const best = output.pairs.find((pair) => !isPresent(pair));
    return (
      <div className="grid gap-4">
        {best && <TrainRow pairs={[best.teeth]} />}
        <table className="w-full text-left" aria-label="Pairs that can stand there">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="py-1">Teeth</th>
              <th>Move, mm</th>
              <th>Backlash, mm</th>
              <th>Speed, %</th>
              <th>Torque, %</th>
              <th>Contact</th>
            </tr>
          </thead>
          <tbody>
            {output.pairs.slice(0, 60).map((pair) => (
              <tr key={`${pair.driver} ${pair.driven}`} className="border-b border-rule">
                <td className="py-2">
                  <span className="figure">{pair.teeth.join(" : ")}</span>{" "}
                  <span className="text-mid">
                    {isPresent(pair)
                      ? `present${pair.fits ? "" : ", outside its limits"}`
                      : `${called(pair.driver)}, ${called(pair.driven)}`}
                  </span>
                </td>
                <td className="figure">{signed(reader, pair.moveMm, 3)}</td>
                <td className="figure">{formatNumber(reader, pair.backlashMm, 3)}</td>
                <td className="figure">{signed(reader, pair.speedPercent, 1)}</td>
                <td className="figure">{signed(reader, pair.torquePercent, 1)}</td>
                <td className="figure">{formatNumber(reader, pair.usableContactRatio, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {output.rejectedGears.length > 0 && (
          <p>
            Left out: {output.rejectedGears.map(({ id, reason }) => `${id} (${swapMissWords[reason]})`).join(", ")}.
          </p>
        )}
        {output.rejectedPairs.length > 0 && (
          <ul className="text-mid" aria-label="Pairs that do not go">
            {output.rejectedPairs.map(({ driver, driven, reason, byMm }) => (
              <li key={`${driver} ${driven}`}>
                {called(driver)} with {called(driven)}: {swapMissWords[reason]}
                {byMm === undefined ? "" : `, by ${formatNumber(reader, byMm, 3)} mm`}
              </li>
            ))}
          </ul>
        )}
        <p className="text-mid">
          Move: how far the centres part from where they stand. Contact: the ratio over what is involute on both flanks;
          below 1 the teeth hand over with a knock.
        </p>
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
