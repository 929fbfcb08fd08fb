import { refuse } from "~/core/quantity";
import { type BeltElement, type ChainElement, type Idler, type Moved, touchingY } from "~/core/stages";
import { choice, over0, type Reading } from "../../form/field-readers";

export const idlerFigures = ["x", "y", "press", "d"] as const;

/** Idlers, a row each: x and y from the driver's middle, diameter, side; where no strand is said, it is the one on whose side it lies. */
const readIdlers = (read: Reading): Idler[] =>
  read.rows("idlers", idlerFigures).map((row) => {
    const pressed = pressedIn(read, row);
    const y = pressed ? 0 : read.length(`${row}.y`);
    if (!pressed && read.has(`${row}.press`)) read.problems[`${row}.press`] = refuse("one-of-doubled", []).refusal;
    return {
      x: read.length(`${row}.x`),
      y,
      diameterMm: over0(read, `${row}.d`),
      side: choice(read, `${row}.side`, ["outside", "inside"]),
      strand: choice(read, `${row}.strand`, y > 0 ? ["upper", "lower"] : ["lower", "upper"]),
    };
  });

type Run = Pick<BeltElement, "centreDistanceMm" | "idlers" | "moved">;

function readRun(read: Reading): Omit<Run, "idlers"> & { idlers: Idler[] } {
  const idlers = readIdlers(read);
  const which = read.text("moved");
  const moved: Moved = which === "" || which === "centres" ? "centres" : Number(which);
  read.want("moved", moved === "centres" || moved < idlers.length, "no-such-idler");
  return { centreDistanceMm: over0(read, "centres"), idlers, moved };
}

/**
 * A belt or chain with its idlers where they stand: those placed by what they are pressed into the strand, one after the other, after those
 * with a place of their own.
 *
 * @param around the rest of it
 */
export function withRun<E extends BeltElement | ChainElement>(read: Reading, around: (run: Run) => E): E {
  const { idlers, ...run } = readRun(read);
  const rows = read.rows("idlers", idlerFigures);
  const placed = idlers.map((idler, i) => (pressedIn(read, rows[i] as string) ? null : idler));
  for (const [i, row] of rows.entries()) {
    const { y: _, ...idler } = idlers[i] as Idler;
    if (placed[i]) continue;
    const pressMm = read.length(`${row}.press`);
    read.want(`${row}.press`, pressMm >= 0, "too-small");
    const there = placed.filter((one) => one !== null);
    const found = touchingY(around({ ...run, moved: "centres", idlers: there }), { ...idler, pressMm });
    // What is wrong with another field stands there, and would only be said once more.
    if (!found.ok && Object.keys(read.problems).length === 0)
      read.problems[`${row}.${found.refusal.path[0] === "x" ? "x" : "press"}`] = found.refusal;
    placed[i] = { ...idler, y: found.ok ? Number(found.value.toFixed(6)) : Number.NaN };
  }
  return around({ ...run, idlers: placed.filter((one) => one !== null) });
}

/** Placed by the strand that it touches. */
const pressedIn = (read: Reading, row: string): boolean => read.has(`${row}.press`) && !read.has(`${row}.y`);
