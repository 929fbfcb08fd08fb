import { useWords } from "~/app/features/words/use-words";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { RowsField } from "../../form/rows-field";
import { severalLengths } from "../../form/several-lengths";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { lengthWords } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { LimitsFields, readWindow } from "../limits-fields";

function readStops(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("ends", ["name", "read", "per", "spacer"]);
  read.want("ends", rows.length > 0, "missing");
  const ends = rows.map((row) => {
    const readings = severalLengths(read, `${row}.read`).map(({ mm }) => mm);
    read.want(`${row}.read`, readings.length > 0, "missing");
    const perMm = read.number(`${row}.per`);
    read.want(`${row}.per`, perMm !== 0, "is-zero");
    const spacerMm = read.lengthOrNull(`${row}.spacer`) ?? 0;
    read.want(`${row}.spacer`, !(spacerMm < 0), "too-small");
    return { id: read.words(`${row}.name`), readingsMm: readings, perMm, spacerMm };
  });
  read.want("ends", new Set(ends.map(({ id }) => id)).size === ends.length, "part-twice");
  const { lo, hi } = readWindow(read);
  read.want("lo", !(lo < 0), "too-small");
  const aim = read.has("aim") ? { aim: read.length("aim") } : {};
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  const sizes = severalLengths(read, "sizes").map(({ mm }) => mm);
  read.want(
    "sizes",
    sizes.every((mm) => mm > 0),
    "too-small",
  );
  return read.done({
    ends,
    limits: { lo, ...aim, hi },
    expandedUncertaintyMm,
    ...(sizes.length > 0 ? { spacersMm: sizes } : {}),
  });
}

export const tool = benchTool("stop-spacer", async () => (await import("~/calc/tools/stop-spacer")).stopSpacerTool, {
  example: {
    ...rowTexts("ends", [
      { name: "low gear", read: "0.02 0.03 0.05", per: "0.73", spacer: "1.2" },
      { name: "high gear", read: "0.11 0.13", per: "-0.73", spacer: "2" },
    ]),
    lo: "0.05",
    hi: "0.15",
    u: "0.01",
    sizes: "1.1 1.2 1.25 1.3 1.4 2",
  },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <div className="col-span-full">
        <RowsField
          name="ends"
          legend="Each end with its stop"
          hint="Backlash read with the actuator held at working force. “A mm of spacer”: how the backlash changes; below 0 where a thicker one closes the mesh."
          one="End"
          columns={[
            { name: "name", label: "Called", wide: true },
            { name: "read", label: "Read, mm", wide: true },
            { name: "per", label: "A mm of spacer" },
            { name: "spacer", label: "Spacer now" },
          ]}
        />
      </div>
      <LimitsFields of="mm of backlash" />
      <TextField name="aim" label="Aim" hint="usually the middle" />
      <TextField name="u" label="Expanded uncertainty" hint="± mm, k = 2" />
      <TextField name="sizes" label="Spacers on hand" hint="1.2 1.25 1.3" className="col-span-full" />
    </div>
  ),
  read: (texts) => inputFrom(readStops(texts)),
  say: (reader, { ends, feasible }) => {
    const said = ends.map(({ id, changeMm, spacerMm, choose, feasible: reached }) => {
      if (changeMm === 0) return `${id} stays`;
      if (choose && reached) return `${id}: take the ${lengthWords(reader, choose.thicknessMm, 2)} spacer`;
      if (spacerMm < 0) return `${id}: no spacer is thin enough`;
      if (choose) return `${id}: none on hand holds it; the best is ${lengthWords(reader, choose.thicknessMm, 2)}`;
      const way = changeMm > 0 ? "thicker" : "thinner";
      return `${id}: ${lengthWords(reader, Math.abs(changeMm), 3)} ${way}, ${lengthWords(reader, spacerMm, 3)} in all`;
    });
    return `${said.join("; ")}${feasible ? "" : ". Not every end can be held inside"}`;
  },
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = readStops(texts);
    return (
      <div className="grid gap-5">
        {output.ends.map((end, i) => {
          const asked = value?.ends[i];
          if (!asked || !value) return null;
          const now = { min: Math.min(...asked.readingsMm), max: Math.max(...asked.readingsMm) };
          const shift = end.changeMm * asked.perMm;
          const then = end.choose
            ? { min: end.choose.minMm, max: end.choose.maxMm }
            : { min: now.min + shift, max: now.max + shift };
          return (
            <section key={end.id} aria-label={end.id} className="grid gap-2 max-w-lg">
              <h2 className="text-xl font-bold">
                <StateMark state={verdictState[end.verdict]} /> {end.id}
              </h2>
              <div className="bg-panel p-3">
                <BandGauge
                  lo={value.limits.lo}
                  hi={value.limits.hi}
                  aim={value.limits.aim ?? null}
                  now={now}
                  then={end.changeMm === 0 ? null : then}
                  state={verdictState[end.verdict]}
                  unit="mm"
                  label={`${end.id}: what was read, and dashed what the spacer gives`}
                />
              </div>
              {end.changeMm !== 0 && (
                <p>
                  {lengthWords(reader, end.spacerMm, 3)} would bring it where it should be; it reads{" "}
                  {lengthWords(reader, then.min, 3)} to {lengthWords(reader, then.max, 3)} then.
                </p>
              )}
            </section>
          );
        })}
        <p className="text-mid">
          A mesh that jams is worse than a loose one: where no spacer holds all readings, the tight side is kept inside.
          Prove it: raise the force in steps and watch the current.
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
