import { Link } from "react-router";
import type { DueItem } from "~/core/plan";
import { buttonClass } from "~/ui/button";
import { DueLine } from "./due-line";
import type { Someone } from "./given-work";

/** What of one machine falls due next, whose it is, and what to take along for it. */
export function DueHere({
  due,
  people,
  today,
  machineId,
}: {
  due: readonly DueItem[];
  people: readonly Someone[];
  today: string;
  machineId: string;
}) {
  return (
    <section aria-labelledby="due-here">
      <h2 id="due-here" className="text-xl font-bold">
        Comes back
      </h2>
      <ul>
        {due.map((item) => (
          <DueLine key={`${item.kind} ${item.key}`} item={item} today={today} people={people} atMachine />
        ))}
        {due.length === 0 && <li className="text-mid">Nothing of it has a day.</li>}
      </ul>
      {due.length > 0 && (
        <Link to={`/plan/walk?machine=${machineId}&days=30`} className={buttonClass("line")}>
          What to take along
        </Link>
      )}
    </section>
  );
}
