import { useWords } from "~/app/features/words/use-words";
import { useJobScreen } from "../../job/entries/job-context";
import { measuredWords } from "../../words/measured";

/** How the frame gives under this belt, as it was measured in this job. */
export function FramePull() {
  const reader = useWords();
  const { job, stage } = useJobScreen();
  const found = job.record.measured.findLast(({ body, stageId }) => body.tool === "frame-pull" && stageId === stage.id);
  return (
    <section aria-labelledby="frame-gives">
      <h4 id="frame-gives" className="font-bold">
        The frame under it
      </h4>
      {found ? (
        <p className="text-lg">{measuredWords(reader, found.body).detail}.</p>
      ) : (
        <p className="text-mid">
          Not measured in this job. Read how far the pulleys pull askew, slack and tight, under Put right: Frame under
          tension.
        </p>
      )}
    </section>
  );
}
