import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { Machine } from "~/core/records";
import type { StageKind } from "~/core/stages";
import { kindWords } from "../../kinds";
import type { Pressed } from "./press-list";

type Lift = { limitKg: number; first: string; second: string };

/** What hurts people on this machine and on these kinds of stage, each said once: air where there may be some, two people by name where a part is over the house's limit. */
export function cautionsFor(
  reader: Reader,
  // A machine kept on a tablet by an earlier release says nothing of either: neither is known.
  { air = "unknown", heaviestKg = null }: Partial<Pick<Machine, "air" | "heaviestKg">>,
  kinds: readonly StageKind[],
  { limitKg, first, second }: Lift,
): Pressed[] {
  const kg = (mass: number) => `${formatNumber(reader, mass, Number.isInteger(mass) ? 0 : 1)} kg`;
  const own = [...new Set(kinds)].map((kind) => ({ key: kind, text: kindWords[kind].caution }));
  const list: (Pressed | false)[] = [
    { key: "electric", text: "Supply isolated and proved dead at the motor" },
    air === "yes" && { key: "air", text: "Compressed air vented, and nothing left that recharges" },
    air === "unknown" && {
      key: "air",
      text: "Compressed air, if there is any: vented, and nothing left that recharges",
    },
    { key: "loads", text: "Raised loads landed or propped; springs and counterweights held" },
    ...own.filter(({ text }, i) => own.findIndex((other) => other.text === text) === i),
    needsTwo({ heaviestKg }, limitKg) && {
      key: "lift",
      text: `${kg(heaviestKg ?? 0)} to lift, over the ${kg(limitKg)} of the house: two people, ${first} and ${second.trim() || "a second one, not named"}`,
    },
    heaviestKg === null && { key: "lift", text: `Parts over ${kg(limitKg)}: two to lift` },
  ];
  return list.filter((item) => item !== false);
}

/** Whether two people have to lift its heaviest part, and are asked for by name. */
export const needsTwo = ({ heaviestKg = null }: Partial<Pick<Machine, "heaviestKg">>, limitKg: number): boolean =>
  heaviestKg !== null && heaviestKg > limitKg;
