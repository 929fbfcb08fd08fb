import { pulleyOutlines } from "../belts";
import { sprocketOutlines } from "../chains";
import { type BeltElement, type ChainElement, runDiameters, type StagePath, stagePath } from "../stages";
import { boxRound, circle, cross, type Point, placed, type Shape, type StageShapes, short } from "./shape";

/** A belt or chain along its true path round pulleys and idlers; null where it has none. The element's y upwards becomes the sheet's. */
export function beltShapes(element: BeltElement | ChainElement): StageShapes | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  const at = (i: number): Point => {
    const { x, y } = path.value.pulleys[i] as { x: number; y: number };
    return [x, -y];
  };
  const ends = [0, path.value.driven] as const;
  const wheels = ends.flatMap((i, member) => wheelShapes(element, member as 0 | 1, at(i)));
  const idlers = path.value.idlers.flatMap((i, number): Shape[] => {
    const radius = (element.idlers[number]?.diameterMm ?? 0) / 2;
    return [{ role: "body", d: circle(at(i), radius * 0.94) }, cross(at(i), 0.3 * radius)];
  });
  const role = element.kind === "chain" ? "chain" : "belt";
  const thick = element.kind === "v-belt" ? 0.06 * Math.min(...element.pitchDiameterMm) : 0.3 * element.pitchMm;
  const box = boxRound(
    path.value.pulleys.map((pulley, i) => ({ at: at(i), radius: pulley.pitchDiameterMm / 2 + thick })),
  );
  return {
    shapes: [...wheels, ...idlers, { role, d: pathLine(path.value) }],
    box,
    shafts: [at(0), at(path.value.driven)],
  };
}

function wheelShapes(element: BeltElement | ChainElement, member: 0 | 1, at: Point): Shape[] {
  const radius = (runDiameters(element)[member] as number) / 2;
  const outline: Shape =
    element.kind === "v-belt"
      ? { role: "body", d: circle(at, radius * 1.04) }
      : {
          role: "body",
          d: placed(
            element.kind === "chain"
              ? sprocketOutlines(element.teeth[member], element.pitchMm)
              : pulleyOutlines(element.teeth[member], element.pitchMm),
            at,
          ),
        };
  return [outline, { role: "hidden", d: circle(at, radius * 0.3) }, cross(at, 0.12 * radius)];
}

/** The closed line of the belt: straight spans, arcs on the pulleys. */
export function pathLine({ laid, pulleys }: Pick<StagePath, "laid" | "pulleys">): string {
  const { spans, wraps } = laid;
  const first = spans[0];
  if (!first) return "";
  const parts = spans.map((span) => {
    const pulley = pulleys[span.to];
    const next = spans[span.to];
    const wrap = wraps[span.to]?.deg ?? 0;
    if (!pulley || !next) return "";
    const r = short(pulley.pitchDiameterMm / 2);
    // Counter-clockwise on the sheet where the belt runs so, which SVG calls sweep 0.
    const sweep = pulley.side === "inside" ? 0 : 1;
    const arc = `A${r} ${r} 0 ${wrap > 180 ? 1 : 0} ${sweep} ${short(next.start[0])} ${short(-next.start[1])}`;
    return `L${short(span.end[0])} ${short(-span.end[1])}${arc}`;
  });
  return `M${short(first.start[0])} ${short(-first.start[1])}${parts.join("")}Z`;
}
