import { rulesFor, type Shaft } from "~/core/shafts";
import { Tick } from "~/ui/tick";
import { ruleWords } from "../../words/shafts";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { textName } from "./typed-shaft";

/** What is to be seen to at each part as it goes on, ticked when it is. */
export function ShaftSeenTo({ shaft }: { shaft: Shaft }) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const asked = shaft.parts.flatMap((part) => rulesFor(part).map((rule) => ({ part, rule })));
  if (asked.length === 0) return null;
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold mb-1">Seen to as it goes together</legend>
      {asked.map(({ part, rule }) => {
        const name = textName(shaft, `s.${part.id}.${rule}`);
        return (
          <Tick
            key={name}
            label={`${part.name}: ${ruleWords[rule]}${rule === "screws-on-flats" && part.clocking ? `, ${part.clocking}` : ""}`}
            checked={texts[name] === "yes"}
            onChange={(checked) => job.changeText(name, checked ? "yes" : "")}
          />
        );
      })}
    </fieldset>
  );
}
