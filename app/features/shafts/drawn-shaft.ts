import type { Bodies } from "~/core/logbook";
import type { Shaft } from "~/core/shafts";
import type { DrawnPart, DrawnPlane } from "./shaft-drawing";

type Laid = readonly { after: string; spacers: readonly { widthMm: number; count: number; made?: boolean }[] }[];

/** What is drawn of a shaft: everything pushed to its left face, in its order. */
export function drawnShaft(
  lengthMm: number,
  parts: readonly (Pick<Shaft["parts"][number], "id" | "name" | "kind"> & { widthMm: number })[],
  laid: Laid,
  planes: readonly DrawnPlane[],
) {
  let at = 0;
  const drawn: DrawnPart[] = [];
  const spacers: { leftMm: number; widthMm: number; made: boolean }[] = [];
  const lay = (after: string) => {
    for (const { widthMm, count, made = false } of laid
      .filter((gap) => gap.after === after)
      .flatMap((gap) => gap.spacers))
      for (let i = 0; i < count; i++) {
        spacers.push({ leftMm: at, widthMm, made });
        at += widthMm;
      }
  };
  lay("left-face");
  for (const { id, name, kind, widthMm } of parts) {
    drawn.push({ key: id, name, kind, leftMm: at, widthMm });
    at += widthMm;
    lay(id);
  }
  return { lengthMm, parts: drawn, laid: spacers, planes, floatMm: lengthMm - at };
}

/** A shaft as an entry has it; kinds of parts as the shaft has them now. */
export const drawnEntry = (body: Bodies["shaft"], shaft: Pick<Shaft, "parts">) =>
  drawnShaft(
    body.length.mm,
    body.parts.map(({ key, name, mm }) => ({
      id: key,
      name,
      kind: shaft.parts.find(({ id }) => id === key)?.kind ?? "other",
      widthMm: mm,
    })),
    body.laid,
    body.planes,
  );
