import type { KitKind, KitLine, KitNeed } from "~/core/plan";
import type { Stage } from "~/core/records";
import { formatNumber } from "../words/figure";
import type { Reader } from "../words/reader";
import { loadWords } from "../words/run";
import { torqueWords } from "../words/torque";

export const kitKindWords: Record<KitKind, string> = {
  instrument: "To read with, as last time",
  torque: "Torques to be set",
  compound: "For the threads",
  drawer: "Out of the drawers",
  grease: "Grease",
  load: "Loads for the proof",
  order: "Parts on order",
};

type Known = {
  stages: readonly { stage: Stage; machine: string }[];
  /** With what its stages were last read. */
  instruments: readonly { name: string; machine: string }[];
  greased: readonly { machine: string; kind: string; grams: number | null }[];
  orders: readonly { text: string; machine: string }[];
};

/** What the work on some stages wants, from what is known of them: nothing that nobody entered. */
export function kitNeeds(reader: Reader, { stages, instruments, greased, orders }: Known): KitNeed[] {
  const need = (kind: KitKind, what: string, machine: string, grams: number | null = null): KitNeed => ({
    ...{ kind, what, machine, grams },
  });
  return [
    ...instruments.map(({ name, machine }) => need("instrument", name, machine)),
    ...stages.flatMap(({ stage, machine }) => {
      const { clamps } = stage.geometry;
      const torque =
        clamps.torqueNm === null
          ? []
          : [need("torque", [torqueWords(reader, clamps.torqueNm), clamps.size].filter(Boolean).join(", "), machine)];
      const compound = clamps.compound ? [need("compound", "Threadlocking compound", machine)] : [];
      const shims = stage.adjuster.adjuster?.type === "shims" ? [need("drawer", "Shims", machine)] : [];
      const runs = stage.plans?.[0]?.runs ?? [];
      const loads = runs.flatMap(({ load }) => (load ? [need("load", loadWords(reader, load), machine)] : []));
      return [...torque, ...compound, ...shims, ...loads];
    }),
    ...greased.map(({ kind, machine, grams }) => need("grease", kind || "Grease, kind not said", machine, grams)),
    ...orders.map(({ text, machine }) => need("order", text, machine)),
  ];
}

/** A line of the kit: what, how much, for which machines. */
export function kitLineWords(
  reader: Reader,
  { what, grams, andMore, machines }: KitLine,
): { what: string; of: string } {
  const much =
    grams === null ? "" : `, ${formatNumber(reader, grams, 1)} g${andMore ? " and what is not known" : ""} together`;
  return { what: `${what}${much}`, of: machines.join(", ") };
}
