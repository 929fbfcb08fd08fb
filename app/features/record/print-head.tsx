import { Link } from "react-router";
import { Button, buttonClass } from "~/ui/button";
import { Exports } from "../export/exports";

/** What stands above a record on the screen, and not on paper. */
export function PrintHead({ path, back }: { path: string; back: string }) {
  return (
    <div className="print:hidden mb-6 flex flex-wrap gap-3 items-center border-b border-rule pb-4">
      <Button kind="now" large onClick={() => window.print()}>
        Print
      </Button>
      <Exports path={path} printed />
      <Link to={back} className={buttonClass("quiet")}>
        Back
      </Link>
    </div>
  );
}
