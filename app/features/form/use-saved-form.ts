import { useEffect } from "react";
import { useFetcher, useNavigate } from "react-router";
import type { Refusal } from "~/core/quantity";
import type { Texts } from "./text-reader";
import { type Fields, useTexts } from "./use-texts";

export type SavedForm = { fields: Fields; refusal: Refusal | undefined; busy: boolean; send: (input: object) => void };

/**
 * A form whose texts stay on the tablet until its action has taken them. An action answers with where it goes on to, and then they are
 * forgotten first, or with a refusal, and they stay.
 */
export function useSavedForm(key: string, initial: Texts): SavedForm {
  const fields = useTexts(key, initial);
  const fetcher = useFetcher<{ refusal?: Refusal; onward?: string }>();
  const navigate = useNavigate();
  const { refusal, onward } = fetcher.data ?? {};
  const { forget } = fields;
  useEffect(() => {
    if (onward === undefined) return;
    forget();
    navigate(onward);
  }, [onward, forget, navigate]);
  return {
    fields,
    refusal,
    busy: fetcher.state !== "idle" || onward !== undefined,
    // By way of JSON, which leaves out what is undefined.
    send: (input) => fetcher.submit(JSON.parse(JSON.stringify(input)), { method: "post", encType: "application/json" }),
  };
}
