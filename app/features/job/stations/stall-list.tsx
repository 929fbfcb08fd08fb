import { useState } from "react";
import type { EntryOf } from "~/core/logbook";
import { Button } from "~/ui/button";
import { formatNumber } from "../../words/figure";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** What is looked at after a stall, in this order. Common practice. */
const looks = [
  { key: "snag", text: "A snagged cable or hose, something in its way" },
  { key: "assembly", text: "The assembly: a proud screw, a part that rubs, a burr, a bearing not home" },
  { key: "tight", text: "Only then: too tight there" },
] as const;

/** After a stall: what to look at, one thing after the other; each finding goes into the logbook. Then on from there. */
export function StallList({ stall }: { stall: EntryOf<"proof"> }) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const [busy, setBusy] = useState(false);
  const { endedAtDeg } = stall.body;
  const at = endedAtDeg === undefined ? "" : ` at ${formatNumber(reader, endedAtDeg, 0)}°`;
  const said = (key: string) => texts[`proof-look.${stall.id.slice(-12)}.${key}`] ?? "";
  const next = looks.find(({ key }) => said(key) === "");
  const found = looks.some(({ key }) => said(key) === "found");
  const log = async (key: string, text: string, what: "found" | "nothing") => {
    setBusy(true);
    const logged = await job.put({
      kind: "note",
      text: `Stalled${at}. ${text}: ${what === "found" ? "found" : "nothing there"}`,
    });
    setBusy(false);
    if (logged.ok) job.changeText(`proof-look.${stall.id.slice(-12)}.${key}`, what);
  };
  return (
    <section aria-label="After the stall" className="border-l-4 border-outside pl-4 grid gap-2">
      <h3 className="text-xl font-bold">It stalled{at}: look in this order</h3>
      <p>Stop, isolate and make safe before hands go in.</p>
      <ol className="grid gap-2">
        {looks.map(({ key, text }, i) => (
          <li key={key} className="flex flex-wrap items-center gap-3 text-lg">
            <span className={next?.key === key ? "font-semibold" : said(key) ? "" : "text-mid"}>
              {i + 1}. {text}
            </span>
            {said(key) ? (
              <b>{said(key) === "found" ? "found" : "nothing there"}</b>
            ) : (
              next?.key === key &&
              !found && (
                <span className="flex gap-2">
                  <Button kind="line" disabled={busy} onClick={() => log(key, text, "nothing")}>
                    Nothing there
                  </Button>
                  <Button kind="line" disabled={busy} onClick={() => log(key, text, "found")}>
                    Found it
                  </Button>
                </span>
              )
            )}
          </li>
        ))}
      </ol>
      <p className="text-lg">
        Not sure it binds? Load it the other way: if neither noise nor current changes, it does not.
      </p>
      {endedAtDeg !== undefined && (
        <div>
          <Button kind="line" onClick={() => job.changeText("proof.from", formatNumber(reader, endedAtDeg, 0))}>
            Go on from {formatNumber(reader, endedAtDeg, 0)}°
          </Button>
        </div>
      )}
    </section>
  );
}
