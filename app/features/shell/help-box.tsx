import { Link, useLocation } from "react-router";
import { Button, buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { helpFor, keys } from "./help-words";

/** What this screen is for, and the keys. */
export function HelpBox({ open, setOpen }: { open: boolean; setOpen: (open: boolean) => void }) {
  const { title, text } = helpFor(useLocation().pathname);
  return (
    <Dialog title={title} open={open} onOpenChange={setOpen}>
      <p className="text-lg">{text}</p>
      <h3 className="font-bold text-lg mt-5 mb-1">Keys</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-5 flex flex-wrap gap-3">
        <Button kind="solid" large onClick={() => setOpen(false)}>
          Back
        </Button>
        <Link to="/practice" className={buttonClass("line", true)} onClick={() => setOpen(false)}>
          New to it? Practise where nothing is real
        </Link>
      </div>
    </Dialog>
  );
}
