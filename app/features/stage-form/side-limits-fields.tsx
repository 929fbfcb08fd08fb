import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { recommendSide, type SideQuantity, type StageElement, sidesOf, sideUnit } from "~/core/stages";
import { Button } from "~/ui/button";
import { TextField } from "../form/text-field";
import { useWriteTexts } from "../form/use-form-texts";
import { sideWords } from "../words/quantity-names";
import { ruleWords } from "./rule-words";

/** Limits of what is read beside it, each with its own; what is left empty is kept when read, and not judged. */
export function SideLimitsFields({ element }: { element: StageElement }) {
  const quantities = sidesOf(element);
  if (quantities.length === 0) return null;
  return (
    <details>
      <summary className="min-h-11 content-center cursor-pointer text-xl font-bold">
        Also measure: {quantities.map((quantity) => sideWords[quantity].toLowerCase()).join(", ")}
      </summary>
      <div className="grid gap-5 pt-2 max-w-4xl">
        {quantities.map((quantity) => (
          <SideRow key={quantity} element={element} quantity={quantity} />
        ))}
      </div>
    </details>
  );
}

function SideRow({ element, quantity }: { element: StageElement; quantity: SideQuantity }) {
  const reader = useWords();
  const write = useWriteTexts();
  const name = (part: string) => `side.${quantity}.${part}`;
  const { unit, digits } = sideUnit[quantity];
  const found = recommendSide(element, quantity, {});
  return (
    <fieldset className="grid grid-cols-2 sm:grid-cols-[8rem_8rem_minmax(0,1fr)] gap-4 border-t border-rule pt-2">
      <legend className="font-semibold">{sideWords[quantity]}</legend>
      <TextField name={name("lo")} label="Lower" aria-label={`${sideWords[quantity]}, lower`} hint={unit} />
      <TextField name={name("hi")} label="Upper" aria-label={`${sideWords[quantity]}, upper`} hint={unit} />
      <TextField name={name("source")} label="Source, in words" aria-label={`${sideWords[quantity]}, source`} />
      {found && (
        <p className="col-span-full flex flex-wrap gap-3 items-center">
          <span>
            Recommended {found.lo > 0 ? `${formatNumber(reader, found.lo, digits)} to ` : "up to "}
            {formatNumber(reader, found.hi, digits)} {unit}.{" "}
            <span className="text-mid">{ruleWords(reader, found)}</span>
          </span>
          <Button
            kind="quiet"
            onClick={() =>
              write({
                [name("lo")]: found.lo > 0 ? formatNumber(reader, found.lo, digits) : "",
                [name("hi")]: formatNumber(reader, found.hi, digits),
                [name("kind")]: "recommended",
                [name("source")]: ruleWords(reader, found),
              })
            }
          >
            Fill it in
          </Button>
        </p>
      )}
    </fieldset>
  );
}
