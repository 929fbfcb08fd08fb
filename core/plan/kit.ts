/** What of a kit is: to read with, to turn screws, out of the drawers, grease, a load for the proof, and parts that are on order. */
export const kitKinds = ["instrument", "torque", "compound", "drawer", "grease", "load", "order"] as const;
export type KitKind = (typeof kitKinds)[number];

/** Something one machine's work wants. `grams` of grease; null: not known, or nothing to weigh. */
export type KitNeed = { kind: KitKind; what: string; machine: string; grams: number | null };
export type KitLine = {
  kind: KitKind;
  what: string;
  machines: string[];
  /** Together; null where none is known. */
  grams: number | null;
  /** Of some machine it is not known how much. */
  andMore: boolean;
};

/** What to take along for all of it: the same thing once, with the machines that want it, in order of `kitKinds` and then by name. */
export function layOut(needs: readonly KitNeed[]): KitLine[] {
  const lines = new Map<string, KitLine>();
  for (const { kind, what, machine, grams } of needs) {
    const key = `${kind}\n${what}`;
    const line = lines.get(key) ?? { kind, what, machines: [], grams: null, andMore: false };
    if (!line.machines.includes(machine)) line.machines.push(machine);
    if (grams !== null) line.grams = (line.grams ?? 0) + grams;
    else line.andMore = true;
    lines.set(key, line);
  }
  return [...lines.values()].sort(
    (a, b) => kitKinds.indexOf(a.kind) - kitKinds.indexOf(b.kind) || a.what.localeCompare(b.what, "en"),
  );
}
