import { screwsOf } from "~/core/guides";
import { Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { nextIn, noGuide, partIn, useGuide } from "./use-guide";

/** Which guide is followed, and how far: what comes off to reach a part, with its screws. */
export function GuidePane() {
  const { data, job } = useJobScreen();
  const texts = useTexts();
  const guide = useGuide();
  const guides = data.guides ?? [];
  if (guides.length === 0) return null;
  const reach = texts["apart.reach"] ?? "";
  const found = guide && nextIn(guide, job.record.apart, reach);
  const ways = found?.order?.reach;
  return (
    <section aria-label="Guide" className="grid gap-2">
      <Fold
        summary={guide ? `By the guide ${guide.name}, revision ${guide.revision}` : "No guide is followed"}
        look="line"
      >
        <div className="flex flex-wrap gap-3 items-end pb-2">
          <Select
            label="By the guide"
            value={guide?.guideId ?? noGuide}
            onChange={(event) => job.changeText("apart.guide", event.target.value)}
          >
            {guides.map(({ guideId, name, revision }) => (
              <option key={guideId} value={guideId}>
                {name}, revision {revision}
              </option>
            ))}
            <option value={noGuide}>No guide</option>
          </Select>
          {guide && (
            <Select
              label="To reach"
              value={reach}
              onChange={(event) => job.changeText("apart.reach", event.target.value)}
            >
              <option value="">all of it</option>
              {guide.parts.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Select>
          )}
        </div>
      </Fold>
      {guide && ways && (
        <p className="text-lg w-full">
          To reach {partIn(guide, reach)?.name} take off{" "}
          {ways.toReach.length === 0 ? "nothing" : ways.toReach.map((id) => partIn(guide, id)?.name).join(", ")},{" "}
          <b className="figure">{ways.screwsToReach} screws</b>
          {partIn(guide, reach) && screwsOf(partIn(guide, reach) as never) > 0
            ? `, and ${screwsOf(partIn(guide, reach) as never)} of its own`
            : ""}
          .
        </p>
      )}
    </section>
  );
}
