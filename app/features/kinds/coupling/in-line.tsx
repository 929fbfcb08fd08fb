import { type ReactNode, useState } from "react";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { type Alignment, alignShafts, type DialRound } from "~/core/couplings";
import type { Refusal } from "~/core/quantity";
import type { CouplingElement } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { parseAmount } from "../../words/amount";
import { Refused } from "../../words/refused";
import { lengthUnit } from "../../words/spoken";
import type { BesideProps } from "../kind-panes";
import { DialClock, type DialPlace, dialPlaces } from "./dial-clock";
import { InLinePicture } from "./in-line-picture";
import { moveWords, notClosedWords, standWords } from "./in-line-words";

const rounds = ["rim", "face"] as const;
/** Off by more, the bracket was loose or a rim is not round (common practice). */
const closureLimitMm = 0.02;

type Dials = Record<(typeof rounds)[number], DialRound> & { faceDiameterMm: number };

/** Two shafts by rim and face: what was read at four places, how they stand by it, and what the feet need. */
export function InLine({ stage, element, texts, onText, onMove }: BesideProps<"coupling">) {
  const reader = useWords();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const { dials, problems } = readDials(reader, texts);
  const found =
    dials &&
    alignShafts({
      rim: dials.rim,
      by: { face: { ...dials.face, diameterMm: dials.faceDiameterMm } },
      feet: element.feet ?? undefined,
      closureLimitMm,
      expandedUncertaintyMm: 0,
    });
  const field = (name: string, label: ReactNode, hint?: string) => (
    <Field
      key={name}
      label={label}
      hint={hint}
      inputMode="decimal"
      autoComplete="off"
      value={texts[name] ?? ""}
      onChange={(event) => onText(name, event.target.value)}
      error={problems[name] ? <Refused refusal={problems[name]} /> : undefined}
    />
  );
  const done = (moves: NonNullable<Alignment["moves"]>) => {
    const refused = onMove(greatest(moves), `${standWords(reader, found as Alignment)} ${moveWords(reader, moves)}`);
    setRefusal(refused);
    if (!refused) for (const name of fieldNames) onText(name, "");
  };
  return (
    <section aria-labelledby="in-line" className="border-t border-rule pt-3 mt-3 grid gap-3">
      <h3 id="in-line" className="text-lg font-bold">
        Shafts in line, by rim and face
      </h3>
      <p className="text-mid">
        Dials on the fixed shaft, on the movable hub; zero at the top, turn both shafts together. Seen from the movable
        machine towards the coupling; plunger pushed in is plus. No foot may lift more than 0.05 mm when its screw is
        slackened (common practice).
      </p>
      <div className="grid gap-4">
        {rounds.map((round) => (
          <DialClock
            key={round}
            name={round === "rim" ? "On the rim" : "On the face"}
            read={dials && placesOf(dials[round])}
            field={(place) =>
              field(
                `${round}.${place}`,
                <>
                  <span className="sr-only">{round === "rim" ? "Rim," : "Face,"} </span>
                  {place}
                </>,
              )
            }
          />
        ))}
      </div>
      <div className="grid grid-cols-2 gap-3">
        {field("face.diameter", "Face read on a diameter of", lengthUnit(reader))}
        {field("rim.sag", "Sag of the rim's bracket", "at the bottom on a stiff bar; empty: 0")}
      </div>
      {found && (
        <div className="grid gap-3" aria-live="polite">
          <p className="text-2xl font-semibold leading-snug">{standWords(reader, found)}</p>
          <InLinePicture found={found} feet={element.feet} />
          {found.valid ? (
            <Feet found={found} element={element} onDone={stage.adjuster.adjuster ? done : null} />
          ) : (
            <p className="text-lg border-l-4 border-outside pl-3">{notClosedWords(reader, found)}</p>
          )}
          {refusal && (
            <p role="alert" className="text-outside font-semibold">
              <Refused refusal={refusal} />
            </p>
          )}
        </div>
      )}
    </section>
  );
}

function Feet({
  found,
  element,
  onDone,
}: {
  found: Alignment;
  element: CouplingElement;
  onDone: ((moves: NonNullable<Alignment["moves"]>) => void) | null;
}) {
  const reader = useWords();
  const { moves } = found;
  if (!element.feet || !moves)
    return (
      <p className="text-lg text-mid">
        Where the feet stand is not known: enter it at the stage, and this says what they need.
      </p>
    );
  return (
    <>
      <p className="text-lg">{moveWords(reader, moves)}</p>
      {onDone ? (
        <div>
          <Button kind="now" large onClick={() => onDone(moves)}>
            Set the feet so
          </Button>
        </div>
      ) : (
        <p className="text-mid">No shims are entered as its adjuster: log what was done as a note.</p>
      )}
    </>
  );
}

const fieldNames = [...rounds.flatMap((round) => dialPlaces.map((place) => `${round}.${place}`)), "rim.sag"];

const placesOf = ({ topMm, rightMm, bottomMm, leftMm }: DialRound): Record<DialPlace, number> => ({
  top: topMm,
  right: rightMm,
  bottom: bottomMm,
  left: leftMm,
});

/** What was typed, once every place of both rounds stands there. */
function readDials(reader: Reader, texts: Record<string, string>) {
  const problems: Record<string, Refusal> = {};
  let missing = false;
  const length = (name: string, usual?: number): number => {
    const typed = (texts[name] ?? "").trim();
    if (typed === "") {
      if (usual === undefined) missing = true;
      return usual ?? Number.NaN;
    }
    const read = parseAmount(reader, typed, "mm");
    if (read.ok) return read.value;
    problems[name] = read.refusal;
    return Number.NaN;
  };
  const round = (name: (typeof rounds)[number]): DialRound => ({
    topMm: length(`${name}.top`),
    rightMm: length(`${name}.right`),
    bottomMm: length(`${name}.bottom`),
    leftMm: length(`${name}.left`),
    sagMm: name === "rim" ? length("rim.sag", 0) : 0,
  });
  const dials: Dials = { rim: round("rim"), face: round("face"), faceDiameterMm: length("face.diameter") };
  if (dials.faceDiameterMm <= 0) problems["face.diameter"] = { code: "too-small", path: ["face.diameter"], facts: {} };
  return { dials: missing || Object.keys(problems).length > 0 ? null : dials, problems };
}

/** The greatest of the moves, which stands for them in the log; the words beside it tell all four. */
function greatest({ front, rear }: NonNullable<Alignment["moves"]>): number {
  const shims = [front.shimMm, rear.shimMm];
  return shims.reduce((most, mm) => (Math.abs(mm) > Math.abs(most) ? mm : most), 0);
}
