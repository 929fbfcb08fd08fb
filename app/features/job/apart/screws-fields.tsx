import type { GuidePart } from "~/core/guides";
import { accept, parseQuantity, type Refusal, type Result, refuse } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { screwsText } from "../../words/parts";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

type Texts = Readonly<Record<string, string>>;
type ScrewsOut = { size: string; lengthMm: number | null; count: number; washers: number; where: string };

const ways = ["guide", "none", "count", "unknown"] as const;
type Way = (typeof ways)[number];
const mostSets = 6;

const wayOf = (texts: Texts): Way => ways.find((way) => way === texts["off.screws"]) ?? "unknown";
const setsOf = (texts: Texts): number => Math.min(mostSets, Math.max(1, Number(texts["off.sets"] || 1)));
const name = (i: number, field: string) => `off.set.${i}.${field}`;
export const screwTexts = ["screws", "sets"] as const;

/** What was said of the screws; null: nobody counted them. */
export function screwsSaid(texts: Texts, part: GuidePart | null): Result<ScrewsOut[] | null> {
  const way = wayOf(texts);
  const where = (texts["off.where"] ?? "").trim();
  if (way === "unknown") return accept(null);
  if (way === "none") return accept([]);
  if (way === "guide" && part)
    return accept(
      part.screws.map(({ size, lengthMm, count, washers, where: usual }) => ({
        size,
        lengthMm,
        count,
        washers,
        where: where || usual,
      })),
    );
  const sets: ScrewsOut[] = [];
  for (let i = 0; i < setsOf(texts); i++) {
    const said = (field: string) => (texts[name(i, field)] ?? "").trim();
    if (i > 0 && said("size") === "" && said("count") === "") continue;
    const pieces = (field: string): Result<number> => {
      const typed = said(field);
      if (typed === "" && field === "washers") return accept(0);
      if (typed === "") return refuse("missing", [name(i, field)]);
      return /^\d{1,3}$/.test(typed) ? accept(Number(typed)) : refuse("not-whole", [name(i, field)], { text: typed });
    };
    const [count, washers] = [pieces("count"), pieces("washers")];
    if (!count.ok) return count;
    if (!washers.ok) return washers;
    if (said("size") === "") return refuse("missing", [name(i, "size")]);
    const length = said("length") === "" ? null : parseQuantity(said("length"), "length", "mm");
    if (length && !length.ok) return refuse(length.refusal.code, [name(i, "length")], length.refusal.facts);
    sets.push({
      size: said("size"),
      lengthMm: length?.ok ? length.value.value : null,
      count: count.value,
      washers: washers.value,
      where,
    });
  }
  return accept(sets);
}

/** The screws of a part as it comes off: as its guide has them, none, counted by size, or not counted. */
export function ScrewsFields({ part, problem }: { part: GuidePart | null; problem: Refusal | null }) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const way = wayOf(texts);
  const sets = setsOf(texts);
  const field = (i: number, key: string) => ({
    value: texts[name(i, key)] ?? "",
    autoComplete: "off",
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => job.changeText(name(i, key), event.target.value),
    error: problem?.path[0] === name(i, key) ? <Refused refusal={problem} /> : undefined,
  });
  const options: { value: Way; label: string }[] = [
    ...(part && part.screws.length > 0 ? [{ value: "guide" as const, label: screwsText(part.screws) }] : []),
    { value: "none", label: "No screws" },
    { value: "count", label: "Count them" },
    { value: "unknown", label: "Not counted" },
  ];
  return (
    <div className="grid gap-3">
      <Choice
        legend="Screws that came out"
        name="off-screws"
        value={way}
        onChange={(value) => job.changeText("off.screws", value)}
        options={options}
      />
      {way === "count" &&
        Array.from({ length: sets }, (_, i) => (
          <fieldset key={i} className="grid grid-cols-2 sm:grid-cols-4 gap-3">
            <legend className="sr-only">Screws of size {i + 1}</legend>
            <Field label="How many" inputMode="numeric" {...field(i, "count")} />
            <Field label="Size" placeholder="M4" {...field(i, "size")} />
            <Field label="Length" inputMode="decimal" {...field(i, "length")} />
            <Field label="Washers" inputMode="numeric" {...field(i, "washers")} />
          </fieldset>
        ))}
      {way === "count" && sets < mostSets && (
        <div>
          <Button kind="quiet" onClick={() => job.changeText("off.sets", String(sets + 1))}>
            Another size
          </Button>
        </div>
      )}
      {(way === "count" || way === "guide") && (
        <Field
          label="Where you put them"
          hint="back in their holes, tray 2, bag “cover”"
          value={texts["off.where"] ?? ""}
          autoComplete="off"
          onChange={(event) => job.changeText("off.where", event.target.value)}
        />
      )}
    </div>
  );
}
