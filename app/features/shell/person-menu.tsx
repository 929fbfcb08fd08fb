import { UserRound } from "lucide-react";
import { useState } from "react";
import { useRouteLoaderData } from "react-router";
import type { loader as rootLoader } from "~/app/root";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";

const box = later(async () => (await import("./person-box")).PersonBox);

/** Who is signed in; behind it the way to hand the tablet over, to the account and out. */
export function PersonMenu() {
  const person = useRouteLoaderData<typeof rootLoader>("root")?.person;
  const [open, setOpen] = useState(false);
  const Box = useLater(box, open, () => setOpen(false));
  if (!person) return null;
  return (
    <>
      <Button kind="quiet" onClick={() => setOpen(true)} aria-label={`${person.name}: hand over, account, sign out`}>
        <UserRound aria-hidden="true" className="size-5" />
        <span className="max-sm:sr-only">{person.name}</span>
      </Button>
      {Box && <Box person={person} open={open} setOpen={setOpen} />}
    </>
  );
}
