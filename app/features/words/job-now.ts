import type { JobNow } from "~/data/queries/jobs";

const stationOfKind: Partial<Record<NonNullable<JobNow["last"]>["kind"], string>> = {
  isolated: "Make safe",
  live: "Prove",
  "part-off": "Apart",
  "part-on": "Apart",
  "part-screws": "Apart",
  turned: "Apart",
  move: "Set",
  proof: "Prove",
};
const stationOfPhase: Record<string, string> = { "as-found": "As found", set: "Set", check: "Lock up" };

/** The station at which the last thing of an open job was done. */
function stationWords({ last }: JobNow): string {
  if (!last || last.kind === "job-opened") return "Not begun";
  if (last.kind === "clamp") return last.state === "eased" ? "Set" : "Lock up";
  return stationOfKind[last.kind] ?? stationOfPhase[last.phase ?? ""] ?? "As found";
}

/** Whether hands may be in it: as it was last said. */
export function powerWords({ power }: JobNow): string {
  if (!power) return "not made safe";
  if (power.kind === "live") return "live";
  return power.lock === null ? "isolated, no lock" : `isolated, lock ${power.lock}`;
}

/** Where an open job stands: "Set, isolated, lock 12; last M. Sandor". */
export const jobNowWords = (now: JobNow): string =>
  [`${stationWords(now)}, ${powerWords(now)}`, now.last && `last ${now.last.by}`].filter(Boolean).join("; ");
