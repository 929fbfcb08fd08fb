import { accept } from "../../../quantity";
import { roundedUp } from "../../rule";
import type { Unwise } from "../../unwise";
import type { KindGiven } from "../kind-given";
import { balanceOf, loadByGear, stopsIn, travelWith } from "./travel";

export const axisGiven: KindGiven<"axis"> = {
  check: (element) => {
    const { faults } = travelWith(element, {});
    const unit = element.unit;
    const balance = balanceOf(element);
    return accept([
      ...faults.flatMap(({ end, code, by }): Unwise[] =>
        code === "no-switch" ? [] : [{ code: "axis-travel", end, fault: code, by, unit }],
      ),
      ...(balance && !balance.feasible
        ? [{ code: "strand-overstretched" as const, reachMm: balance.reachMm ?? 0 }]
        : []),
      ...(balance?.extrapolated ? [{ code: "strand-beyond-reading" as const }] : []),
      ...(loadByGear(element) ?? []).flatMap(({ name, neededNm, share }): Unwise[] =>
        share > 1 ? [{ code: "motor-too-weak", gear: name, neededNm, share }] : [],
      ),
    ]);
  },
  recommend: (element) => {
    const { ends } = travelWith(element, {});
    const room = Math.min(ends.low.room, ends.high.room);
    const stops = stopsIn(element);
    const lo = roundedUp(stops, 0.1);
    return lo < room
      ? { lo, hi: room, rule: "switch-window", facts: { stops, room, read: element.stopsIn === null ? 0 : 1 } }
      : null;
  },
  recommendSide: () => null,
  mirrored: (element) => element,
};
