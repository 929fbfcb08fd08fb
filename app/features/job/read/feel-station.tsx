import { useMemo, useState } from "react";
import { Link } from "react-router";
import { partingWay } from "~/app/features/kinds";
import {
  type FeltAt,
  type FeltJudged,
  feelMethods,
  feels,
  feltArc,
  feltOfStage,
  judgeFelt,
  type RoundPhase,
} from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { placesToRead } from "~/core/rounds";
import { frameOf, gearNames, type StageElement } from "~/core/stages";
import { buttonClass } from "~/ui/button";
import { RoundDial } from "~/ui/round-dial/round-dial";
import { StateMark } from "~/ui/state-mark";
import { capital } from "../../words/count";
import { feltState, feltWords } from "../../words/feel";
import { placeOf } from "../../words/quantity";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { Onward } from "../stations/onward";
import { doneWords } from "../stations/stations";
import { FeelPane, feltMarks } from "./feel-pane";
import { useOutline } from "./round-pane";

/** Places a hand begins with; more are asked for where the part needs them. */
const firstPlaces = 6;

/** A round by feel, where nothing is measured: it is kept beside numeric ones, and says that it is by feel. */
export function FeelStation({ phase }: { phase: RoundPhase }) {
  const { stage, job, stationPath } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { element, arcDeg } = stage.geometry;
  const frame = frameOf(element);
  const teeth = frame.places;
  const arc = useMemo(() => feltArc(teeth, arcDeg), [teeth, arcDeg]);
  const part = useOutline(stage);
  const positions = useMemo(() => {
    const planned = placesToRead(frameOf(element), arcDeg).sort((a, b) => a - b);
    const step = Math.max(1, Math.ceil(planned.length / firstPlaces));
    return planned.filter((_, i) => i % step === 0);
  }, [element, arcDeg]);
  const gears = gearNames(element) ?? [];
  const gear = gears.find((name) => name === texts["method.gear"]) ?? gears[0] ?? null;
  const felt = readFelt(texts[`felt.${phase}`]);
  const method = feelMethods.find((known) => known === texts["felt.method"]) ?? "by hand";
  const last = felt.length === 0 && !job.record.changedSinceFeel ? job.record.lastFeel : null;
  const lastJudged = last && feltOfStage(last, stage.geometry);
  const judged = useMemo(() => judgeFelt(felt, teeth, arc), [felt, teeth, arc]);
  const shown = felt.length > 0 ? felt : (last?.body.places ?? []);
  const done = async () => {
    const result = await job.put({ kind: "feel", phase, method, places: felt, ...(gear ? { gear } : {}) });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) job.changeText(`felt.${phase}`, "");
  };
  const planned = positions.find((tooth) => !felt.some((item) => item.tooth === tooth)) ?? null;
  const next = planned ?? judged?.nextTooth ?? null;
  const tight = (lastJudged ?? judged)?.tightTooth ?? null;
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[20rem_minmax(0,1fr)_minmax(0,26rem)] lg:grid-rows-[minmax(0,1fr)] max-lg:flex max-lg:flex-col max-lg:px-3.5 max-lg:py-2 max-lg:overflow-y-auto">
      <div className="p-4 max-lg:p-0 flex flex-col lg:min-h-0 lg:overflow-y-auto">
        <FeelPane
          felt={felt}
          method={method}
          judged={judged}
          tooth={next}
          gears={gears}
          gear={gear}
          onGear={(value) => job.changeText("method.gear", value)}
          onFelt={(places) => job.changeText(`felt.${phase}`, writeFelt(places))}
          onMethod={(value) => job.changeText("felt.method", value)}
          onDone={done}
          onNumbers={() => job.changeText(`way.${phase}`, "")}
          doneWord={doneWords[phase]}
          problem={problem}
        />
      </div>
      <div className="bg-panel min-h-0 p-2 max-lg:h-[18.5rem] flex items-center justify-center">
        <RoundDial
          {...part}
          limits={feltBand}
          readings={feltMarks(shown, feltBand, teeth)}
          fitted={null}
          predicted={null}
          ghost={null}
          paintedTooth={tight === null ? null : tight - 1}
          currentTooth={next === null || last ? null : next - 1}
          counterClockwise={false}
          figure={() => ""}
          headline="by feel"
          subline="marks are not to scale"
          label={`Gear of ${teeth} teeth, ${shown.length} places felt${tight === null ? "" : `, tight spot at tooth ${tight}`}`}
        />
      </div>
      <section aria-label="What it says" className="p-5 max-lg:px-0 flex flex-col gap-3 lg:min-h-0 lg:overflow-y-auto">
        <p className="text-mid font-semibold">By feel</p>
        {last && lastJudged ? (
          <>
            <p className="flex gap-3 items-center text-2xl font-semibold">
              <StateMark state={feltState[lastJudged.verdict]} />
            </p>
            <p className="text-2xl font-semibold">{capital(feltWords(lastJudged))}.</p>
            <p className="text-lg">{feelAdvice(lastJudged, element)}</p>
            <div className="flex gap-3">
              {phase === "check" || lastJudged.verdict === "inside" ? (
                <Onward phase={phase} />
              ) : (
                <Link to={stationPath("set")} replace className={buttonClass("now", true)}>
                  Set it
                </Link>
              )}
            </div>
          </>
        ) : judged?.verdict === "outside" ? (
          <p className="text-2xl font-semibold leading-snug">{feelAdvice(judged, element)}</p>
        ) : (
          <>
            <p className="text-2xl font-semibold leading-snug">
              Push together and turn it by hand. A small even click all the way round is right: less at the tight spot,
              but still there.
            </p>
            <p className="text-lg text-mid">
              How smooth it is is judged against how smooth it was: feel it as found before anything is touched.
            </p>
          </>
        )}
      </section>
    </div>
  );
}

/** What to do by feel: a way, never an amount, and at which tooth. */
function feelAdvice({ verdict, step, tightTooth, nextTooth }: FeltJudged, element: StageElement): string {
  const stand = tightTooth === null ? "" : `Stand it with ${placeOf(element, tightTooth)}, the tight spot, in mesh. `;
  if (verdict === "not-known")
    return nextTooth === null
      ? "Feel it again."
      : `Feel ${placeOf(element, nextTooth)} next: the tight spot may lie there.`;
  if (step !== "none") {
    const way = partingWay(element, step);
    return `${stand}${way} a little there, then feel it all the way round again. By how much, feel cannot say: a number read there would.`;
  }
  if (verdict === "inside") return "Nothing to move by feel. A measured round would say by how much.";
  return `${stand}No setting mends it: tight in one place and loose in another. True the part, or set it over by some teeth.`;
}

/** In the draft as "1:2 9:3": tooth and the word's place among the five. */
const writeFelt = (felt: readonly FeltAt[]): string =>
  felt.map(({ tooth, feel }) => `${tooth}:${feels.indexOf(feel)}`).join(" ");

function readFelt(text: string | undefined): FeltAt[] {
  return (text ?? "").split(" ").flatMap((item) => {
    const [tooth, place] = item.split(":").map(Number);
    const feel = feels[place ?? -1];
    return tooth && feel ? [{ tooth, feel }] : [];
  });
}

/** Between what is felt as loose and as tight; not to scale. */
const feltBand = { lo: 0, hi: 1 };
