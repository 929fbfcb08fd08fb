import { buttonClass } from "~/ui/button";
import { PaperLink } from "./paper-link";

/** A record to take away: printed, as PDF, as a table, or as everything there is with its hashes. */
export function Exports({ path, printed = false }: { path: string; printed?: boolean }) {
  return (
    <nav className="flex flex-wrap gap-2" aria-label="Take the record away">
      {!printed && (
        <a className={buttonClass("quiet")} href={path}>
          Print
        </a>
      )}
      <PaperLink path={`${path}.pdf`} />
      <a className={buttonClass("quiet")} href={`${path}.csv`} download>
        CSV
      </a>
      <a className={buttonClass("quiet")} href={`${path}.json`} download>
        JSON
      </a>
    </nav>
  );
}
