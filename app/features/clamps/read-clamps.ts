import type { ClampPattern } from "~/core/records";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";

/** Where the clamp screws stand: on a circle, or point by point, mm from the middle. */
export function readClampPoints(texts: Texts): Read<ClampPattern["points"]> {
  const read = new TextReader(texts);
  if (read.text("clamps.way") === "points") {
    const rows = read.rows("clamps.points", ["x", "y"]);
    read.want("clamps.points", rows.length <= 60, "too-large");
    // Up on the sheet is up for a person, and down for a drawing.
    return read.done(rows.map((row) => ({ x: read.length(`${row}.x`), y: -read.length(`${row}.y`) + 0 })));
  }
  // Nobody said that there are any.
  if (!read.has("clamps.count")) return read.done([]);
  const count = read.number("clamps.count", true);
  const diameter = read.length("clamps.circle");
  const first = read.angleOr("clamps.first", 0);
  read.want("clamps.count", count >= 1, "too-few");
  read.want("clamps.count", count <= 60, "too-large");
  read.want("clamps.circle", diameter > 0, "too-small");
  const points = Array.from({ length: Math.min(60, count || 0) }, (_, i) => {
    const angle = ((first + (360 * i) / count) * Math.PI) / 180;
    return { x: (diameter / 2) * Math.sin(angle), y: (-diameter / 2) * Math.cos(angle) };
  });
  return read.done(points.map(({ x, y }) => ({ x: rounded(x), y: rounded(y) })));
}

const rounded = (value: number): number => Math.round(value * 1000) / 1000 + 0;

export function readClamps(texts: Texts): Read<ClampPattern> {
  const read = new TextReader(texts);
  const points = readClampPoints(texts);
  Object.assign(read.problems, points.problems ?? {});
  const torqueNm = read.has("clamps.torque") ? read.torque("clamps.torque") : null;
  read.want("clamps.torque", torqueNm === null || torqueNm > 0, "too-small");
  const threads = read.text("clamps.threads");
  const passes = read.has("clamps.passes") ? read.number("clamps.passes", true) : 2;
  read.want("clamps.passes", passes >= 1, "too-small");
  read.want("clamps.passes", passes <= 6, "too-large");
  return read.done({
    points: points.value ?? [],
    size: read.text("clamps.size"),
    torqueNm,
    passes,
    compound: read.text("clamps.compound") === "yes",
    ...(threads === "dry" || threads === "lubricated" ? { threads } : {}),
  });
}
