import { meshFactorOf } from "../../belts";
import type { BeltElement, ChainElement } from "../element";
import { runDiameters, stagePath } from "./path";

/** What a belt or chain has to pull at its place in the train. */
export type PullAtPlace = {
  /** Of a set, in each belt. */
  pullN: number;
  /** For each mm of a toothed belt's width, what is lost with few teeth in mesh counted in; null: its width is not known, or it is no toothed belt. */
  perMmN: number | null;
  /** Fewest of its two pulleys, of a toothed belt. */
  teethInMesh: number | null;
  /** What is left of a toothed belt's rating with so many in mesh. */
  meshFactor: number;
};

/**
 * @param torqueNm at its driver
 * @returns null where it has no path, or fewer than two teeth are in mesh
 * @source statics: F = 2·M/d; teeth in mesh: common practice
 */
export function pullAtPlace(element: BeltElement | ChainElement, torqueNm: number): PullAtPlace | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  const pull = (2000 * Math.abs(torqueNm)) / runDiameters(element)[0];
  const plain = { perMmN: null, teethInMesh: null, meshFactor: 1 };
  if (element.kind === "v-belt") return { pullN: pull / element.belts, ...plain };
  if (element.kind === "chain") return { pullN: pull, ...plain };
  const { laid, driven } = path.value;
  const teethInMesh = Math.min(
    ...[0, driven].map((i, member) =>
      Math.floor(((element.teeth[member] ?? 0) * (laid.wraps[i]?.deg ?? 0)) / 360 + 1e-9),
    ),
  );
  const meshFactor = meshFactorOf(teethInMesh);
  if (meshFactor === null) return null;
  const perMmN = element.widthMm === undefined ? null : pull / (element.widthMm * meshFactor);
  return { pullN: pull, perMmN, teethInMesh, meshFactor };
}
