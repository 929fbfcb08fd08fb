import * as z from "zod";
import { finite } from "../schemas";

const face = z
  .object({ fromMm: finite, toMm: finite })
  .refine(({ fromMm, toMm }) => fromMm < toMm, { path: ["fromMm"], params: { code: "window-upside-down" } });
const sides = z.object({ left: face, right: face });

/** A sliding gear with its mates, its stops and what is wanted of them, as it is kept; `shiftTravel` judges it. */
export const travelSchema = z.object({
  slider: sides,
  mates: sides,
  stops: z
    .object({ leftMm: finite, rightMm: finite })
    .refine(({ leftMm, rightMm }) => leftMm < rightMm, { path: ["leftMm"], params: { code: "window-upside-down" } }),
  wantedShare: z.number().gt(0).lte(1).default(0.95),
  neutral: z.object({ loMm: finite.default(0), hiMm: finite.optional() }).default({ loMm: 0 }),
});
