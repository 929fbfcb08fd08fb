import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { partRunoutTool } from "~/calc/tools/part-runout";
import { StateMark } from "~/ui/state-mark";
import { over0Or } from "../../form/field-readers";
import { severalLengths } from "../../form/several-lengths";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { RunoutPicture } from "../../shafts/runout-picture";
import { stateOfVerdict } from "../../words/state";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";

type Output = z.output<typeof partRunoutTool.output>;

function readRunout(texts: Texts) {
  const read = new TextReader(texts);
  const round = (name: string): number[] => {
    const readings = severalLengths(read, name).map(({ mm }) => mm);
    read.want(name, readings.length >= 3, "too-few");
    return readings;
  };
  const radialMm = round("radial");
  const faceMm = read.has("face") ? round("face") : undefined;
  const faceDiameterMm = over0Or(read, "diameter", undefined);
  read.want("diameter", faceMm === undefined || faceDiameterMm !== undefined, "missing");
  read.want("face", faceMm !== undefined || faceDiameterMm === undefined, "missing");
  const shaftMm = read.has("shaft") ? round("shaft") : undefined;
  const limitMm = over0Or(read, "limit", undefined);
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  return read.done({
    radialMm,
    ...(faceMm ? { faceMm, faceDiameterMm } : {}),
    ...(shaftMm ? { shaftMm } : {}),
    ...(limitMm === undefined ? {} : { limitMm }),
    expandedUncertaintyMm,
  });
}

/** More than this already shows in the running (common practice). */
const showsMm = 0.13;

export const tool = benchTool("part-runout", async () => (await import("~/calc/tools/part-runout")).partRunoutTool, {
  example: {
    radial: "0 0.06 0.14 0.19 0.20 0.15 0.07 0.01",
    shaft: "0 0.01 0.02 0.01 0 -0.01 -0.02 -0.01",
    limit: "0.1",
    u: "0.01",
  },
  Fields: () => (
    <>
      <TextField
        name="radial"
        label="Readings on the rim, mm"
        hint="evenly spaced from the mark on, in the sense of turning: four, eight, twelve"
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="face" label="On the face, mm" hint="likewise; empty: not read" />
        <TextField name="diameter" label="at a diameter of" hint="mm" />
      </div>
      <TextField
        name="shaft"
        label="On the shaft beside it, mm"
        hint="likewise; empty: not read. Then the part's own is told from the shaft's"
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="limit" label="May run out by" hint="mm in all; empty: not judged" />
        <TextField name="u" label="Uncertainty of a reading" hint="± mm, k = 2; empty: 0" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readRunout(texts)),
  say: (reader, { radial, turn }) => {
    const mm = (value: number) => `${formatNumber(reader, value, 2)} mm`;
    const out = `Runs out ${mm(radial.totalMm)} in all`;
    return turn && turn.leavesTotalMm < radial.totalMm - 0.005
      ? `${out}; turned ${formatNumber(reader, Math.abs(turn.deg), 0)}° ${turn.deg >= 0 ? "on" : "back"}, ${mm(turn.leavesTotalMm)}`
      : out;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readRunout(texts).value;
  if (!input) return null;
  const f = (value: number, digits = 2) => formatNumber(reader, value, digits);
  const { radial, face, part, turn, verdict } = output;
  const helps = turn !== undefined && turn.leavesTotalMm < radial.totalMm - 0.005;
  return (
    <div className="grid gap-4">
      {verdict && (
        <p className="text-xl">
          <StateMark state={stateOfVerdict(verdict)} />
        </p>
      )}
      <RunoutPicture
        readings={input.radialMm}
        shaft={input.shaftMm ?? null}
        highAtDeg={radial.highAtDeg}
        turnDeg={helps ? turn.deg : null}
        figure={f}
      />
      {helps && (
        <p className="text-lg">
          Turn the part on the shaft by {f(Math.abs(turn.deg), 0)}°{" "}
          {turn.deg >= 0 ? "in the sense of turning" : "against it"}: its own and the shaft's then stand against each
          other, and {f(turn.leavesTotalMm)} mm are left.
        </p>
      )}
      {turn && !helps && <p className="text-lg">It sits as well as it can on this shaft.</p>}
      <FigureList
        of={[
          ["Off centre", `${f(radial.eccentricityMm, 3)} mm, high at ${f(radial.highAtDeg, 0)}° from the mark`],
          ...(part ? ([["of that the part's own", `${f(part.eccentricityMm, 3)} mm`]] as const) : []),
          ...(face
            ? ([
                [
                  "Face",
                  `${f(face.totalMm)} mm in all, ${f(face.tiltMmPerM)} mm a metre, high at ${f(face.highAtDeg, 0)}°`,
                ],
              ] as const)
            : []),
        ]}
      />
      {radial.totalMm >= showsMm && (
        <p className="text-mid">From {f(showsMm)} mm on it already shows in the running (common practice).</p>
      )}
      <p className="text-mid">
        Boring a hub off centre builds the error in: read before, and after. First harmonic of the readings; total
        against its limit as circular run-out (ISO 1101), judged by ISO 14253-1.
      </p>
    </div>
  );
}
