import { type EntryGroup, entryGroups } from "~/app/features/record/entry-groups";
import { isId } from "~/app/session/is-id";
import type { FoundPlace, Sought } from "~/data/queries/search";

/** What is looked for, as it stands in the address. */
export type RecordsAsked = {
  words: string;
  group: EntryGroup | null;
  part: string;
  personId: string | null;
  from: string | null;
  to: string | null;
  before: FoundPlace | null;
};

const isGroup = (text: string | null): text is EntryGroup => text !== null && Object.hasOwn(entryGroups, text);
const aDay = (text: string | null): string | null =>
  text && /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text)) ? text : null;

export function recordsAsked(search: URLSearchParams): RecordsAsked {
  const [at, id] = (search.get("before") ?? "").split(" ");
  const person = search.get("by");
  const kind = search.get("kind");
  return {
    words: (search.get("q") ?? "").trim().slice(0, 120),
    group: isGroup(kind) ? kind : null,
    part: (search.get("part") ?? "").trim().slice(0, 80),
    personId: person && isId(person) ? person : null,
    from: aDay(search.get("from")),
    to: aDay(search.get("to")),
    before: at && id && isId(id) && !Number.isNaN(Date.parse(at)) ? { at, id } : null,
  };
}

/** The same as an address, from a place on or from the newest. */
export function recordsAddress(asked: RecordsAsked, before: FoundPlace | null): string {
  const { words, group, part, personId, from, to } = asked;
  const search = new URLSearchParams();
  const said = { q: words, kind: group, part, by: personId, from, to, before: before && `${before.at} ${before.id}` };
  for (const [name, value] of Object.entries(said)) if (value) search.set(name, value);
  const text = search.toString();
  return text === "" ? "?" : `?${text}`;
}

export const isAnything = ({ words, group, part, personId, from, to }: RecordsAsked): boolean =>
  Boolean(words || group || part || personId || from || to);

export const soughtOf = ({ words, group, part, personId, from, to }: RecordsAsked): Sought => ({
  ...{ words, part, personId, from, to },
  kinds: group && entryGroups[group].kinds,
});
