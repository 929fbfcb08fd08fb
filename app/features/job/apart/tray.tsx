import { useWords } from "~/app/features/words/use-words";
import type { PartNow } from "~/core/logbook";
import { Fold } from "~/ui/fold";
import { accountText, partOffWords, seatWords } from "../../words/parts";
import { useJobScreen } from "../entries/job-context";
import { PartPhotograph } from "./part-photograph";

/** What lies in the tray: parts still off, the one that goes on first at the front; then those that are on again. */
export function Tray() {
  const { job } = useJobScreen();
  const { apart } = job.record;
  const { parts, screws, washers } = apart.account;
  const on = apart.parts.filter((part) => part.on !== null);
  return (
    <section aria-label="Tray" className="grid gap-3 content-start">
      <h2 className="text-xl font-bold">
        {apart.off.length === 0 ? "Nothing is off" : `In the tray: ${apart.off.length}`}
      </h2>
      {parts.out > 0 && (
        <p className="text-lg figure" role="status">
          Back: {accountText(parts, "parts")}, {accountText(screws, "screws")}, {accountText(washers, "washers")}
          {apart.uncounted.length > 0 &&
            `. Not counted as they came out: screws of ${apart.uncounted.map(({ name }) => name).join(", ")}`}
        </p>
      )}
      {[...apart.missing, ...apart.over].length > 0 && (
        <ul className="text-lg text-outside font-semibold" aria-label="Does not close">
          {apart.missing.map(({ part, what, pieces }) => (
            <li key={`${part.key} ${what}`}>
              {pieces} × {what} of {part.name} not in
            </li>
          ))}
          {apart.over.map(({ part, what, pieces }) => (
            <li key={`${part.key} ${what}`}>
              {pieces} × {what} more in {part.name} than came out
            </li>
          ))}
        </ul>
      )}
      <ol aria-label="Still off" className="grid">
        {apart.off.map((part) => (
          <Row key={part.key} part={part} />
        ))}
      </ol>
      {on.length > 0 && (
        <ul aria-label="On again" className="text-lg">
          {on.map((part) => (
            <li key={part.key} className="border-t border-rule py-1.5">
              {part.name} <span className="text-mid">on{part.state ? `, screws ${part.state}` : ""}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Row({ part }: { part: PartNow }) {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const { off, seat } = part;
  if (!off) return null;
  const pictures = (data.photographs ?? []).filter(({ of }) => of === off.id);
  const elsewhere = off.jobId !== data.job.id;
  const first = job.record.apart.off[0] === part;
  return (
    <li className="border-t border-rule py-2 grid gap-1">
      <p className="text-lg">
        <b>{part.name}</b>{" "}
        {off.body.conditions.length > 0 && (
          <span className="text-near font-semibold">{off.body.conditions.join(", ")}</span>
        )}
        <span className="text-mid block">
          {partOffWords(reader, { ...off.body, guide: null }).detail}
          {elsewhere && `. Off since another job, ${off.madeByName}`}
        </span>
      </p>
      {seat && <p className="text-lg">{seatWords(reader, seat.body).title}</p>}
      <ul className="flex flex-wrap gap-2 empty:hidden" aria-label={`Photographs of ${part.name}`}>
        {pictures.map(({ id, caption }) => (
          <li key={id}>
            <a href={`/files/${id}`} target="_blank" rel="noreferrer" aria-label={caption}>
              <img
                src={`/files/${id}?small=1`}
                alt=""
                loading="lazy"
                className="w-24 h-18 object-cover border border-rule"
              />
            </a>
          </li>
        ))}
      </ul>
      {/* The one that came off last is photographed beside what is asked now. */}
      {!first && (
        <Fold summary="Photograph it" look="line">
          <PartPhotograph of={off.id} shows={part.name} />
        </Fold>
      )}
    </li>
  );
}
