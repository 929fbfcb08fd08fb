import { boxRound, circle, cross, type Point, placed, type Shape, type StageShapes, short } from "../../drawing";
import type { BeltElement, ChainElement } from "../element";
import { runDiameters, type StagePath, stagePath } from "./path";

/** How one kind of it looks. `wheel`: the toothed outline of the driver or the driven wheel; null: smooth. */
export type RunLook = {
  role: "belt" | "chain";
  thickMm: number;
  wheel: ((member: 0 | 1) => readonly (readonly Point[])[]) | null;
};

/** A belt or chain along its true path round pulleys and idlers; null where it has none. The element's y upwards becomes the sheet's. */
export function beltShapes(element: BeltElement | ChainElement, { role, thickMm, wheel }: RunLook): StageShapes | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  const at = (i: number): Point => {
    const { x, y } = path.value.pulleys[i] as { x: number; y: number };
    return [x, -y];
  };
  const ends = [0, path.value.driven] as const;
  const wheels = ends.flatMap((i, member) => {
    const radius = (runDiameters(element)[member] as number) / 2;
    const d = wheel ? placed(wheel(member as 0 | 1), at(i)) : circle(at(i), radius * 1.04);
    return [
      { role: "body", d } as const,
      { role: "hidden", d: circle(at(i), radius * 0.3) } as const,
      cross(at(i), 0.12 * radius),
    ];
  });
  const idlers = path.value.idlers.flatMap((i, number): Shape[] => {
    const radius = (element.idlers[number]?.diameterMm ?? 0) / 2;
    return [{ role: "body", d: circle(at(i), radius * 0.94) }, cross(at(i), 0.3 * radius)];
  });
  const box = boxRound(
    path.value.pulleys.map((pulley, i) => ({ at: at(i), radius: pulley.pitchDiameterMm / 2 + thickMm })),
  );
  return {
    shapes: [...wheels, ...idlers, { role, d: pathLine(path.value) }],
    box,
    shafts: [at(0), at(path.value.driven)],
  };
}

/** Greatest and least radius of an outline about its middle. */
export function outlineRadii(outline: readonly (readonly Point[])[]): { tipRadius: number; rootRadius: number } {
  const all = outline.flat().map(([x, y]) => Math.hypot(x, y));
  return { tipRadius: Math.max(...all), rootRadius: Math.min(...all) };
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
