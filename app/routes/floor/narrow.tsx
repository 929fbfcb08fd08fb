import { Link } from "react-router";
import { kindName } from "~/app/features/kinds";
import { capital } from "~/app/features/words/count";
import type { StageKind } from "~/core/stages";
import type { FloorGroup } from "~/data/queries/floor";
import { Fold } from "~/ui/fold";
import { type FloorAsked, floorAddress } from "./asked";

const chip = (here: boolean) =>
  `min-h-11 px-2 inline-flex items-center gap-2 text-ink ${here ? "font-bold no-underline shadow-[inset_0_-4px_0_var(--room-ink)]" : ""}`;

/** Where, which kind, whose: the ways to fewer machines, folded while there are many halls. */
export function Narrow({
  groups,
  kinds,
  asked,
}: {
  groups: readonly FloorGroup[];
  kinds: readonly StageKind[];
  asked: FloorAsked;
}) {
  const { site, hall, kind, mine } = asked;
  const where = [site, hall].filter((name) => name !== null).map((name) => name || "no name");
  return (
    <>
      {groups.length > 1 && (
        <Fold
          key={`where ${where}`}
          look="line"
          summary={where.length > 0 ? where.join(", ") : `${groups.length} halls`}
        >
          <Halls groups={groups} asked={asked} />
        </Fold>
      )}
      {kinds.length > 1 && (
        <Fold key={`kind ${kind}`} look="line" summary={kind ? capital(kindName(kind)) : "Kinds of stage"}>
          <ul aria-label="Kinds of stage" className="flex flex-wrap gap-x-4">
            {kinds.map((one) => (
              <li key={one}>
                <Link
                  to={floorAddress({ ...asked, kind: one === kind ? null : one })}
                  aria-current={one === kind ? "true" : undefined}
                  className={chip(one === kind)}
                >
                  {kindName(one)}
                </Link>
              </li>
            ))}
          </ul>
        </Fold>
      )}
      <Link
        to={floorAddress({ ...asked, mine: !mine })}
        aria-current={mine ? "true" : undefined}
        className={`${chip(mine)} self-start`}
      >
        My open jobs
      </Link>
    </>
  );
}

/** Sites with their halls, and how those stand. */
export function Halls({ groups, asked }: { groups: readonly FloorGroup[]; asked: FloorAsked }) {
  const sites = [...new Set(groups.map((group) => group.site))];
  return (
    <nav aria-label="Sites and halls" className="py-1">
      <ul className="grid gap-1">
        {sites.map((name) => (
          <li key={name} className="flex flex-wrap gap-x-4 items-center">
            {sites.length > 1 && (
              <Link
                to={floorAddress({ ...asked, site: name, hall: null })}
                aria-current={asked.site === name && asked.hall === null ? "true" : undefined}
                className={`${chip(asked.site === name && asked.hall === null)} font-bold`}
              >
                {name || "No site"}
              </Link>
            )}
            {groups
              .filter((group) => group.site === name)
              .map((group) => {
                const here = asked.site === group.site && asked.hall === group.hall;
                return (
                  <Link
                    key={group.hall}
                    to={floorAddress({ ...asked, site: here ? null : group.site, hall: here ? null : group.hall })}
                    aria-current={here ? "true" : undefined}
                    className={chip(here)}
                  >
                    {group.hall || "no hall"} <span className="figure text-mid">{group.machines}</span>
                    {group.outside > 0 && <span className="text-outside font-semibold">{group.outside} outside</span>}
                    {group.near > 0 && <span className="text-near font-semibold">{group.near} near</span>}
                  </Link>
                );
              })}
          </li>
        ))}
      </ul>
    </nav>
  );
}
