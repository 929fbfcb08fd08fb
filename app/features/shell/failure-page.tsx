import { useEffect } from "react";
import { isRouteErrorResponse, Link, useLocation, useRevalidator } from "react-router";
import { buttonClass } from "~/ui/button";

/** In the place of a page that cannot be shown: why, and what can be done. */
export function FailurePage({ error }: { error: unknown }) {
  const { title, text } = failureWords(error);
  const { pathname, search } = useLocation();
  useTriedAgain(isAway(error));
  return (
    <main className="p-8 max-w-2xl">
      <h1 className="text-3xl font-bold mb-3">{title}</h1>
      <p className="text-lg mb-6">{text}</p>
      <div className="flex gap-3">
        <Link to={pathname + search} reloadDocument className={buttonClass("now", true)}>
          Try again
        </Link>
        <Link to="/" className={buttonClass("line", true)}>
          To the floor
        </Link>
      </div>
    </main>
  );
}

const againMs = 4000;

/** A page whose logbook was away or busy comes by itself, once it can. */
function useTriedAgain(away: boolean): void {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (!away || state !== "idle") return;
    const timer = setTimeout(revalidate, againMs);
    return () => clearTimeout(timer);
  }, [away, state, revalidate]);
}

const isAway = (error: unknown): boolean => isRouteErrorResponse(error) && error.status === 503;

function failureWords(error: unknown): { title: string; text: string } {
  if (isAway(error))
    return {
      title: "The logbook cannot be reached just now",
      text: "Everything that was recorded is safe, and what was typed in a job is kept on this tablet. The page comes by itself once the logbook is there.",
    };
  if (isRouteErrorResponse(error)) {
    if (error.status === 404)
      return {
        title: "Nothing stands here",
        text: "The address leads to nothing that is kept. It may have been typed wrong.",
      };
    if (error.status === 400)
      return { title: "That address is not understood", text: "It may have been typed or copied wrong." };
    if (error.status === 403) return { title: "Not with this account", text: "Your account may not open this page." };
  }
  return {
    title: "This page could not be shown",
    text: "Nothing that was recorded is lost, and what was typed in a job is kept on this tablet. Try again in a moment.",
  };
}
