import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { gearPair } from "~/core/gears";
import { growingMaterials, growthOf } from "~/core/reference";
import { SelectField, TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { materialWords } from "../../words/material";
import { BenchPage } from "../bench-page";
import { type BenchInput, benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { PairFields, pairOf } from "../pair-fields";

const members = [
  { name: "housing", label: "The housing is of" },
  { name: "pinion", label: "The pinion is of" },
  { name: "gear", label: "The gear is of" },
] as const;

/** A material of the table, or its growth as typed, in millionths a kelvin. */
function growthIn(read: TextReader, name: string): number {
  const typed = read.has(`${name}Own`) ? read.number(`${name}Own`) * 1e-6 : null;
  const known = growingMaterials.find((material) => material === read.text(`${name}Of`));
  return typed ?? growthOf[known ?? "steel"].perK;
}

function readWarm(texts: Texts): BenchInput<{
  fromC: number;
  housingToC: number;
  gearToC: [number, number];
  housingPerK: number;
  gearPerK: [number, number];
}> {
  const read = new TextReader(texts);
  const degrees = (name: string) => read.measured(name, { dimension: "temperature", bare: "C", factor: 1 });
  const value = {
    fromC: degrees("from"),
    housingToC: degrees("housingTo"),
    gearToC: [degrees("pinionTo"), degrees("gearTo")] as [number, number],
    housingPerK: growthIn(read, "housing"),
    gearPerK: [growthIn(read, "pinion"), growthIn(read, "gear")] as [number, number],
  };
  const done = read.done(value);
  return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
}

export const tool = benchTool("thermal-mesh", async () => (await import("~/calc/tools/thermal-mesh")).thermalMeshTool, {
  example: {
    z1: "18",
    z2: "54",
    pitch: "1.5",
    centres: "54.2",
    housingOf: "aluminium",
    pinionOf: "steel",
    gearOf: "acetal",
    from: "20",
    housingTo: "45",
    pinionTo: "55",
    gearTo: "60",
  },
  Fields: () => (
    <>
      <PairFields />
      <TextField name="from" label="Set at" hint="°C" />
      {members.map(({ name, label }) => (
        <div key={name} className="grid grid-cols-[2fr_1fr_1fr] gap-3 items-end">
          <SelectField name={`${name}Of`} label={label} usual="steel">
            {growingMaterials.map((material) => (
              <option key={material} value={material}>
                {materialWords[material]}
              </option>
            ))}
          </SelectField>
          <TextField name={`${name}Own`} label="or 10⁻⁶/K" hint="the maker's" />
          <TextField name={`${name}To`} label="Runs at" hint="°C" />
        </div>
      ))}
    </>
  ),
  read: (texts) => {
    const [pair, warm] = [pairOf(texts), readWarm(texts)];
    if (!pair.value || !warm.input) return { input: null, problems: { ...pair.problems, ...warm.problems } };
    return { input: { ...pair.value, ...warm.input }, problems: null };
  },
  say: (reader, { backlashMm, backlashChangeMm }) => {
    const f = (value: number) => formatNumber(reader, Math.abs(value), 3);
    if (backlashMm <= 0) return `Warm the teeth overlap by ${f(backlashMm)} mm: it jams`;
    return `${f(backlashMm)} mm of backlash warm, ${f(backlashChangeMm)} ${backlashChangeMm < 0 ? "less" : "more"} than cold`;
  },
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = pairOf(texts);
    const cold = value && gearPair(value);
    const f = (mm: number) => `${formatNumber(reader, mm, 3)} mm`;
    return (
      <div className="grid gap-3">
        <FigureList
          of={[
            ...(cold?.ok ? [["Cold", f(cold.value.backlash.circumferentialMm)] as const] : []),
            ["Warm", f(output.backlashMm)],
            ["The centres part by", f(output.centreDistanceChangeMm)],
          ]}
        />
        <p className="text-mid">
          Backlash at the working pitch circle. The housing carries the centres apart, each gear grows about its own
          axis: linear in both, about 1 % off for plastics over 40 K. Growth of the materials from memory; the maker’s
          figure overrules it.
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
