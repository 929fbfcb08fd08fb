import { useState } from "react";
import { sideRemark } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import { shownIn } from "~/core/practice";
import { parseQuantity, type Refusal, unitById } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { measuredUnit, type SideQuantity, sidesOf } from "~/core/stages";
import { sideUncertainty } from "~/operations/entries/side-way";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { sideValueWords } from "../../words/entry";
import { limitWords } from "../../words/limit-words";
import { sideIn } from "../../words/quantity";
import { measuredWords, sideWords } from "../../words/quantity-names";
import { Refused } from "../../words/refused";
import { withUnit } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { bareUnit, instrumentsFor } from "./method";

/** What each side quantity wants typed: both ways, both ends, or once. */
const asked: Record<SideQuantity, readonly string[]> = {
  "end-float": ["Pushed one way, pulled the other", "And with the direction of turning reversed"],
  elongation: ["Over the counted pitches"],
  runout: ["Whole swing of the indicator"],
  offset: ["At one edge", "At the other"],
  angle: ["One way", "Square to it"],
  "hub-gap": ["At the top", "At the bottom", "At the left", "At the right"],
  "run-clearance": ["Narrowest to the frame", "To a guard or guide", "Over the slack strand, pushed"],
};

/** Read beside what the stage is judged by: end float, wear, runout, alignment, each with limits of its own or none. */
export function SidePane({ stage }: { stage: Stage }) {
  const reader = useWords();
  const { job, data } = useJobScreen();
  const texts = useTexts();
  const quantities = sidesOf(stage.geometry.element);
  const [problem, setProblem] = useState<Refusal | null>(null);
  const quantity = quantities.find((known) => known === texts["side.quantity"]) ?? quantities[0];
  if (!quantity) return null;
  const instruments = instrumentsFor(quantity, data.instruments);
  const instrument = instruments.find(({ id }) => id === texts["side.instrument"]) ?? instruments[0];
  const name = (i: number) => `side.${quantity}.${i}`;
  const usual = measuredUnit[quantity];
  const bare = instrument ? bareUnit(quantity, undefined, instrument) : usual.bare;
  const limits = stage.sideLimits.find((known) => known.quantity === quantity);
  const pitches = parseQuantity(texts["side.held"] ?? "", "length", "mm");
  const held = quantity === "elongation" && pitches.ok ? pitches.value.value : null;
  const u = instrument ? sideUncertainty(stage.geometry.element, quantity, held, instrument) : 0;
  const log = async () => {
    if (!instrument) return setProblem({ code: "no-such-instrument", path: ["instrumentId"], facts: {} });
    const typed = asked[quantity]
      .map((_, i) => withUnit(texts[name(i)] ?? "", bare, usual.bare))
      .filter((text) => text !== "");
    if (typed.length === 0) return setProblem({ code: "empty", path: ["typed", 0], facts: {} });
    const result = await job.put({ kind: "side", quantity, instrumentId: instrument.id, typed, held, note: "" });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) for (const i of asked[quantity].keys()) job.changeText(name(i), "");
  };
  return (
    <div className="grid gap-3 py-2">
      <Select label="What" value={quantity} onChange={(event) => job.changeText("side.quantity", event.target.value)}>
        {quantities.map((known) => (
          <option key={known} value={known}>
            {sideWords[known]}
          </option>
        ))}
      </Select>
      <p>
        {measuredWords[quantity].worth}
        {sideRemark(stage.geometry.element, quantity)}
      </p>
      <p className="text-mid">
        {limits
          ? `Limits ${limitWords(limits.lo, limits.hi, sideIn(reader, quantity))}, ${limits.source}`
          : "No limits are given for it: it is kept, not judged."}
      </p>
      {instruments.length > 1 && (
        <Select
          label="With"
          value={instrument?.id}
          onChange={(event) => job.changeText("side.instrument", event.target.value)}
        >
          {instruments.map(({ id, name: called }) => (
            <option key={id} value={id}>
              {called}
            </option>
          ))}
        </Select>
      )}
      {instrument && (
        <p>
          A reading by the {instrument.name} is good to <b>±{sideIn(reader, quantity).said(u, 2)}</b> (k = 2): its step
          of {shownIn(instrument).shown(instrument.resolution)} {shownIn(instrument).symbol} at zero and at the reading,
          and ±{shownIn(instrument).shown(instrument.expandedUncertainty)} {shownIn(instrument).symbol} of its
          certificate.
        </p>
      )}
      {quantity === "elongation" && (
        <Field
          label="Pitches counted"
          hint="empty: 20"
          value={texts["side.held"] ?? ""}
          onChange={(event) => job.changeText("side.held", event.target.value)}
          autoComplete="off"
        />
      )}
      {asked[quantity].map((label, i) => (
        <Field
          key={label}
          label={label}
          hint={unitById(bare).symbol}
          inputMode="decimal"
          value={texts[name(i)] ?? ""}
          onChange={(event) => job.changeText(name(i), event.target.value)}
          autoComplete="off"
          error={problem && (problem.path[1] ?? 0) === i ? <Refused refusal={problem} /> : undefined}
        />
      ))}
      <Button onClick={log}>Log the {sideWords[quantity].toLowerCase()}</Button>
      <ul aria-label="Also measure">
        {job.record.sides.map(({ id, body }) => (
          <li key={id} className="flex gap-3 items-center min-h-9">
            {sideValueWords(reader, body)} {body.verdict && <StateMark state={verdictState[body.verdict]} />}
          </li>
        ))}
      </ul>
    </div>
  );
}
