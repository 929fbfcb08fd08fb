import { Link } from "react-router";
import { type GuidePart, type StripOrder, screwsOf } from "~/core/guides";
import { formatNumber } from "../words/figure";
import { screwsText, spacersText } from "../words/parts";
import { torqueWords } from "../words/torque";
import { useWords } from "../words/use-words";

/** The parts of a guide in the order in which they come off, each with its screws, how it sits, what it hides, and its photographs. */
export function GuideParts({
  parts,
  order,
  edit,
}: {
  parts: readonly GuidePart[];
  order: StripOrder;
  /** Where a part is edited, by its id; null for who may only look. */
  edit: ((partId: string) => string) | null;
}) {
  const reader = useWords();
  const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? id;
  const off = new Set(order.reach?.toReach ?? []);
  return (
    <ol aria-label="Parts as they come off" className="grid">
      {order.strip.map((id, i) => {
        const part = parts.find((one) => one.id === id);
        if (!part) return null;
        const torques = [
          ...new Set(
            part.screws.flatMap(({ size, torqueNm }) =>
              torqueNm === null ? [] : [`${size} to ${torqueWords(reader, torqueNm)}`],
            ),
          ),
        ];
        const lines = [
          part.screws.length > 0 && screwsText(part.screws),
          torques.join(", "),
          part.screws.some(({ into }) => into === "plastic") &&
            "Into plastic: backwards until it drops into its old thread",
          part.screws.some(({ compound }) => compound) && "Threadlocking compound",
          part.side && `Side: ${part.side}`,
          part.facing && `Which way round: ${part.facing}`,
          part.mark && `Mark: ${part.mark}`,
          part.spacers.length > 0 && spacersText(reader, part.spacers),
          part.massKg !== null && `${formatNumber(reader, part.massKg, 1)} kg`,
          part.beforeHidden && `Before it hides it: ${part.beforeHidden}`,
          part.asItGoesOn && `As it goes on: ${part.asItGoesOn}`,
          part.tools && `Tools: ${part.tools}`,
          part.after.length > 0 && `On after ${part.after.map(nameOf).join(", ")}`,
          part.hides.length > 0 && `It hides ${part.hides.map(nameOf).join(", ")}`,
        ].filter(Boolean);
        return (
          <li
            key={id}
            className={`border-t border-rule py-2.5 grid grid-cols-[2.5rem_minmax(0,1fr)_auto] gap-x-3 ${off.has(id) ? "bg-panel border-l-8 border-l-ink pl-2" : ""}`}
          >
            <span className="figure text-mid text-lg" aria-hidden="true">
              {i + 1}
            </span>
            <div>
              <p className="text-lg">
                <b>{part.name}</b>
                {screwsOf(part) > 0 && <span className="figure text-mid"> {screwsOf(part)} screws</span>}
              </p>
              {lines.length > 0 && <p>{lines.join(". ")}</p>}
              {part.photographs.length > 0 && (
                <p className="flex flex-wrap gap-2 mt-1">
                  {part.photographs.map((photograph, n) => (
                    <a
                      key={photograph}
                      href={`/files/${photograph}`}
                      target="_blank"
                      rel="noreferrer"
                      aria-label={`${part.name}, photograph ${n + 1}`}
                    >
                      <img
                        src={`/files/${photograph}?small=1`}
                        alt=""
                        loading="lazy"
                        decoding="async"
                        width={120}
                        height={90}
                        className="w-30 h-22 object-cover border border-rule"
                      />
                    </a>
                  ))}
                </p>
              )}
            </div>
            {edit && (
              <Link to={edit(id)} className="min-h-11 px-2 inline-flex items-center" aria-label={`Edit ${part.name}`}>
                Edit
              </Link>
            )}
          </li>
        );
      })}
    </ol>
  );
}
