import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { SagPicture } from "../../kinds/chain/sag-picture";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { chainOf } from "./chain-drive";

const f = (reader: Reader, value: number, digits = 2) => formatNumber(reader, value, digits);

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const shared = chainOf(read);
  const centreDistanceMm = read.length("centres");
  read.want("centres", centreDistanceMm > 0, "too-small");
  const optional = (name: string) => {
    if (!read.has(name)) return undefined;
    const value = read.length(name);
    read.want(name, value >= 0, "too-small");
    return value;
  };
  const pitches = read.has("pitches") ? read.number("pitches", true) : undefined;
  read.want("pitches", pitches === undefined || pitches >= 1, "too-small");
  const mm = optional("measured");
  if ((pitches === undefined) !== (mm === undefined))
    read.want(mm === undefined ? "measured" : "pitches", false, "missing");
  const limit = read.has("limit") ? read.number("limit") : undefined;
  read.want("limit", limit === undefined || limit > 0, "too-small");
  return read.done({
    ...shared,
    centreDistanceMm,
    ...(pitches !== undefined && mm !== undefined ? { measured: { pitches, mm } } : {}),
    sagMm: optional("sag"),
    targetSagMm: optional("target"),
    wearLimitPercent: limit,
  });
}

export const tool = benchTool(
  "chain-condition",
  async () => (await import("~/calc/tools/chain-condition")).chainConditionTool,
  {
    example: {
      pitch: "12.7",
      z1: "17",
      z2: "23",
      centres: "583.6",
      pitches: "20",
      measured: "255.9",
      sag: "26",
      target: "17",
    },
    Fields: () => (
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="pitch" label="Chain pitch" hint="mm, or 1/2 in" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        <TextField name="centres" label="Centre distance" hint="mm" />
        <TextField name="pitches" label="Pitches counted" inputMode="numeric" />
        <TextField name="measured" label="Length over them" hint="mm" />
        <TextField name="sag" label="Sag" hint="mm, from the straight line" />
        <TextField name="target" label="Wanted sag" hint="mm" />
        <TextField name="limit" label="Wear limit" hint="%; empty: 3 or 200/z2" />
      </div>
    ),
    read: (texts) => {
      const done = inputOf(texts);
      return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
    },
    say: (reader, { wearVerdict, elongationPercent, moveCentreMm }) =>
      [
        wearVerdict === undefined
          ? ""
          : `${f(reader, elongationPercent ?? 0)} % longer: ${wearVerdict === "beyond" ? "worn out" : "within its limit"}`,
        moveCentreMm === undefined
          ? ""
          : `move the centres ${f(reader, Math.abs(moveCentreMm), 2)} mm ${moveCentreMm > 0 ? "apart" : "together"}`,
      ]
        .filter(Boolean)
        .join("; ") || "Give the length over counted pitches, or a sag",
    View: ({ output, texts }) => {
      const reader = useWords();
      const input = inputOf(texts).value;
      const sag = input?.sagMm;
      const target = input?.targetSagMm;
      return (
        <div className="grid gap-4">
          {input && sag !== undefined && (
            <div className="bg-panel p-3">
              <SagPicture
                chain={{
                  kind: "chain",
                  pitchMm: input.pitchMm,
                  teeth: input.teeth,
                  links: 100,
                  centreDistanceMm: input.centreDistanceMm,
                  idlers: [],
                  moved: "centres",
                  inclinationDeg: 0,
                }}
                limits={{ lo: 0.02 * output.spanMm, hi: 0.04 * output.spanMm }}
                now={{ min: sag, max: sag }}
                then={target === undefined ? null : { min: target, max: target }}
              />
              <p className="text-mid">Band: 2 to 4 % of the span (common practice).</p>
            </div>
          )}
          <FigureList
            of={[
              ["Span", `${f(reader, output.spanMm, 1)} mm`],
              ["Wear limit", `${f(reader, output.wearLimitPercent)} %`],
              ...(output.sagPercent === undefined
                ? []
                : [["Sag", `${f(reader, output.sagPercent)} % of the span`] as const]),
              ...(output.sagPerCentreMm === undefined
                ? []
                : [["A tenth of centres, now", `${f(reader, output.sagPerCentreMm / 10)} mm of sag`] as const]),
            ]}
          />
        </div>
      );
    },
  },
);

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
