import { Link } from "react-router";
import { buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Fold } from "~/ui/fold";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { GuidePane } from "./guide-pane";
import { KeepGuide } from "./keep-guide";
import { OffPane } from "./off-pane";
import { OnPane } from "./on-pane";
import { PartPhotograph } from "./part-photograph";
import { ScrewsPane } from "./screws-pane";
import { SeatPane } from "./seat-pane";
import { Tray } from "./tray";
import { TurnPane } from "./turn-pane";
import { WorkPane } from "./work-pane";

const ways = [
  { value: "off", label: "Take off" },
  { value: "on", label: "Put on" },
] as const;

/** Taking apart, one part at a time, and building up by the reversed list; turned by hand after each part, and everything counted. */
export function ApartStation() {
  const { job, stationPath } = useJobScreen();
  const texts = useTexts();
  const { apart, firstBuild } = job.record;
  const way = ways.find(({ value }) => value === texts["apart.way"])?.value ?? (firstBuild ? "on" : "off");
  const last = apart.off[0];
  const closed = apart.parts.length > 0 && apart.off.length === 0 && apart.slack.length === 0;
  return (
    <div className="grow min-h-0 overflow-y-auto grid lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-x-8 gap-y-5 p-5 max-sm:p-3.5 content-start">
      <div className="grid gap-5 content-start">
        <div className="flex flex-wrap gap-x-6 gap-y-3 items-end">
          <Choice
            legend="Now"
            name="apart-way"
            value={way}
            onChange={(value) => job.changeText("apart.way", value)}
            options={ways}
          />
          <GuidePane />
        </div>
        {(apart.toTurn || apart.binds) && <TurnPane />}
        {last?.off && (
          <div className="border-l-8 border-ink pl-3">
            <PartPhotograph of={last.off.id} shows={last.name} />
          </div>
        )}
        {way === "off" ? <OffPane /> : <OnPane />}
        {way === "on" && <ScrewsPane />}
        {closed && (
          <div>
            <Link to={stationPath("set")} replace className={buttonClass("now", true)}>
              Go on to set it
            </Link>
          </div>
        )}
        {apart.parts.length > 0 && (
          <Fold summary="A bearing narrower than its seat?" className="border-t border-rule pt-1">
            <SeatPane />
          </Fold>
        )}
        {apart.parts.length > 0 && (
          <Fold summary="Drill, bore, ream, file, cut" className="border-t border-rule pt-1">
            <WorkPane />
          </Fold>
        )}
        {!apart.toTurn && !apart.binds && (
          <Fold summary="Turn it by hand" className="border-t border-rule pt-1">
            <TurnPane />
          </Fold>
        )}
        {apart.parts.some(({ off }) => off) && (
          <Fold summary="Keep it as the guide of this machine" className="border-t border-rule pt-1">
            <KeepGuide />
          </Fold>
        )}
      </div>
      <Tray />
    </div>
  );
}
