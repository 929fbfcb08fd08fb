import type { Stage } from "~/core/records";

/** Whether an adjuster can only push, and nothing brings its part back. */
export const onlyPushes = ({ adjuster: { adjuster } }: Stage): boolean =>
  adjuster?.type === "screw" && adjuster.oneWay && !adjuster.springReturn;
