import type { ReactNode } from "react";
import { degrees } from "~/core/numerics";
import { frameOf, judgedBy, leastPlaces, type StageElement } from "~/core/stages";
import { placeOf, tightWords } from "../words/quantity";

/** What has to be done before a reading means anything, by kind. */
export function beforeReading(element: StageElement): string {
  switch (element.kind) {
    case "gear-pair":
      return `Rock the shafts in their bearings first: play there makes every reading a lie. Read with the clamps at full torque.${element.pair.helixAngleDeg === 0 ? "" : " Helical gears push along their shafts: read the end float both ways, apart from this."}`;
    case "worm":
      return "Hold the load, then rock the wheel both ways with the worm locked along its axis. What the worm floats is read apart: no mesh adjustment takes it away. A worm that seems self-locking is no brake.";
    case "bevel":
      return "Support the member that is shimmed. Rock the shafts first, then read the gear with the pinion held. The gear's shims set the backlash, the pinion's the contact pattern; after one, look at the other again.";
    case "planetary":
      return "Hold the input still and turn the output both ways: what is felt is the play of both meshes and of the planets' bearings. The output may run free when the set is opened.";
    case "toothed-belt":
      return "Turn the drive two turns by hand first, so that the belt seats. Pluck or press the longest free span in its middle; the same span each time.";
    case "v-belt":
      return element.belts > 1
        ? "Turn the drive two turns by hand first. Read each belt by itself: they share a load only at equal tension. Never lever or roll a belt on."
        : "Turn the drive two turns by hand first, so that the belt seats. Pluck or press the span in its middle. Never lever or roll a belt on.";
    case "chain":
      return judgedBy(element) === "elongation"
        ? "A steep run has no rule for its sag: it is judged by its wear. Measure over counted pitches under a light pull. Secure the load and both ends before a joint is opened."
        : "Pull one strand tight. Either read how far the other hangs from the straight line, or move it up and down in its middle and read the whole way; say which. Go round the whole chain and look for its tightest place.";
    case "gap":
      return "Take the play out towards the same side each time, then feel for an even drag. With a pin or feeler, the largest that goes in by hand counts.";
  }
}

/** Where to stand the part while setting: always at its tight spot. */
export function standWords(element: StageElement, place: number | null): ReactNode {
  if (place === null || leastPlaces(frameOf(element)) === 1) return null;
  const where = <span className="text-copper">{placeOf(element, place)}</span>;
  switch (element.kind) {
    case "gear-pair":
    case "bevel":
      return <>Stand the gear with {where}, the tight spot, in mesh. </>;
    case "worm":
      return <>Stand the wheel with {where}, the tight spot, at the worm. </>;
    case "toothed-belt":
    case "v-belt":
      return (
        <>
          Stand it at {where}, {tightWords(element)}.{" "}
        </>
      );
    case "chain":
      return (
        <>
          Bring {where}, {tightWords(element)}, to the middle of the slack span.{" "}
        </>
      );
    default:
      return (
        <>
          At {where}, {tightWords(element)}.{" "}
        </>
      );
  }
}

/** Of a worm that cannot be driven by its wheel the output is never turned: the worm is, by so many turns. */
const leadThatHolds = 15;

/** How a worm stage is felt free: by its output where the lead lets it, else by so many turns of the worm. */
export function freeTurnWords({ worm }: Extract<StageElement, { kind: "worm" }>): string {
  const turns = worm.wheelTeeth / worm.wormStarts;
  const lead = degrees(Math.atan((worm.wormStarts * worm.axialModuleMm) / worm.wormPitchDiameterMm));
  return lead < leadThatHolds
    ? `turn the worm ${Number.isInteger(turns) ? turns : turns.toFixed(1)} turns by hand, one turn of the output (a worm of so small a lead cannot be turned from its output, and must not be forced)`
    : "release the drive and turn the output a turn by hand";
}

/** Which way parts the teeth, or brings them together, in the words of the part: inside a ring the centres go the other way. */
export function partingWay(element: StageElement, step: "apart" | "together"): string {
  const apart = step === "apart";
  switch (element.kind) {
    case "bevel":
      return `Move the ${element.shimmed} ${apart ? "away from" : "towards"} the apex`;
    case "worm":
      return apart ? "Move the worm away from the wheel" : "Move the worm towards the wheel";
    case "gear-pair":
      return element.pair.internal !== apart ? "Part the centres" : "Bring the centres together";
    default:
      return apart ? "Part them" : "Bring them together";
  }
}

/** What is wrong where the spread is wider than the limits lie apart. */
export function notRound(element: StageElement): string {
  switch (element.kind) {
    case "toothed-belt":
      return "a pulley is not round, or sits off centre";
    case "v-belt":
      return element.belts > 1 ? "the belts of the set are not alike" : "a pulley is not round, or sits off centre";
    case "chain":
      return "the chain is worn unevenly";
    case "gap":
      return "the faces are not parallel";
    case "planetary":
      return "the carrier is not round";
    default:
      return "the gear is not round";
  }
}

/** Why nothing can be moved. */
export function nothingToAdjust(element: StageElement): string {
  if (element.kind === "planetary")
    return "Nothing on a planetary set can be adjusted: its play is made by teeth, planet bearings and pins.";
  if (element.kind === "chain")
    return "Wear cannot be adjusted away: a worn chain is replaced, with its sprockets if they are hooked. Its slack can be taken up, felt by hand.";
  return "This stage has nothing to adjust.";
}
