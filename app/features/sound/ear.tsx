import { Mic, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { alikeWithin } from "~/core/sound";
import { Button } from "~/ui/button";
import { FileField } from "~/ui/file-field";
import { Slider } from "~/ui/slider";
import type { SoundQuestion } from "~/workers/sound";
import { decodedByBrowser, mostMegabytes, openRecording } from "./open-recording";
import { clearWords, microphoneWords, remarksOn } from "./pluck-words";
import { record } from "./record";
import { SoundPicture } from "./sound-picture";
import { type HeardPluck, useEar } from "./use-ear";

const notARecording = "This is not a recording that can be opened.";

/** How long one pluck is listened to. */
const listenS = 3;
const band: [number, number] = [10, 1200];
/** What a careful hand plucks. */
const wanted = 3;
const blank = {
  seconds: 0,
  wave: [],
  spectrum: [
    { hz: band[0], db: -60 },
    { hz: band[1], db: -60 },
  ],
};

/** A span plucked and listened to, as often as one likes; each pluck that was not struck out is a reading. */
export function Ear({
  expected,
  onTake,
}: {
  /** Of the limits, Hz. */
  expected: { lo: number; hi: number } | null;
  /** Told the pitch of every pluck, Hz. */
  onTake?: (frequenciesHz: number[]) => void;
}) {
  const reader = useWords();
  const hertz = (hz: number) => `${formatNumber(reader, hz, 1)} Hz`;
  const ear = useEar(expected ? Math.sqrt(expected.lo * expected.hi) : undefined, band);
  const [level, setLevel] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);
  // Nobody is listened to once this is shut.
  const gone = useRef(false);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
      stop.current?.abort();
    };
  }, []);
  /** What it was refused for, where it was. */
  const hear = async (of: SoundQuestion["of"], from: string): Promise<Refusal | null> => {
    setTrouble(null);
    try {
      const answer = await ear.add(of, from);
      if (answer.ok) return null;
      setTrouble(refusalWords(reader, answer.refusal));
      return answer.refusal;
    } catch {
      setTrouble("This could not be listened to. Nothing else is lost; try it again.");
      return null;
    }
  };
  const listen = async () => {
    setTrouble(null);
    setLevel(0);
    stop.current = new AbortController();
    const recorded = await record(listenS, setLevel, stop.current.signal);
    if (gone.current) return;
    setLevel(null);
    if (typeof recorded === "string") setTrouble(microphoneWords[recorded]);
    else await hear({ channels: [recorded.samples], sampleRateHz: recorded.sampleRateHz }, "microphone");
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(null);
    const opened = await openRecording(file);
    if (opened === "too-large")
      return setTrouble(
        `The file has ${Math.round(file.size / 2 ** 20)} MB; ${mostMegabytes} MB fit. A few seconds are enough.`,
      );
    if (opened.isWav && (await hear({ wav: opened.bytes }, file.name))?.code !== "sound-compressed") return;
    const decoded = await decodedByBrowser(opened.bytes);
    if (typeof decoded === "string") setTrouble(notARecording);
    else await hear(decoded, file.name);
  };
  const busy = level !== null || ear.listening;
  const last = ear.plucks.at(-1);
  const { together } = ear;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-4 items-end">
        {level === null ? (
          <Button kind={ear.taken >= wanted && onTake ? "line" : "now"} large disabled={busy} onClick={listen}>
            <Mic aria-hidden="true" size={22} /> {ear.plucks.length === 0 ? "Listen" : "Listen again"}
          </Button>
        ) : (
          <Button kind="now" large onClick={() => stop.current?.abort()}>
            Pluck now … stop
          </Button>
        )}
        <FileField
          label="Or a sound file"
          accept="audio/*,.wav"
          disabled={busy}
          onChange={(event) => open(event.target.files?.[0])}
        />
      </div>
      {level !== null && (
        <div className="h-3 bg-panel border border-rule" aria-hidden="true">
          <div className="h-full bg-ink" style={{ width: `${Math.min(100, 100 * Math.sqrt(level))}%` }} />
        </div>
      )}
      {trouble && (
        <p role="alert" className="text-outside font-semibold">
          {trouble}
        </p>
      )}
      <div role="status" className="grid gap-1">
        {ear.listening && <p>Listening …</p>}
        {last && !busy && remarksOn(last.heard).map((remark) => <p key={remark}>{remark}</p>)}
        {together && (
          <p className="text-2xl font-bold">
            {hertz(together.frequencyHz)}
            <span className="text-lg font-normal">
              {" "}
              {ear.taken === 1
                ? "by one pluck"
                : together.alike
                  ? `by ${ear.taken} plucks, within ${formatNumber(reader, 100 * together.spread, 1)} %`
                  : `by ${ear.taken} plucks that differ by ${formatNumber(reader, 100 * together.spread, 0)} %, more than ${100 * alikeWithin}: pluck again`}
            </span>
          </p>
        )}
        {together && ear.taken < wanted && <p className="text-mid">Three plucks that agree are worth more than one.</p>}
      </div>
      {onTake && together && (
        <div>
          <Button
            kind={ear.taken >= wanted && together.alike ? "now" : "solid"}
            large
            onClick={() => onTake(ear.plucks.flatMap(({ pickedHz }) => (pickedHz === null ? [] : [pickedHz])))}
          >
            {ear.taken === 1 ? `Take ${hertz(together.frequencyHz)}` : `Take all ${ear.taken} as readings`}
          </Button>
        </div>
      )}
      {(last || expected) && (
        <SoundPicture
          drawn={last?.heard.drawn ?? blank}
          ringS={last?.heard.pluck.ringS ?? null}
          pickedHz={last?.pickedHz ?? null}
          expected={expected}
          hertz={hertz}
        />
      )}
      {expected && (
        <p className="text-mid">
          Expected: {hertz(expected.lo)} to {hertz(expected.hi)}, by the limits of this stage.
        </p>
      )}
      {last && <Pick pluck={last} hertz={hertz} onPick={(hz) => ear.pick(last.id, hz)} />}
      {ear.plucks.length > 0 && (
        <ul className="grid gap-1" aria-label="Plucks so far">
          {ear.plucks.map((one, i) => (
            <li key={one.id} className="flex gap-3 items-center border-t border-rule">
              <span className="figure text-mid w-6">{i + 1}</span>
              <span className="figure font-semibold w-24">
                {one.pickedHz === null ? "not taken" : hertz(one.pickedHz)}
              </span>
              <span className="text-mid grow break-all">
                {one.from}
                {`, ${one.byHand ? "picked by hand" : clearWords(one.heard.pluck)}`}
              </span>
              <button
                type="button"
                className="min-h-11 w-11 grid place-items-center cursor-pointer"
                aria-label={`Strike out pluck ${i + 1}`}
                onClick={() => ear.drop(one.id)}
              >
                <X aria-hidden="true" size={20} />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The pitch in the last pluck, moved by hand: to a peak beside it, or anywhere. */
function Pick({
  pluck,
  hertz,
  onPick,
}: {
  pluck: HeardPluck;
  hertz: (hz: number) => string;
  onPick: (hz: number | null) => void;
}) {
  const { pluck: found } = pluck.heard;
  const at = pluck.pickedHz ?? found.frequencyHz ?? found.peaks[0]?.hz ?? null;
  if (at === null) return null;
  const near = found.peaks.slice(0, 5).map(({ hz }) => hz);
  return (
    <div className="grid gap-2">
      <Slider
        label="Pitch that is picked"
        says={hertz(at)}
        value={1000 * Math.log(at)}
        from={1000 * Math.log(band[0])}
        to={1000 * Math.log(band[1])}
        step={1}
        onChange={(value) => onPick(Math.exp(value / 1000))}
      />
      <fieldset className="flex flex-wrap gap-2 items-center">
        <legend className="sr-only">Peaks in this pluck</legend>
        {near.map((hz) => (
          <Button key={hz} kind="quiet" onClick={() => onPick(hz)}>
            {hertz(hz)}
          </Button>
        ))}
        {pluck.pickedHz !== null && (
          <Button kind="quiet" onClick={() => onPick(null)}>
            None of them
          </Button>
        )}
      </fieldset>
    </div>
  );
}
