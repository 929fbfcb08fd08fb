import type { ReactNode } from "react";
import { Link } from "react-router";
import { buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Exports } from "../export/exports";

export type MoreOf = {
  id: string;
  name: string;
  mayEdit: boolean;
  children?: ReactNode;
};

/** Label, the whole record to take away, and for a lead what changes the machine itself. */
export function MachineMoreBox({
  id,
  name,
  mayEdit,
  children,
  open,
  setOpen,
}: MoreOf & { open: boolean; setOpen: (open: boolean) => void }) {
  const line = buttonClass("quiet", true);
  return (
    <Dialog title={name} open={open} onOpenChange={setOpen}>
      <nav aria-label="Machine" className="grid gap-5">
        <p className="flex flex-wrap gap-2">
          <Link to={`/machines/${id}/label`} className={line}>
            Label
          </Link>
          <Link to={`/machines/${id}/guides`} className={line}>
            Guides
          </Link>
          <Link to={`/machines/${id}/why`} className={line}>
            Why does it do that?
          </Link>
          <Link to={`/machines/${id}/proof-plan`} className={line}>
            What proves it as a whole
          </Link>
          <Link to={`/machines/${id}/shafts`} className={line}>
            Shafts
          </Link>
          <Link to={`/machines/${id}/options`} className={line}>
            Other ways to build it
          </Link>
          {mayEdit && (
            <>
              <Link to={`/machines/${id}/edit`} className={line}>
                Edit
              </Link>
              <Link to={`/machines/${id}/copy`} className={line}>
                Copy
              </Link>
            </>
          )}
        </p>
        <div>
          <h3 className="font-bold mb-2">The whole record</h3>
          <Exports path={`/machines/${id}/record`} />
        </div>
      </nav>
      {children}
    </Dialog>
  );
}
