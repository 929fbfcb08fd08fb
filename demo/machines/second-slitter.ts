import type { DemoMachine, DemoStage } from "../types";
import { slitter } from "./slitter";

/** As the other slitter's, but for its unwind belt, which this one has not; made alike, worn otherwise. */
const stages = slitter.stages.flatMap((stage): DemoStage[] => {
  const mean = { knife: 0.14, rewind: 0.18 }[stage.key];
  const gear = { eccentricityMm: 0.022, tightAngleDeg: 310 };
  return mean === undefined ? [] : [{ ...stage, key: `second-${stage.key}`, hidden: { ...stage.hidden, mean, gear } }];
});

/** The twin of the slitter-rewinder. */
export const secondSlitter: DemoMachine = {
  ...slitter,
  key: "second-slitter",
  name: "Reel slitter",
  tag: "SR-2",
  place: "bay 6",
  serial: "SR 16-07",
  usage: { perDay: 7, first: 18_410 },
  stages,
  driveLine: {
    ...slitter.driveLine,
    links: [
      { stageId: "second-rewind", from: "source-0", onto: null, gear: 0, angleDeg: 0 },
      { stageId: "second-knife", from: "source-0", onto: null, gear: 0, angleDeg: 110 },
    ],
    outputs: slitter.driveLine.outputs.map((output) => ({ ...output, at: `second-${output.at}` })),
  },
};
