import type { Verdict } from "~/core/limits";
import type { Provisional } from "~/core/logbook";
import type { MarkState } from "~/ui/state-mark";

export const verdictState: Record<Verdict, MarkState> = {
  conforms: "inside",
  undecided: "near",
  "does-not-conform": "outside",
};

/** Of what there are no limits for nothing is known. */
export const stateOfVerdict = (verdict: Verdict | null): MarkState => (verdict ? verdictState[verdict] : "unknown");

export const provisionalWords: Record<Provisional, string> = {
  "no-as-found": "Nothing was read as found",
  "not-inside": "Left outside its limits, near their edge, or felt at too few places",
  "not-judged": "Its limits are not known: what was read was not judged",
  "side-not-inside": "Something else that was measured is outside its limits, or near their edge",
  "shift-not-right": "A sliding gear does not meet fully at a stop, or did not go in",
  "force-rises": "The current rises with the actuator's force: a stop does not carry it",
  "no-check-round": "No round was read after the last move or clamp",
  "things-left-in": "Something is left in",
  "parts-off": "Parts are still off",
  "screws-missing": "Not every screw or washer that came out is in again",
  "screws-over": "More screws or washers are in than came out",
  "part-screws-slack": "Screws of a part that went on are not firm",
  "turns-hard": "It did not turn freely by hand when it was last turned",
  "shaft-not-right": "A shaft does not stand as it must, could not be judged, or was not seen to in everything",
  "measured-not-inside": "A part, housing, frame or coupling is not inside, or was shimmed and not read again",
  "clamps-not-firm": "Not every clamp is firm",
  "clamps-not-known": "Whether every clamp is firm is not known: not all of them were logged",
  "run-went-wrong": "A run stalled or was stopped, and the same run has not gone well since",
  "no-compound": "No locking compound on the clamps yet",
  "not-proved": "No run under power went well",
  "plan-not-proven": "Not every run that its plan asks for went well",
  "switch-not-proved": "Not both end switches were run into and seen to stop it before its buffer",
};

/** Done in place of a lock, where none can be put on. */
export const noLocks = [
  { key: "battery", text: "The battery's negative lead is off" },
  { key: "plug", text: "The plug is out and in my pocket" },
  { key: "air-only", text: "Driven by air alone, which is vented and disconnected" },
] as const;

/** What a code stands for in an entry that kept no words. */
export const shortCautions: Record<string, string> = {
  electric: "electrical supply",
  air: "compressed air",
  loads: "loads and springs",
  hands: "hands and heavy parts",
  lift: "two to lift",
  "guards-on": "guards on",
  "nothing-left-in": "nothing left in",
  "screws-firm": "screws firm",
  "people-clear": "people clear",
  "locks-off": "locks off",
};

export const liveQuestions = [
  { key: "guards-on", text: "Guards are on" },
  { key: "nothing-left-in", text: "Indicator, keys, paper, pins and wedges are out" },
  { key: "screws-firm", text: "Every screw is at least firm" },
  { key: "people-clear", text: "People are clear" },
  { key: "locks-off", text: "Every lock was taken off by its owner" },
] as const;
