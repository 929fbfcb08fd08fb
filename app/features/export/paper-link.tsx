import { type MouseEvent, useState } from "react";
import { buttonClass } from "~/ui/button";
import { linesOf, progressOf } from "./paper-progress";

/** A paper that takes a while: it says how far it is, and is saved when it is made. */
export function PaperLink({ path }: { path: string }) {
  const [says, setSays] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const make = async (event: MouseEvent<HTMLAnchorElement>) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    if (making) return;
    setMaking(true);
    setSays("Making the record …");
    const made = await follow(path, setSays).catch(() => false);
    setSays(made ? null : "It could not be made now: no network, or the server is busy. Try again in a moment.");
    setMaking(false);
    if (made) location.assign(path);
  };
  return (
    <>
      <a className={buttonClass("quiet")} href={path} download onClick={make} aria-disabled={making || undefined}>
        PDF
      </a>
      {says && (
        <span role="status" className="text-mid self-center figure">
          {says}
        </span>
      )}
    </>
  );
}

/** Says every page as it is made; whether the paper is there in the end. */
async function follow(path: string, say: (words: string) => void): Promise<boolean> {
  const answer = await fetch(progressOf(path));
  if (!answer.ok || !answer.body) return false;
  let made = false;
  for await (const line of linesOf(answer.body)) {
    if ("page" in line) say(`Making the record, page ${line.page}${line.of ? ` of ${line.of}` : ""}`);
    made = "made" in line;
  }
  return made;
}
