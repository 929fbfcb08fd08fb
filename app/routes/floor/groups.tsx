import { Link } from "react-router";
import type { FloorGroup } from "~/data/queries/floor";
import { withParams } from "./with-params";

/** Halls with how they stand: the way in when there are hundreds of machines. */
export function Groups({
  groups,
  site,
  hall,
  words,
}: {
  groups: readonly FloorGroup[];
  site: string | null;
  hall: string | null;
  words: string;
}) {
  const sites = [...new Set(groups.map((group) => group.site))];
  return (
    <nav aria-label="Sites and halls" className="border-b border-rule bg-panel px-5 max-sm:px-3.5 py-2 overflow-x-auto">
      <ul className="flex gap-x-8 gap-y-1 flex-wrap max-h-44 overflow-y-auto">
        {sites.map((name) => (
          <li key={name} className="flex flex-wrap gap-x-4 items-center">
            {sites.length > 1 && (
              <Link
                to={`/?${withParams({ q: words, site: name })}`}
                aria-current={site === name && hall === null ? "true" : undefined}
                className="font-bold text-ink min-h-11 inline-flex items-center aria-[current]:no-underline"
              >
                {name || "No site"}
              </Link>
            )}
            {groups
              .filter((group) => group.site === name)
              .map((group) => {
                const here = site === group.site && hall === group.hall;
                return (
                  <Link
                    key={group.hall}
                    to={`/?${withParams({ q: words, ...(here ? {} : { site: group.site, hall: group.hall }) })}`}
                    aria-current={here ? "true" : undefined}
                    className={`text-ink min-h-11 inline-flex items-center gap-2 ${here ? "font-bold no-underline shadow-[inset_0_-4px_0_var(--room-ink)]" : ""}`}
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
