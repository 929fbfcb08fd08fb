import type { Refusal } from "../core/quantity";

/** What a refusal of the core means, in a sentence. */
export function refusalMessage({ code, facts }: Refusal): string {
  const known: Readonly<Record<string, number | string | undefined>> = facts;
  const fact = (name: string) => {
    const value = known[name];
    return typeof value === "number" ? Number(value.toPrecision(6)).toString() : (value ?? "");
  };
  switch (code) {
    case "ring-not-larger":
      return `a ring needs more teeth than its pinion, which has ${fact("pinion")}`;
    case "no-zero-backlash-distance":
      return "with these shifts and thinnings the teeth find no distance at which they mesh free of backlash";
    case "centre-distance-too-small":
      return `the base circles need a centre distance of at least ${fact("leastMm")} mm`;
    case "pin-drops-through":
      return `a pin of ${fact("pinMm")} mm drops through to the root; take a larger one`;
    case "root-not-below-tip":
      return `the root circle must be smaller than the tip circle of ${fact("tipMm")} mm`;
    case "spans-over-equal-teeth":
      return "two spans over the same number of teeth give no base pitch";
    case "too-few-readings":
      return `${fact("given")} readings are too few; give at least ${fact("least")}`;
    case "positions-undetermined":
      return "these positions do not determine the mean and the gear's runout; spread them round the turn";
    case "arc-empty":
      return "the arc must run forwards and hold at least one tooth position";
    case "no-sag":
      return "a chain that hangs straight shows no sag to work from; let it out first";
    case "circles-overlap":
      return `the circles need a centre distance of at least ${fact("leastMm")} mm`;
    case "pulleys-overlap":
      return "this pulley overlaps an earlier one";
    case "no-such-pulley":
      return `there are only ${fact("pulleys")} pulleys, counted from 0`;
    case "stiffness-alone":
      return `the stiffness alone makes the span swing at ${fact("leastHz")} Hz; the frequency must be higher`;
    case "not-a-recording":
      return "this is not a WAV file";
    case "sound-compressed":
      return `the sound is packed as ${fact("form")}; save it as WAV with PCM samples`;
    case "sound-empty":
      return "there is no sound in this file";
    case "not-read-here":
      return "a file is read by the command only";
    case "all-slack":
      return "all of these strands are slack: there is nothing that they share";
    case "stiffness-without-tension":
      return "a take-up needs tensions: give span and mass, or read the strands as tensions";
    case "nothing-to-add":
      return "there is nothing to add up: give wheels, steps, lost motion or others";
    case "two-roles":
      return "one member cannot have two of fixed, input and output";
    case "stack-too-long":
      return "totals of this gap are too many to go through in whole micrometres";
    case "too-many-spacers":
      return `these spacers can be taken in more than ${fact("most")} ways; leave some out`;
    case "goes-beyond-stop":
      return `a size that does not go must be larger than the one that does, ${fact("goesMm")} mm`;
    case "flank-twice":
      return "each flank is given once";
    case "not-of-this-kind":
      return "this does not belong to this kind";
    case "single-force":
      return "the points need at least two different forces";
    case "no-current":
      return "the line through these points has no current at the least force";
    case "no-surface-speed":
      return "a wheel belongs to an output in metres a second";
    case "missing":
      return "this is missing";
    case "one-of-missing":
      return "give one temperature for all, or one for the housing and each gear";
    case "one-of-doubled":
      return "give one temperature for all, or one for the housing and each gear, not both";
    case "no-two-times":
      return "the points need at least two different times within one segment";
    case "too-many-positions":
      return `there are only ${fact("most")} tooth positions in so many turns`;
    default:
      return code.replaceAll("-", " ");
  }
}
