import { useEffect, useMemo, useState } from "react";
import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { pluckTool } from "~/calc/tools/pluck";
import { surePitch } from "~/core/sound";
import type { HeardSound } from "~/workers/sound";
import { notNegativeOr, positiveNumber, positiveOr } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { Ear } from "../../sound/ear";
import { clearWords } from "../../sound/pluck-words";
import { SoundPicture } from "../../sound/sound-picture";
import { listenTo } from "../../sound/use-ear";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof pluckTool.output>;

function readPluck(texts: Texts) {
  const read = new TextReader(texts);
  const frequencyHz = positiveNumber(read, "hz");
  read.want("hz", !(frequencyHz < 5), "too-small");
  read.want("hz", !(frequencyHz > 1500), "too-large");
  const quality = positiveOr(read, "quality", 40);
  read.want("quality", !(quality < 5), "too-small");
  read.want("quality", !(quality > 500), "too-large");
  const signalToNoiseDb = read.numberOr("noise", 30);
  read.want("noise", !(signalToNoiseDb < -20), "too-small");
  read.want("noise", !(signalToNoiseDb > 80), "too-large");
  const hum = notNegativeOr(read, "hum", 0);
  read.want("hum", !(hum > 10), "too-large");
  const second = read.has("second") ? { secondHitS: notNegativeOr(read, "second", 0) } : {};
  read.want("second", !((second.secondHitS ?? 0) > 1.5), "too-large");
  const seed = read.numberOr("seed", 1);
  read.want("seed", Number.isInteger(seed) && seed >= 0 && seed <= 1e9, "too-small");
  const expected = positiveOr(read, "expected", undefined);
  return read.done({
    simulated: { frequencyHz, quality, signalToNoiseDb, hum, ...second, seed },
    ...(expected === undefined ? {} : { expectedHz: expected }),
  });
}

export const tool = benchTool("pluck", async () => (await import("~/calc/tools/pluck")).pluckTool, {
  beside: true,
  example: { hz: "92", quality: "40", noise: "20", hum: "0.3", seed: "1" },
  Fields: () => (
    <>
      <p className="text-mid">
        A belt by its wave equation, in a room with noise and hum: to try what can be heard, and to learn what spoils
        it.
      </p>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="hz" label="It sounds at" hint="Hz" />
        <TextField name="quality" label="How long it rings" hint="quality, usually 20 to 120" />
        <TextField name="noise" label="Above the noise by" hint="dB" />
        <TextField name="hum" label="Mains hum" hint="1: as loud as the pluck" />
        <TextField name="second" label="Struck again after" hint="s; empty: once" />
        <TextField name="expected" label="Expected" hint="Hz; empty: not known" />
        <TextField name="seed" label="Which of them" hint="a whole number" inputMode="numeric" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readPluck(texts)),
  say: (reader, output) => {
    const hz = surePitch(output);
    return hz === null
      ? "No pluck that one can rely on: pluck again"
      : `${formatNumber(reader, hz, 1)} Hz, ${clearWords(output)}`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const hertz = (hz: number) => `${formatNumber(reader, hz, 1)} Hz`;
  const asked = JSON.stringify(readPluck(texts).value?.simulated ?? null);
  const [heard, setHeard] = useState<HeardSound | null>(null);
  const simulated = useMemo(() => JSON.parse(asked), [asked]);
  useEffect(() => {
    if (!simulated) return;
    let here = true;
    listenTo({ of: { simulated }, bandHz: [10, 1200] }).then(
      (answer) => here && answer.ok && setHeard(answer.value),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [simulated]);
  return (
    <div className="grid gap-4">
      {heard && (
        <SoundPicture
          drawn={heard.drawn}
          ringS={heard.pluck.ringS}
          pickedHz={surePitch(output)}
          expected={null}
          hertz={hertz}
        />
      )}
      <FigureList
        of={output.peaks
          .slice(0, 5)
          .map(({ hz, level }) => [hertz(hz), `${formatNumber(reader, 10 * Math.log10(level), 0)} dB`])}
      />
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return (
    <div className="grid gap-8">
      <section aria-label="Your own belt" className="grid gap-3 max-w-3xl">
        <p className="text-mid">
          Pluck the span once with a finger near the microphone, and let it ring. Stopped and isolated, hands clear of
          the nip.
        </p>
        <Ear expected={null} />
      </section>
      <section aria-labelledby="simulated" className="grid gap-4 border-t-2 border-ink pt-4">
        <h2 id="simulated" className="text-xl font-bold">
          A simulated pluck
        </h2>
        <BenchPage bench={tool} />
      </section>
    </div>
  );
}
