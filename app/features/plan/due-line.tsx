import { Link } from "react-router";
import { type DueItem, daysUntil } from "~/core/plan";
import { dateWords } from "../words/times";
import { useWords } from "../words/use-words";
import { dueDetail, dueTitle, inDays, whereWords } from "./due-words";
import { GiveTo } from "./give-to";
import type { Someone } from "./given-work";

/** One thing that falls due: when, of what, why, whose; and the way to give it to somebody. */
export function DueLine({
  item,
  today,
  people,
  atMachine = false,
}: {
  item: DueItem;
  today: string;
  /** It stands under the machine it is of. */
  atMachine?: boolean;
  /** To whom it can be given; empty: whoever looks gives nothing. */
  people: readonly Someone[];
}) {
  const reader = useWords();
  const gone = item.on !== null && daysUntil(today, item.on) < 0;
  const title = dueTitle(item);
  const detail = dueDetail(reader, item, today);
  return (
    <li className="@container py-2 border-t border-rule">
      <div className="grid @xl:grid-cols-[11rem_minmax(0,1fr)_auto] gap-x-6 gap-y-1">
        <span className={gone ? "font-bold text-outside" : ""}>
          {item.on && dateWords(reader, item.on)}
          <span className={`block ${gone ? "" : "text-mid"}`}>{item.on && inDays(today, item.on)}</span>
        </span>
        <span className="min-w-0">
          <b className="block">{title}</b>
          {item.machine ? (
            <>
              {!atMachine && (
                <>
                  <Link to={`/machines/${item.machine.id}`} className="text-ink">
                    {item.machine.name}
                  </Link>
                  {item.stage && ", "}
                </>
              )}
              {item.stage && (
                <Link to={`/stages/${item.stage.id}`} className="text-ink">
                  {item.stage.name}
                </Link>
              )}
              {!atMachine && <span className="text-mid">{whereWords(item) && `, ${whereWords(item)}`}</span>}
            </>
          ) : (
            <Link to={`/stores/instruments/${item.key}`} className="text-ink">
              Its page in Stores
            </Link>
          )}
          {detail && <span className="block text-mid">{detail}</span>}
          {item.to && (
            <span className="block">
              {item.to.name} has it{item.note && `: ${item.note}`}
            </span>
          )}
        </span>
        {item.stage && item.kind !== "point" && people.length > 0 && (
          <GiveTo
            of={{ stageId: item.stage.id }}
            label={`${title}, ${item.machine?.name}`}
            to={item.to}
            people={people}
          />
        )}
      </div>
    </li>
  );
}
