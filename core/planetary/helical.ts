import { degrees, radians } from "../numerics";
import { type Member, type PlanetaryGeometry, relativeSpeeds } from "./planetary";

/** Helix angle of a ring and of the planet gear in it, degrees; positive: right-hand. The sun has the other hand than ring 1. */
export type RingHelix = { ring1Deg: number; ring2Deg?: number | undefined };

export type AxialForce = {
  member: Exclude<Member, "carrier"> | "planet";
  /** N for each N·m at the output while that turns clockwise, seen from the viewer; positive: away from the viewer. Of one planet. */
  perNm: number;
};

/**
 * What helical teeth push along the axis, from the torques of the members: of four the one that is neither fixed nor driven nor driving carries
 * none. A right-hand member whose teeth are pushed counter-clockwise goes away from whoever looks, as a screw does that is turned against its
 * nut; a ring with inside teeth is the nut and goes the same way. What is left over of sun and rings the planets take between them.
 *
 * @returns null without a module, or where the set has no ratio
 * @example a simple set pushes sun and ring apart with equal forces, and its planets not at all: they are tilted
 * @source Willis relation by virtual work (README); F_a = F_t·tan β, general handbooks
 */
export function axialForces(set: PlanetaryGeometry, helix: RingHelix): AxialForce[] | null {
  if (set.moduleMm === undefined) return null;
  const torque = teethTorques(set);
  if (!torque) return null;
  const m = set.moduleMm / 1000;
  const [beta1, beta2] = [helix.ring1Deg, helix.ring2Deg ?? 0];
  const gears: [AxialForce["member"], number, number][] =
    set.kind === "simple"
      ? [
          ["sun", set.sun, -beta1],
          ["ring", set.ring[0], beta1],
        ]
      : [
          ["sun", set.sun, -beta1],
          ["ring1", set.ring[0], beta1],
          ["ring2", set.ring[1], beta2],
        ];
  const forces = gears.map(
    ([member, teeth, beta]): AxialForce => ({
      member,
      perNm: ((torque[member] ?? 0) / ((teeth * m) / 2)) * Math.tan(radians(beta)),
    }),
  );
  const all = forces.reduce((sum, { perNm }) => sum + perNm, 0);
  return [...forces, { member: "planet", perNm: Math.abs(all) < 1e-9 ? 0 : -all / set.planets }];
}

/** Torque that the teeth put on every gear, counter-clockwise positive, for 1 N·m of load on the output that turns clockwise. */
function teethTorques(set: PlanetaryGeometry): Record<string, number> | null {
  const speed = relativeSpeeds(set);
  const u = (member: string) => speed[member] ?? 0;
  const [a, b, out] = [set.input, set.fixed, set.output] as const;
  const apart = u(a) - u(b);
  if (Math.abs(apart) < 1e-12 || Math.abs(u(out) - u(b)) < 1e-12) return null;
  // What is put on the members from outside adds to nothing, and does no work with the carrier held.
  const onInput = (u(b) - u(out)) / apart;
  const outside: Record<string, number> = { [a]: onInput, [b]: -1 - onInput, [out]: 1 };
  return Object.fromEntries(Object.entries(outside).map(([member, torqueNm]) => [member, -torqueNm]));
}

export type RingGoesOn = {
  ring: 1 | 2;
  /** By how much it turns against its planets a mm that it goes on; positive: clockwise, seen from the side it comes from. */
  turnDegPerMm: number;
};

/**
 * How rings with helical teeth go over their planets: each is screwed on, and has to be free to turn while it goes. Both at once go on only
 * where they turn the planets alike.
 */
export function ringsGoOn(set: PlanetaryGeometry, helix: RingHelix): { rings: RingGoesOn[]; bothAtOnce: boolean } {
  const m = set.moduleMm ?? 1;
  const turn = (teeth: number, deg: number) => degrees(Math.tan(radians(deg)) / ((teeth * m) / 2));
  const [beta1, beta2] = [helix.ring1Deg, helix.ring2Deg ?? 0];
  const first: RingGoesOn = { ring: 1, turnDegPerMm: turn(set.ring[0], beta1) };
  if (set.kind === "simple") return { rings: [first], bothAtOnce: true };
  const alike = Math.abs(turn(set.planet[0], beta1) - turn(set.planet[1], beta2)) < 1e-9;
  return { rings: [first, { ring: 2, turnDegPerMm: turn(set.ring[1], beta2) }], bothAtOnce: alike };
}
