import { Link } from "react-router";
import type { FeltJudged, RoundPhase } from "~/core/logbook";
import { feltAs } from "~/core/stages";
import { buttonClass } from "~/ui/button";
import { StateMark } from "~/ui/state-mark";
import { capital } from "../../words/count";
import { feltState, feltWords } from "../../words/feel";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useGearIn } from "../read/gear-keys";
import { unreadGear } from "../read/next-gear";
import { OtherGearFirst } from "../read/other-gear-first";
import { Onward } from "../stations/onward";
import { handAdvice, howToRead } from "./hand-advice";
import { HandMove } from "./hand-move";
import type { HandWay } from "./hand-ways";
import { PrintMoves } from "./print-moves";
import { Schools } from "./schools";
import { Smoother } from "./smoother";

/** What a round by hand says, what to do by it, and what the other schools say of the same stage. */
export function HandSays({
  phase,
  way,
  judged,
  typing,
}: {
  phase: RoundPhase;
  way: HandWay;
  judged: FeltJudged | null;
  /** It is of words that are not logged yet. */
  typing: boolean;
}) {
  const reader = useWords();
  const { stage, job, stationPath } = useJobScreen();
  const { element } = stage.geometry;
  const { lastFeel } = job.record;
  const logged = !typing && judged !== null;
  const gearIn = useGearIn();
  const unread = phase === "as-found" ? unreadGear(job.record, stage, gearIn) : null;
  const here = logged ? (lastFeel?.body.here ?? null) : null;
  // As found nothing is moved yet, and a shaft is eased, not set.
  const moves =
    logged && phase !== "as-found" && judged.step !== "none" && judged.by !== "print" && feltAs(element) !== "shaft";
  return (
    <section
      aria-label="What it says"
      className={`p-5 max-lg:px-0 max-lg:py-2 flex flex-col gap-3 lg:min-h-0 lg:overflow-y-auto ${logged ? "max-lg:order-first" : ""}`}
    >
      {logged && unread !== null && <OtherGearFirst gear={unread} />}
      {logged ? (
        <>
          <p className="flex gap-3 items-center text-2xl font-semibold">
            <StateMark state={feltState[judged.verdict]} />
          </p>
          <p className="text-2xl font-semibold">{capital(feltWords(judged))}.</p>
          {judged.by === "print" && <PrintMoves />}
          {moves && <HandMove judged={judged} here={here} />}
          {!moves && judged.by !== "print" && <p className="text-lg">{handAdvice(judged, element, here)}</p>}
          <Smoother />
          <div className="flex flex-wrap gap-3">
            {unread !== null ? null : phase === "check" || judged.verdict === "inside" ? (
              <Onward phase={phase} />
            ) : (
              phase === "as-found" && (
                <Link to={stationPath("set")} replace className={buttonClass("now", true)}>
                  Set it
                </Link>
              )
            )}
          </div>
        </>
      ) : judged?.verdict === "outside" ? (
        <p className="text-2xl font-semibold leading-snug">{handAdvice(judged, element, null)}</p>
      ) : (
        howToRead(reader, way, element)
      )}
      <Schools />
    </section>
  );
}
