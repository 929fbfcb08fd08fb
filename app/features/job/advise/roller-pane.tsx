import { useState } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type RollerSetting, rollerSettings } from "~/core/advice";
import { accept, parseQuantity, type Refusal, type Result, severalQuantities } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { stageUnit } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import type { RoundView } from "../read/round-view";

const mostShown = 3;

/** A roller in a row of holes with barrels of several diameters at hand: both are one adjuster, and the barrel is its fine step. */
export function RollerPane({
  stage,
  view,
  onMove,
}: {
  stage: Stage;
  view: RoundView;
  onMove: (amount: number, note: string) => Refusal | null;
}) {
  const reader = useWords();
  const texts = useTexts();
  const onText = useJobScreen().job.changeText;
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const { adjuster, limits } = stage;
  if (!adjuster.adjuster || !limits) return null;
  const sizes = (name: string): Result<number[]> | null => {
    const read = severalQuantities(texts[name] ?? "").map((text) => parseQuantity(text, "length", "mm"));
    const wrong = read.find((one) => !one.ok);
    if (read.length === 0) return null;
    return wrong && !wrong.ok ? wrong : accept(read.flatMap((one) => (one.ok ? [one.value.value] : [])));
  };
  const [now, atHand] = [sizes("roller.now"), sizes("roller.barrels")];
  const nowMm = now?.ok ? now.value[0] : undefined;
  const barrels = atHand?.ok ? atHand.value : [];
  const settings =
    nowMm === undefined || barrels.length === 0
      ? []
      : rollerSettings(view.advice, adjuster.adjuster, adjuster.step, { nowMm, atHandMm: barrels }, view.judged, {
          lo: limits.lo,
          aim: limits.aim ?? undefined,
          hi: limits.hi,
        });
  const unit = stageUnit(reader, stage.geometry.element);
  const words = ({ holes, barrelMm }: RollerSetting) => {
    const count = Math.abs(holes);
    const row =
      count === 0
        ? "in the hole where it is"
        : `${count === 1 ? "one hole" : `${count} holes`} ${holes > 0 ? adjuster.positiveWord : adjuster.negativeWord}`;
    return `${row}, ${barrelMm === nowMm ? "the barrel that is on it" : `a barrel of ${lengthWords(reader, barrelMm, 1)}`}`;
  };
  const take = (setting: RollerSetting) => {
    const note = `${words(setting)}, from a barrel of ${lengthWords(reader, nowMm ?? 0, 1)}`;
    const refused = onMove(setting.amount, note);
    setRefusal(refused);
    if (refused) return;
    onText("roller.now", formatNumber(reader, setting.barrelMm, 1));
  };
  return (
    <section aria-labelledby="roller" className="border-t border-rule pt-3 grid gap-3">
      <h3 id="roller" className="text-lg font-bold">
        Holes and barrels together
      </h3>
      <div className="grid sm:grid-cols-2 gap-3">
        <Field
          label="Barrel on it now"
          hint="diameter, mm"
          value={texts["roller.now"] ?? ""}
          autoComplete="off"
          onChange={(event) => onText("roller.now", event.target.value)}
          error={now && !now.ok ? refusalWords(reader, now.refusal) : undefined}
        />
        <Field
          label="Barrels at hand"
          hint="diameters, mm: 15 18 22"
          value={texts["roller.barrels"] ?? ""}
          autoComplete="off"
          onChange={(event) => onText("roller.barrels", event.target.value)}
          error={atHand && !atHand.ok ? refusalWords(reader, atHand.refusal) : undefined}
        />
      </div>
      {settings.length > 0 && (
        <ul className="grid gap-3" aria-label="The best of them">
          {settings.slice(0, mostShown).map((setting) => (
            <li key={`${setting.holes} ${setting.barrelMm}`} className="grid gap-1">
              <p className="text-lg">
                <b>{words(setting)}</b>: then <span className="figure">{unit.range(setting.min, setting.max)}</span>{" "}
                {unit.unit} <StateMark state={verdictState[setting.verdict]} />
              </p>
              {setting.amount !== 0 && (
                <div>
                  <Button onClick={() => take(setting)}>Did this</Button>
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
      {settings.length > 0 && (
        <p className="text-mid">
          A barrel presses by half of its diameter (common practice). Turn it two turns by hand, then read again.
        </p>
      )}
      {refusal && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, refusal)}
        </p>
      )}
    </section>
  );
}
