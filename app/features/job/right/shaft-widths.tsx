import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Field } from "~/ui/field";
import { partSaid } from "../../shafts/shaft-texts";
import { Refused } from "../../words/refused";
import { lengthUnit, lengthWords } from "../../words/spoken";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { type ShaftNow, textName, widthTyped } from "./typed-shaft";

/** Face to face and every width, as measured; where it was fitted before, what has changed since. */
export function ShaftWidths({ now: { shaft, before }, wrong }: { now: ShaftNow; wrong: Refusal | null }) {
  const reader = useWords();
  const { job } = useJobScreen();
  const texts = useTexts();
  const bare = lengthUnit(reader);
  const row = (what: string, label: string, said: string, drawnMm: number | null, key: string) => {
    const was = key === "length" ? before?.body.length : before?.body.parts.find((part) => part.key === key);
    const bad = wrong && (key === "length" ? wrong.path[0] === "length" : wrong.path[1] === key) ? wrong : null;
    // Nobody measured it yet: that it is wanted is said by its hint, not as a fault.
    const error = bad && !(bad.code === "missing") ? <Refused refusal={bad} /> : undefined;
    const name = textName(shaft, what);
    const hint = [
      said,
      drawnMm === null ? "not drawn: measure it" : `${lengthWords(reader, drawnMm, 2)} as drawn`,
      was?.typed && `${lengthWords(reader, was.mm, 3)} last time`,
    ]
      .filter(Boolean)
      .join(", ");
    return (
      <Field
        key={what}
        label={`${label}, ${bare}`}
        hint={hint}
        inputMode="decimal"
        autoComplete="off"
        value={texts[name] ?? ""}
        onChange={(event) => job.changeText(name, event.target.value)}
        error={error}
      />
    );
  };
  const measured = shaft.parts.filter(
    ({ id }) => widthTyped(reader, texts[textName(shaft, `w.${id}`)] ?? "").length > 0,
  );
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold mb-1">
        Widths, several times each: 12.00 11.99. {measured.length} of {shaft.parts.length} measured
      </legend>
      {row("length", "Face to face", `${shaft.leftFace} to ${shaft.rightFace}`, shaft.lengthMm, "length")}
      {shaft.parts.map((part, i) =>
        row(`w.${part.id}`, `${i + 1} ${part.name}`, partSaid(part), part.widthMm, part.id),
      )}
    </fieldset>
  );
}
