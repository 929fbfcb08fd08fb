import { capital, countWords } from "~/app/features/words/count";
import type { FloorGroup } from "~/data/queries/floor";

/** "four machines are outside"; of what it is stands with the first alone. */
const counted = (n: number, [one, many]: readonly [string, string], first: boolean): string =>
  [countWords(n), first ? (n === 1 ? "machine" : "machines") : "", n === 1 ? one : many].filter(Boolean).join(" ");

/** The headline: what needs somebody today, over the whole workshop. */
export function floorNews(groups: readonly FloorGroup[]): string {
  const sum = (of: keyof Omit<FloorGroup, "site" | "hall">) => groups.reduce((total, group) => total + group[of], 0);
  if (sum("machines") === 0) return "The floor is empty";
  const said: [keyof Omit<FloorGroup, "site" | "hall">, [one: string, many: string]][] = [
    ["outside", ["is outside", "are outside"]],
    ["overdue", ["is overdue", "are overdue"]],
    ["near", ["is near the edge", "are near the edge"]],
    ["drifting", ["drifts out soon", "drift out soon"]],
  ];
  const urgent = said.filter(([of]) => sum(of) > 0);
  const parts =
    urgent.length > 0 || sum("unread") === 0 ? urgent : [["unread", ["has to be read", "have to be read"]] as const];
  if (parts.length > 0)
    return capital(
      parts
        .slice(0, 2)
        .map(([of, verb], i) => counted(sum(of), verb, i === 0))
        .join(", "),
    );
  return sum("open") > 0 ? "Nothing is outside; jobs or points are left open" : "Nothing is outside";
}
