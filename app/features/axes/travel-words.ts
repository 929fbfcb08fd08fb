import type { TravelFault } from "~/core/axes";

const faultWords: Record<TravelFault["code"], (by: string) => string> = {
  "no-switch": () => "has no switch",
  "switch-inside-work": (by) => `acts ${by} before the work ends`,
  "switch-behind-buffer": (by) => `stands ${by} behind the buffer`,
  overruns: (by) => `runs ${by} into the buffer`,
  "no-room": (by) => `is ${by} too short to stop in at all`,
  "runs-out-low": (by) => `runs out ${by} of a turn before the low buffer`,
  "runs-out-high": (by) => `runs out ${by} of a turn before the high buffer`,
};

/** What is wrong at an end of an axis, after its name: "runs 3.0 mm into the buffer". */
export const travelFaultWords = (code: TravelFault["code"], by: string): string => faultWords[code](by);
