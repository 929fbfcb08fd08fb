import { type GearBlank, halfToothAngle, toothCircles } from "./tooth-circles";

export type Point = readonly [x: number, y: number];

/**
 * The tooth outline of a gear for drawing, to scale: true involute flanks between root and tip, straight to the root below the
 * base circle (no fillet). Tooth 0 stands at angle 0; angles go clockwise from the top of the sheet, y downwards.
 *
 * @param gear the blank
 * @param flankPoints points on each flank, at least 2
 * @returns for each tooth its closed run of points (root, flank, tip, flank, root), mm from the gear's centre
 */
export function toothOutlines(gear: GearBlank, flankPoints = 4): Point[][] {
  const circles = toothCircles(gear);
  const tip = circles.tipDiameterMm / 2;
  const root = circles.rootDiameterMm / 2;
  const base = circles.baseDiameterMm / 2;
  const pitchAngle = (2 * Math.PI) / gear.teeth;
  const flankStart = Math.max(base, Math.min(root, tip), gear.ring ? tip : 0);
  const flankEnd = gear.ring ? root : tip;
  const profile: [radius: number, half: number][] = [];
  for (let i = 0; i < flankPoints; i++) {
    const radius = flankStart + ((flankEnd - flankStart) * i) / (flankPoints - 1);
    profile.push([radius, Math.min(pitchAngle / 2, Math.max(0, halfToothAngle(circles, radius, gear.ring)))]);
  }
  const rootward = gear.ring ? profile.reverse() : profile;
  const foot: [number, number] = [root, rootward[0]?.[1] ?? 0];
  const flank = [foot, ...rootward];
  return Array.from({ length: gear.teeth }, (_, tooth) => {
    const centre = tooth * pitchAngle;
    const rising = flank.map(([radius, half]) => polar(radius, centre - half));
    const falling = [...flank].reverse().map(([radius, half]) => polar(radius, centre + half));
    return [...rising, ...falling];
  });
}

const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];
