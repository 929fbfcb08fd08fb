import type { ReactNode } from "react";
import { Link, useLocation, useRouteLoaderData } from "react-router";
import type { loader as rootLoader } from "~/app/root";
import { deferred } from "~/ui/deferred";
import { WaitingStrip } from "../offline/waiting-strip";
import { Help } from "./help";
import { PersonMenu } from "./person-menu";
import { RoomSwitch } from "./room-switch";

/** The head of every page: name, what the page is about, and at the right what is always at hand. */
export function Head({ children, right }: { children?: ReactNode; right?: ReactNode }) {
  const practising = useRouteLoaderData<typeof rootLoader>("root")?.person?.practising;
  return (
    <>
      {practising && <PracticeStrip />}
      <Bar right={right}>{children}</Bar>
    </>
  );
}

function Bar({ children, right }: { children?: ReactNode; right?: ReactNode }) {
  return (
    <header className="bg-panel border-b border-rule flex items-center gap-x-5 gap-y-2 px-5 max-sm:px-3.5 min-h-15 py-2 flex-wrap">
      <Link to="/" className="figure font-bold tracking-[0.14em] text-ink no-underline max-sm:hidden">
        HARMOSTAT
      </Link>
      <div className="grow min-w-0">{children}</div>
      <div className="flex items-center gap-3 max-sm:gap-2">{right}</div>
    </header>
  );
}

const PracticeStrip = deferred(async () => (await import("../practice/practice-strip")).PracticeStrip);

/** The head of a place: where one is, the room, who is signed in; under it what this tablet still holds. */
export function PlaceHead() {
  return (
    <>
      <Head
        right={
          <>
            <span className="max-sm:hidden">
              <RoomSwitch />
            </span>
            <Help />
            <PersonMenu />
          </>
        }
      >
        <PlaceNav />
      </Head>
      <WaitingStrip />
    </>
  );
}

/** Where one is: a page that belongs to a place without lying under its address counts as well. */
const places = [
  { to: "/", name: "Floor", holds: /^\/$/ },
  { to: "/jobs", name: "Jobs", holds: /^\/(jobs|plan|records)\b/ },
  { to: "/bench", name: "Bench", holds: /^\/bench\b/ },
  { to: "/stores", name: "Stores", holds: /^\/stores\b/ },
];

function PlaceNav() {
  const { pathname } = useLocation();
  return (
    <nav aria-label="Places" className="flex">
      {places.map(({ to, name, holds }) => (
        <Link
          key={to}
          to={to}
          aria-current={holds.test(pathname) ? "page" : undefined}
          className="inline-flex items-center min-h-11 px-3 max-sm:px-2 font-semibold no-underline text-ink aria-[current=page]:shadow-[inset_0_-4px_0_var(--room-ink)]"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
