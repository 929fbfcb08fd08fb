import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { Refusal } from "~/core/quantity";
import type { Texts } from "./reader";
import { type Fields, useTexts } from "./use-texts";

export type SavedForm = { fields: Fields; refusal: Refusal | undefined; busy: boolean; send: (input: object) => void };

/**
 * A form whose texts stay on the tablet until its action has taken them. An action that takes them redirects: on the way there
 * they are forgotten. One that refuses answers with the refusal, and they stay.
 */
export function useSavedForm(key: string, initial: Texts): SavedForm {
  const fields = useTexts(key, initial);
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const refusal = fetcher.data?.refusal;
  const { forget } = fields;
  // A redirect leaves the answer of before standing, perhaps an earlier refusal; only a refusal brings a new one.
  const answerBefore = useRef(fetcher.data);
  const taken = fetcher.state === "loading" && fetcher.data === answerBefore.current;
  useEffect(() => {
    if (taken) forget();
  }, [taken, forget]);
  return {
    fields,
    refusal,
    busy: fetcher.state !== "idle",
    // By way of JSON, which leaves out what is undefined.
    send: (input) => fetcher.submit(JSON.parse(JSON.stringify(input)), { method: "post", encType: "application/json" }),
  };
}
