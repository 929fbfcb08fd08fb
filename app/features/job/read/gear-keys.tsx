import { isRead, type ReadSoFar } from "~/core/logbook";
import { switchGears } from "~/core/stages";
import { inGear } from "~/operations/stage-as-read";
import { Choice } from "~/ui/choice";
import { stateWord } from "~/ui/state-mark";
import { beforeAndAfter } from "../../words/before-and-after";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** Which gear of a switchable stage is in, each with how it stands in this job; nothing where there is one gear. */
export function GearKeys({ gear, held }: { gear: string | null | undefined; held: boolean }) {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const gears = switchGears(stage.geometry.element);
  if (gears.length === 0) return null;
  const stands = (name: string, read: ReadSoFar | undefined): string => {
    if (!read || !isRead(read)) return "not read";
    const left = beforeAndAfter(reader, inGear(stage, name), { ...read, firstBuild: true })[0];
    return read.changedSinceRound && read.changedSinceFeel ? "read again" : stateWord[left?.state ?? "unknown"];
  };
  // Readings that are open are of the gear they were read in.
  if (held) return <p className="font-semibold mb-1">With {gear} in</p>;
  return (
    <div className="mb-3">
      <Choice
        legend="Gear that is in"
        name="gear-in"
        value={gear ?? ""}
        onChange={(name) => job.changeText("method.gear", name)}
        tight
        options={gears.map(({ name }) => ({
          value: name,
          label: `${name}: ${stands(
            name,
            job.record.gears.find((one) => one.gear === name),
          )}`,
        }))}
      />
    </div>
  );
}

/** The gear that was chosen to be in; the first where none was. */
export function useGearIn(): string | null {
  const { stage } = useJobScreen();
  const texts = useTexts();
  const names = switchGears(stage.geometry.element).map(({ name }) => name);
  return names.find((name) => name === texts["method.gear"]) ?? names[0] ?? null;
}
