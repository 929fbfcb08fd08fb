import { Link } from "react-router";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import type { Provisional } from "~/core/logbook";
import { Button, buttonClass } from "~/ui/button";
import { provisionalWords } from "../words/state";

/** How a quick screen ends: what is signed with it as open points, what is wrong with no field, and the key that signs. */
export function QuickEnd({
  kit,
  done,
  provisional,
  general,
  busy,
}: {
  kit: Kit;
  /** What the signature says of it: "Fine". */
  done: string;
  provisional: readonly Provisional[];
  general: string | null;
  busy: boolean;
}) {
  return (
    <>
      {provisional.length > 0 && (
        <p className="col-span-full border-l-4 border-near pl-3 text-lg" role="status">
          Signed with it, as open points: {provisional.map((item) => provisionalWords[item].toLowerCase()).join("; ")}.
        </p>
      )}
      {general && (
        <p role="alert" className="col-span-full text-outside font-semibold text-lg">
          {general}
        </p>
      )}
      <div className="col-span-full flex flex-wrap gap-3 sticky bottom-0 bg-ground py-3 border-t border-rule">
        <Button kind="now" large type="submit" disabled={busy} className="grow">
          {done}: sign as {kit.person.name}
        </Button>
        <Link to={`/machines/${kit.machine.id}`} className={buttonClass("quiet", true)}>
          A whole job instead
        </Link>
      </div>
    </>
  );
}
