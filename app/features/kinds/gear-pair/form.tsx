import { recommendBacklash } from "~/core/limits";
import type { KindForm } from "../kind-form";
import { GearFields } from "./fields";
import { gearFigures } from "./figures";
import { backlashSource, RecommendBacklash } from "./recommend-backlash";
import { gearTyped } from "./typed";

/** Inside a ring the way out of the middle is the way into mesh. */
const ringWays = ["opens the centres, into the mesh", "closes the centres, out of the mesh"] as const;

export const gearPair: KindForm<"gear-pair"> = {
  Fields: GearFields,
  ...gearTyped,
  figures: gearFigures,
  turned: "arc",
  usualLimits: "circumferential-backlash",
  AskedFor: null,
  Recommend: ({ element }) => <RecommendBacklash pair={element.pair} />,
  byRule: ({ pair }) => {
    const found = recommendBacklash(pair, false);
    return found.ok
      ? { quantity: null, lo: found.value.loMm, hi: found.value.hiMm, source: backlashSource(found.value) }
      : null;
  },
  noRule: "",
  means: ["slot", "jack-screw", "jack-screws", "pivot", "eccentric", "shims", "stop"],
  moved: ({ internal }) => (internal === "yes" ? "pinion-in-ring" : "pinion"),
  ways: ({ internal }) => (internal === "yes" ? ringWays : null),
  shims: { label: "Centres a mm of shim", drawn: ["gear", "part", "centres"], remark: "" },
};
