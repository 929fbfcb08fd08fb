import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { gearPair, spurPair } from "~/core/gears";
import { parseNumber } from "~/core/quantity";
import { bandAfter, type GridPair, type HoleGrid, idlerLayout, openingOf, type TriedPair } from "~/core/trains";
import { ChoiceField } from "../../form/choice-field";
import { choice } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useWriteTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { GridPicture } from "../grid-picture";

/** In modules: how much nearer than the sum of the radii, and how much further apart, still runs (common practice, gears on 8 mm holes). */
const seenRunning = { lo: -0.22, hi: 0.84 };

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const over0 = (name: string) => {
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const teeth = read
    .text("teeth")
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => {
      const count = parseNumber(part, true);
      read.want("teeth", count.ok && count.value >= 3, "teeth-too-few");
      return count.ok ? count.value : Number.NaN;
    });
  read.want("teeth", teeth.length > 0, "missing");
  read.want("teeth", teeth.length <= 200, "too-large");
  const moduleMm = over0("module");
  const band = {
    loMm: read.has("lo") ? read.length("lo") : seenRunning.lo * moduleMm,
    hiMm: read.has("hi") ? read.length("hi") : seenRunning.hi * moduleMm,
  };
  read.want("lo", !(band.loMm > band.hiMm), "window-upside-down");
  const pitchMm = over0("pitch");
  const tried = readTried(read);
  const after = tried ? bandAfter(band, openingOf(tried, { pitchMm, moduleMm }), tried.felt) : band;
  read.want("tried.felt", !(after.loMm > after.hiMm), "window-upside-down");
  const maxHoles = read.has("holes") ? read.number("holes", true) : 8;
  read.want("holes", maxHoles >= 1 && maxHoles <= 100, "too-large");
  return read.done({ pitchMm, moduleMm, teeth, maxHoles, band: after });
}

const felts = ["none", "binds", "right", "loose"] as const;

/** The pair that was tried, with how it felt; null where none was. */
function readTried(read: TextReader): TriedPair | null {
  const felt = choice(read, "tried.felt", felts);
  if (felt === "none") return null;
  const both = (name: string, least: number): [number, number] => {
    const parts = read
      .text(name)
      .split(/[\s,;:]+/)
      .filter(Boolean);
    const numbers = parts.map((part) => parseNumber(part, true));
    const ok = numbers.length === 2 && numbers.every((one) => one.ok && one.value >= least);
    read.want(name, ok, "two-numbers");
    return numbers.map((one) => (one.ok ? one.value : Number.NaN)) as [number, number];
  };
  return { teeth: both("tried.teeth", 3), holes: both("tried.holes", 0), felt };
}

/** How thin the teeth are, where somebody said or a pair that was tried was read; it judges what stands there, and changes no search. */
const thinOf = (texts: Texts): number | null => {
  const read = new TextReader(texts);
  const thin = read.lengthOrNull("thin");
  return thin !== null && thin >= 0 ? thin : learntThinning(texts);
};

/** The thinning that the backlash of the tried pair stands for; null where none was read. */
function learntThinning(texts: Texts): number | null {
  const read = new TextReader(texts);
  const tried = readTried(read);
  const backlash = read.lengthOrNull("tried.backlash");
  const moduleMm = read.length("module");
  const pitchMm = read.length("pitch");
  if (!tried || backlash === null || Object.keys(read.problems).length > 0) return null;
  const centreDistanceMm = pitchMm * Math.hypot(...tried.holes);
  const at = (thinMm: number) => backlashOf({ teeth: [...tried.teeth], centreDistanceMm }, moduleMm, thinMm);
  const [none, some] = [at(0), at(0.1)];
  return none === null || some === null ? null : (0.1 * (backlash - none)) / (some - none);
}
const ratioOf = (texts: Texts): number | null => {
  const ratio = parseNumber(texts.ratio ?? "");
  return ratio.ok && ratio.value > 0 ? ratio.value : null;
};

export const tool = benchTool("hole-grid", async () => (await import("~/calc/tools/hole-grid")).holeGridTool, {
  example: { pitch: "8", module: "1", teeth: "12 16 20 24 32 40", show: "1" },
  Fields: () => (
    <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
      <TextField name="pitch" label="Hole to hole" hint="mm" />
      <TextField name="module" label="Module" hint="mm" />
      <TextField name="holes" label="At most so many holes apart" hint="usually 8" inputMode="numeric" />
      <TextField name="teeth" label="Gears at hand" hint="12 16 20 …" className="col-span-full" />
      <TextField name="ratio" label="Wanted ratio" hint="nearest first; empty: any" />
      <TextField name="thin" label="Teeth thinned by" hint="mm each; says the backlash" />
      <TextField name="lo" label="Opening, least" hint="mm; empty: −0.22 modules, nearer binds" />
      <TextField name="hi" label="Opening, most" hint="mm; empty: 0.84 modules, seen running" />
      <div className="col-span-full">
        <ChoiceField
          name="tried.felt"
          legend="A pair that was tried on its holes"
          usual="none"
          options={[
            { value: "none", label: "none yet" },
            { value: "binds", label: "binds" },
            { value: "right", label: "runs right" },
            { value: "loose", label: "too loose" },
          ]}
        />
      </div>
      <TextField name="tried.teeth" label="Its teeth" hint="16 24" />
      <TextField name="tried.holes" label="On holes" hint="along and across: 2 1" />
      <TextField name="tried.backlash" label="Its backlash" hint="mm, where it was read" />
    </div>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (_, output, texts) => {
    const { pairs, viaIdler } = output;
    const { pair, bridge } = layoutShown(output, texts);
    const shown = bridge
      ? `; drawn ${bridge.teeth.join(" : ")} through ${bridge.idler}`
      : pair
        ? `; drawn ${pair.teeth.join(" : ")}, ${pair.holes[0]} along and ${pair.holes[1]} across`
        : "";
    return `${pairs.length} ${pairs.length === 1 ? "place meshes" : "places mesh"}${viaIdler.length > 0 ? `, ${viaIdler.length} more through an idler` : ""}${shown}`;
  },
  View,
});

/** Backlash of a pair as it stands, by the thinning of its teeth; null where nobody said how thin they are, or it cannot be. */
function backlashOf(
  { teeth, centreDistanceMm }: Pick<GridPair, "teeth" | "centreDistanceMm">,
  moduleMm: number,
  thinMm: number | null,
): number | null {
  if (thinMm === null) return null;
  const pair = gearPair({ ...spurPair(teeth, moduleMm, centreDistanceMm), thinningMm: [thinMm, thinMm] });
  return pair.ok ? pair.value.backlash.circumferentialMm : null;
}

/** Pairs and bridges, nearest to the wanted ratio first, and which of them is drawn. */
function layoutShown(output: HoleGrid, texts: Texts) {
  const wanted = ratioOf(texts);
  const off = ({ teeth: [a, b] }: Pick<GridPair, "teeth">) =>
    wanted === null ? 0 : Math.abs(Math.log(Math.max(b / a, a / b) / Math.max(wanted, 1 / wanted)));
  const pairs = wanted === null ? output.pairs : [...output.pairs].sort((a, b) => off(a) - off(b));
  const bridges = wanted === null ? output.viaIdler : [...output.viaIdler].sort((a, b) => off(a) - off(b));
  const bridge = bridges[Number(texts.via) - 1];
  const shown = Math.min(pairs.length, Math.max(1, Number(texts.show) || 1)) - 1;
  return { pairs, bridges, bridge, shown, pair: pairs[shown] };
}

function View({ output, texts }: { output: HoleGrid; texts: Texts }) {
  const reader = useWords();
  const write = useWriteTexts();
  const input = inputOf(texts).value;
  if (!input) return null;
  const { pitchMm, moduleMm } = input;
  const thinMm = thinOf(texts);
  const learnt = new TextReader(texts).has("thin") ? null : learntThinning(texts);
  const { pairs, bridges, bridge, shown, pair } = layoutShown(output, texts);
  const between = bridge && idlerLayout(output, bridge.teeth, bridge.idler, { pitchMm, moduleMm });
  const gears =
    between ??
    (pair && [
      { teeth: pair.teeth[0], holes: [0, 0] as [number, number] },
      { teeth: pair.teeth[1], holes: pair.holes },
    ]);
  return (
    <div className="grid gap-4">
      {gears && <GridPicture gears={gears} pitchMm={pitchMm} moduleMm={moduleMm} />}
      {learnt !== null && (
        <p className="border-l-4 border-ink pl-3">
          Learnt from {texts["tried.teeth"]} on {texts["tried.holes"]}: the teeth are{" "}
          {learnt >= 0 ? "thinned" : "fatter"} by {formatNumber(reader, Math.abs(learnt), 3)} mm each, and every other
          pair is reckoned with that.
        </p>
      )}
      {bridge && !between && <p>Through that idler the outer two would run into each other on every hole.</p>}
      <Matrix
        output={output}
        onPair={(teeth) => write({ show: String(pairs.findIndex((one) => sameTeeth(one.teeth, teeth)) + 1), via: "" })}
        onBridge={(teeth) => write({ via: String(bridges.findIndex((one) => sameTeeth(one.teeth, teeth)) + 1) })}
      />
      <table className="w-full text-left" aria-label="Pairs that mesh">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1">Teeth</th>
            <th>Holes</th>
            <th>Centres, mm</th>
            <th>Opening, mm</th>
            {thinMm !== null && <th>Backlash, mm</th>}
            <th>
              <span className="sr-only">Show</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {pairs.slice(0, 60).map((one, i) => {
            const { teeth, holes, centreDistanceMm, clearanceMm } = one;
            const backlash = backlashOf(one, moduleMm, thinMm);
            return (
              <tr
                key={`${teeth} ${holes}`}
                className={`border-b border-rule ${i === shown && !bridge ? "bg-panel" : ""}`}
              >
                <td className="figure py-1">{teeth.join(" : ")}</td>
                <td className="figure">
                  {holes[0]} along, {holes[1]} across
                </td>
                <td className="figure">{formatNumber(reader, centreDistanceMm, 3)}</td>
                <td className="figure">{formatNumber(reader, clearanceMm, 3)}</td>
                {thinMm !== null && (
                  <td className="figure">
                    {backlash === null ? "" : formatNumber(reader, backlash, 3)}
                    {backlash !== null && backlash < 0 && <b className="text-outside"> binds</b>}
                  </td>
                )}
                <td>
                  <button
                    type="button"
                    className="min-h-11 underline cursor-pointer"
                    aria-label={`Draw ${teeth.join(" and ")} at ${holes.join(", ")}`}
                    onClick={() => write({ show: String(i + 1), via: "" })}
                  >
                    draw
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {output.unreachable.length > 0 && (
        <p className="text-mid">
          Nothing within that opening: {output.unreachable.map((teeth) => teeth.join(" : ")).join(", ")}.
        </p>
      )}
    </div>
  );
}

const sameTeeth = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  a[0] === b[0] && a[1] === b[1];

/** Every two gears at a glance: along a row, on a diagonal, through an idler, or not at all; a touch draws it. */
function Matrix({
  output,
  onPair,
  onBridge,
}: {
  output: HoleGrid;
  onPair: (teeth: [number, number]) => void;
  onBridge: (teeth: [number, number]) => void;
}) {
  const counts = [
    ...new Set(
      [
        ...output.pairs.map(({ teeth }) => teeth),
        ...output.viaIdler.map(({ teeth }) => teeth),
        ...output.unreachable,
      ].flat(),
    ),
  ].sort((a, b) => a - b);
  if (counts.length > 14) return <p className="text-mid">With more than fourteen gears the list alone is shown.</p>;
  const cell = (a: number, b: number) => {
    const teeth: [number, number] = [Math.min(a, b), Math.max(a, b)];
    const direct = output.pairs.filter((pair) => sameTeeth(pair.teeth, teeth));
    if (direct.length > 0)
      return { word: direct.some(({ holes }) => holes[1] === 0) ? "row" : "diagonal", on: () => onPair(teeth) };
    return output.viaIdler.some((one) => sameTeeth(one.teeth, teeth))
      ? { word: "idler", on: () => onBridge(teeth) }
      : null;
  };
  return (
    <div className="overflow-x-auto">
      <table className="text-center" aria-label="How every two gears mesh">
        <thead>
          <tr>
            <td />
            {counts.map((count) => (
              <th key={count} scope="col" className="figure px-2 py-1">
                {count}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {counts.map((row) => (
            <tr key={row}>
              <th scope="row" className="figure px-2">
                {row}
              </th>
              {counts.map((column) => {
                const found = cell(row, column);
                return (
                  <td key={column} className="border border-rule p-0">
                    {found ? (
                      <button
                        type="button"
                        className="min-h-11 w-full px-2 cursor-pointer underline"
                        aria-label={`Draw ${row} and ${column}, ${found.word}`}
                        onClick={found.on}
                      >
                        {found.word}
                      </button>
                    ) : (
                      <span className="text-mid">no</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
