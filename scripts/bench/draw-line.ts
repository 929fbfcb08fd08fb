import { mustHold } from "../../core/quantity";
import { driveGraph, driveLineShapes, ratiosOf, type StageElement } from "../../core/stages";
import { driveLine } from "../../core/trains";
import { machines } from "../../demo/works";
import { frameMs, timed } from "./timed";

const size = 12;

/** What it costs to work through and to draw a drive line of twelve stages of every kind that drives, one on the other. */
export function drawLine(): void {
  const elements = mixed(machines.flatMap((machine) => machine.stages.map(({ geometry }) => geometry.element)));
  const stages = elements.map((element, i) => ({ id: `stage-${i}`, element, loosest: () => 0.2 }));
  const kept = {
    sources: [{ id: "source-1", name: "Motor", rpm: 1450, torqueNm: 10 }],
    links: stages.map(({ id }, i) => ({
      stageId: id,
      from: i === 0 ? "source-1" : `stage-${i - 1}`,
      onto: null,
      gear: 0,
      angleDeg: 30 * i,
    })),
    outputs: [{ at: `stage-${size - 1}`, name: "Drum", wheelDiameterMm: 200, scale: null }],
  };
  const once = () => {
    mustHold(driveLine(driveGraph(kept, stages)));
    return driveLineShapes(kept, stages);
  };
  const shapes = once().stages.flatMap((stage) => stage.shapes);
  const kinds = new Set(elements.map(({ kind }) => kind)).size;
  const { median, slow } = timed(once);
  console.log(
    `drive line of ${size} stages of ${kinds} kinds: ${shapes.length} shapes, ${(JSON.stringify(shapes).length / 1024).toFixed(0)} kB of drawing data, ${((100 * median) / frameMs).toFixed(0)} % of a frame (95 of 100 below ${((100 * slow) / frameMs).toFixed(0)} %)`,
  );
}

/** Twelve elements, first one of each kind that drives, then more of them in turn. */
function mixed(all: readonly StageElement[]): StageElement[] {
  const driving = all.filter((element) => ratiosOf(element).length > 0);
  const turn = (element: StageElement) => driving.filter(({ kind }) => kind === element.kind).indexOf(element);
  return [...driving].sort((a, b) => turn(a) - turn(b)).slice(0, size);
}
