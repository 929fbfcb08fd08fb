import * as z from "zod";
import { type Bodies, engagements } from "../../core/logbook";
import { accept, parseNumber, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { Stage } from "../../core/records";
import { shiftTravel } from "../../core/shifting";
import { slideOf } from "../../core/stages";
import { text, words } from "../input";

const typed = text(40).trim();

export const shiftInput = z.object({
  kind: z.literal("shift"),
  /** Slide positions against the stops, as they were typed; both, or none where they were not measured. */
  stops: z.object({ left: typed, right: typed }),
  /** How each gear went in; empty: not tried. */
  engaged: z.array(z.object({ gear: words(40), how: z.enum(engagements) })).max(2),
  /** Where the actuator stood against either stop, in its own unit; empty: not read. */
  actuator: z.object({ left: typed, right: typed }).default({ left: "", right: "" }),
  note: text(400).trim().default(""),
});
type Input = z.output<typeof shiftInput>;

/** How a sliding gear stands against its stops, judged by its faces and mates, and how it goes in. */
export function buildShift(input: Input, { geometry: { element } }: Stage): Result<Bodies["shift"]> {
  const slide = slideOf(element);
  if (!slide) return refuse("not-of-this-kind", ["kind"]);
  const unknown = input.engaged.findIndex(({ gear }) => gear !== slide.left && gear !== slide.right);
  if (unknown >= 0)
    return refuse("no-such-gear", ["engaged", unknown, "gear"], { gear: input.engaged[unknown]?.gear ?? "" });
  const { left, right } = input.stops;
  if (left === "" && right === "" && input.engaged.length === 0) return refuse("missing", ["stops", "left"]);
  const stops = left === "" && right === "" ? accept(null) : readStops(input.stops);
  if (!stops.ok) return stops;
  const actuator = readActuator(input.actuator);
  if (!actuator.ok) return actuator;
  const travel = stops.value && shiftTravel({ ...slide.travel, stops: stops.value });
  if (travel && !travel.ok)
    return {
      ok: false,
      refusal: { ...travel.refusal, path: travel.refusal.path[0] === "stops" ? ["stops", "left"] : ["stops"] },
    };
  return accept({
    gears: [slide.left, slide.right],
    stops: stops.value,
    travel: travel?.ok ? travel.value : null,
    engaged: input.engaged,
    actuator: actuator.value && slide.actuator ? { ...actuator.value, unit: slide.actuator.unit } : null,
    note: input.note,
  });
}

function readStops({ left, right }: Input["stops"]): Result<{ leftMm: number; rightMm: number }> {
  const read = [left, right].map((text) => parseQuantity(text, "length", "mm"));
  for (const [i, one] of read.entries())
    if (!one.ok) return refuse(one.refusal.code, ["stops", i === 0 ? "left" : "right"], one.refusal.facts);
  const [leftMm, rightMm] = read.map((one) => (one.ok ? one.value.value : Number.NaN)) as [number, number];
  return accept({ leftMm, rightMm });
}

function readActuator({ left, right }: Input["actuator"]): Result<{ left: number; right: number } | null> {
  if (left === "" && right === "") return accept(null);
  const read = [left, right].map((text) => parseNumber(text));
  for (const [i, one] of read.entries())
    if (!one.ok) return refuse(one.refusal.code, ["actuator", i === 0 ? "left" : "right"], one.refusal.facts);
  const [atLeft, atRight] = read.map((one) => (one.ok ? one.value : Number.NaN)) as [number, number];
  return accept({ left: atLeft, right: atRight });
}
