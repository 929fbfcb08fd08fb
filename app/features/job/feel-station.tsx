import { useMemo, useState } from "react";
import { Link } from "react-router";
import { type FeltAt, feelMethods, feels, type RoundPhase } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { placesToRead } from "~/core/rounds";
import { frameOf } from "~/core/stages";
import { buttonClass } from "~/ui/button";
import { RoundDial } from "~/ui/round-dial/round-dial";
import { StateMark } from "~/ui/state-mark";
import { capital } from "../words/count";
import { feelSaysWords } from "../words/entry";
import { stageUnit } from "../words/quantity";
import { verdictState } from "../words/state";
import { FeelPane, feltMarks } from "./feel-pane";
import { useJobScreen } from "./job-context";
import { useOutline } from "./round-pane";
import { doneWords } from "./stations";

/** Six places tell a hand as much as twelve. */
const feltPlaces = 6;

/** A round by feel, where nothing is measured: it is kept beside numeric ones, and says that it is by feel. */
export function FeelStation({ phase }: { phase: RoundPhase }) {
  const { stage, job, stationPath } = useJobScreen();
  const { texts } = job.draft;
  const [problem, setProblem] = useState<Refusal | null>(null);
  const frame = frameOf(stage.geometry.element);
  const teeth = frame.places;
  const part = useOutline(stage);
  const positions = useMemo(() => {
    const planned = placesToRead(frameOf(stage.geometry.element), stage.geometry.arcDeg).sort((a, b) => a - b);
    const step = Math.max(1, Math.ceil(planned.length / feltPlaces));
    return planned.filter((_, i) => i % step === 0);
  }, [stage]);
  const felt = feltOf(texts[`felt.${phase}`]);
  const method = feelMethods.find((known) => known === texts["felt.method"]) ?? "by hand";
  const last = felt.length === 0 && !job.record.changedSinceFeel ? job.record.lastFeel : null;
  const shown = felt.length > 0 ? felt : (last?.body.places ?? []);
  const { lo, hi } = stage.limits;
  const done = async () => {
    const result = await job.put({ kind: "feel", phase, method, places: felt });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) job.changeText(`felt.${phase}`, "");
  };
  const next = positions.find((tooth) => !felt.some((item) => item.tooth === tooth));
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[20rem_minmax(0,1fr)_minmax(0,26rem)] max-lg:flex max-lg:flex-col max-lg:px-3.5 max-lg:py-2 overflow-y-auto">
      <div className="p-4 max-lg:p-0 flex flex-col">
        <FeelPane
          felt={felt}
          method={method}
          positions={positions}
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
          band={{ lo: lo, hi: hi }}
          readings={feltMarks(shown, { lo: lo, hi: hi }, teeth)}
          fitted={null}
          predicted={null}
          ghost={null}
          paintedTooth={null}
          currentTooth={next === undefined || last ? null : next - 1}
          counterClockwise={false}
          figure={stageUnit(stage.geometry.element).figure}
          headline="by feel"
          subline="marks are not to scale"
          label={`Gear of ${teeth} teeth, ${shown.length} places felt`}
        />
      </div>
      <section aria-label="What it says" className="p-5 max-lg:px-0 flex flex-col gap-3">
        <p className="text-mid font-semibold">By feel</p>
        {last ? (
          <>
            <p className="flex gap-3 items-center text-2xl font-semibold">
              <StateMark state={verdictState[last.body.verdict]} />
            </p>
            <p className="text-2xl font-semibold">{capital(feelSaysWords[last.body.says])}.</p>
            <p className="text-lg">{feelAdvice[last.body.verdict]}</p>
            <div className="flex gap-3">
              <Link
                to={stationPath(phase === "check" ? "prove" : last.body.verdict === "conforms" ? "lock-up" : "set")}
                replace
                className={buttonClass("now", true)}
              >
                {phase === "check" ? "Prove it" : last.body.verdict === "conforms" ? "Lock up" : "Set it"}
              </Link>
            </div>
          </>
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

const feelAdvice = {
  conforms: "Nothing to move by feel. A measured round would say by how much.",
  undecided: "It can be left; a measured round would settle it.",
  "does-not-conform": "By how much, feel cannot say: read numbers at the worst place to get a move.",
} as const;

/** In the draft as "1:2 9:3": tooth and the word's place among the five. */
const writeFelt = (felt: readonly FeltAt[]): string =>
  felt.map(({ tooth, feel }) => `${tooth}:${feels.indexOf(feel)}`).join(" ");

function feltOf(text: string | undefined): FeltAt[] {
  return (text ?? "").split(" ").flatMap((item) => {
    const [tooth, place] = item.split(":").map(Number);
    const feel = feels[place ?? -1];
    return tooth && feel ? [{ tooth, feel }] : [];
  });
}
