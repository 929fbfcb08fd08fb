import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { aimOf, judgedBy, limitWays, type MeasuredQuantity, onlyUpper } from "~/core/stages";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { Select } from "~/ui/field";
import { TextField } from "../form/text-field";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { readElement } from "../kinds/forms";
import { judgedWords, measuredWords } from "../words/quantity-names";
import { limitQuantityOf, limitUnit, readLimits, ruleLimits, sourceKinds } from "./limits-texts";
import { Recommend } from "./recommend";
import { SideLimitsFields } from "./side-limits-fields";

/** Lower, aim, upper, and where they come from; filled in from the rules of the trade where no maker says. `revised`: of a stage that is there; then they are wanted. */
export function LimitsFields({ revised = false }: { revised?: boolean }) {
  const reader = useWords();
  const texts = useFormTexts();
  const write = useWriteTexts();
  const element = readElement(texts).value;
  const quantity = limitQuantityOf(texts, element);
  const unit = limitUnit(quantity);
  const noLower = element !== null && onlyUpper(judgedBy(element));
  const limits = readLimits(texts);
  const read =
    limits.value ??
    (limits.problems && Object.keys(limits.problems).every((name) => name === "source")
      ? readLimits({ ...texts, source: "-" }).value
      : null);
  const ways = element ? limitWays(element) : [];
  return (
    <>
      <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
        <legend className="text-xl font-bold mb-2">
          Limits of {element ? judgedWords[judgedBy(element)] : "what is read"}{" "}
          {!revised && (
            <span className="font-normal text-mid">
              {!element || ruleLimits(element)
                ? "optional: left empty, a rule's stand as an open point"
                : "optional: no rule knows them here; left empty, it is read and not judged until somebody says them"}
            </span>
          )}
        </legend>
        <div className="grid gap-4 content-start">
          {ways.length > 1 && (
            <Select
              label="Given as"
              value={quantity}
              onChange={(event) => write({ "limits.quantity": event.target.value })}
            >
              {ways.map((way) => (
                <option key={way} value={way}>
                  {givenWords[way] ?? measuredWords[way].name}
                </option>
              ))}
            </Select>
          )}
          {(quantity === "span-force" || quantity === "span-deflection") && (
            <TextField
              name="limits.held"
              label={quantity === "span-force" ? "For a deflection of" : "By a force of"}
              hint={quantity === "span-force" ? "mm; empty: a 64th of the span" : "N; empty: 10"}
              className="max-w-72"
            />
          )}
          <div className="grid grid-cols-3 gap-4">
            {!noLower && <TextField name="lo" label="Lower" hint={`${unit}, or with unit`} />}
            {!noLower && <TextField name="aim" label="Aim" hint="empty: the middle" />}
            <TextField name="hi" label="Upper" hint={noLower ? `${unit}, or with unit` : undefined} />
          </div>
          <SourceFields kind="sourceKind" source="source" />
          <p className="text-mid">
            They hold from the moment they are saved; what was judged before stays as it was judged.
          </p>
        </div>
        <div className="grid gap-4 self-start">
          {read && (
            <div className="bg-panel p-3 max-w-md">
              <BandGauge
                lo={read.lo}
                hi={read.hi}
                aim={element ? aimOf(judgedBy(element), read) : read.aim}
                now={null}
                then={null}
                state="unknown"
                unit={unit}
                label={`Limits ${formatNumber(reader, read.lo, 3)} to ${formatNumber(reader, read.hi, 3)} ${unit}`}
              />
            </div>
          )}
          <Recommend element={element} />
        </div>
      </fieldset>
      {element && <SideLimitsFields element={element} />}
    </>
  );
}

/** How limits are given, where it is not how they are read. */
const givenWords: Partial<Record<MeasuredQuantity, string>> = {
  "circumferential-backlash": "circumferential, at the pitch circle",
  "normal-backlash": "normal, between the flanks",
  "angular-backlash": "angle of the driven part",
  tension: "tension of one strand",
  "span-frequency": "span frequency",
  "span-force": "force for a deflection",
  "span-deflection": "deflection by a force",
};

/** What kind of source limits have, and which. */
export function SourceFields({ kind, source, usual = "drawing" }: { kind: string; source: string; usual?: string }) {
  const texts = useFormTexts();
  const write = useWriteTexts();
  return (
    <div className="grid sm:grid-cols-[auto_1fr] gap-4">
      <Select
        label="They come from"
        value={texts[kind] || usual}
        onChange={(event) => write({ [kind]: event.target.value })}
      >
        {sourceKinds.map((known) => (
          <option key={known}>{known}</option>
        ))}
      </Select>
      <TextField name={source} label="Source, in words" hint="sheet 4, revision C; page of the manual …" />
    </div>
  );
}
