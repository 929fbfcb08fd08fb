import { accept, type Result } from "../quantity";
import type { PairGeometry } from "./pair";
import { thermalMesh } from "./thermal-mesh";

/** How a member grows from where the mesh was set to where it works: a kelvin and by how many, and with the water that it takes up (a share of its length). */
export type MemberGrowth = { perK: number; byK: number; moisture: number };

export type WarmMesh = {
  centreDistanceChangeMm: number;
  backlashChangeMm: number;
  /** What each member alone does to the backlash: housing, driver, driven. */
  shares: [housing: number, driver: number, driven: number];
};

/**
 * What heat and moisture together do to the backlash of a mesh. Water swells a plastic gear as heat does, so its growth is added to κ·ΔT; both are
 * shares of the length, small enough to add.
 *
 * @returns the changes, or the refusal of the pair
 * @example PA 66 gears grown by 0.5 %, module 1, 20 : 40, housing as it was // −0.109 mm
 * @source linear expansion, as in `thermalMesh`
 */
export function warmMesh(
  geometry: PairGeometry,
  housing: MemberGrowth,
  gears: readonly [MemberGrowth, MemberGrowth],
): Result<WarmMesh> {
  const [h, g1, g2] = [growth(housing), growth(gears[0]), growth(gears[1])];
  const change = (of: readonly [number, number, number]) => thermalMesh(geometry, of[0], [of[1], of[2]], 1, [1, 1]);
  const all = change([h, g1, g2]);
  if (!all.ok) return all;
  const alone = (
    [
      [h, 0, 0],
      [0, g1, 0],
      [0, 0, g2],
    ] as const
  ).map((of) => {
    const one = change(of);
    return one.ok ? one.value.backlashChangeMm : Number.NaN;
  });
  const { centreDistanceChangeMm, backlashChangeMm } = all.value;
  return accept({
    centreDistanceChangeMm,
    backlashChangeMm,
    shares: [alone[0] ?? 0, alone[1] ?? 0, alone[2] ?? 0],
  });
}

const growth = ({ perK, byK, moisture }: MemberGrowth): number => perK * byK + moisture;
