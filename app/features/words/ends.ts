import type { JudgedQuantity } from "~/core/stages";

/** What a stage is called that lies beyond its lower or its upper limit, by what it is judged by: a belt of too much tension is tight. */
export const endWords: Record<JudgedQuantity, { lo: string; hi: string }> = {
  backlash: { lo: "too tight", hi: "too loose" },
  "lost-motion": { lo: "too tight", hi: "too loose" },
  tension: { lo: "too slack", hi: "too tight" },
  sag: { lo: "too tight", hi: "sagging too far" },
  elongation: { lo: "shorter than it should be", hi: "worn out" },
  "shaft-offset": { lo: "in line", hi: "out of line" },
  gap: { lo: "too narrow", hi: "too wide" },
  "switch-to-buffer": { lo: "too near the buffer", hi: "inside the work" },
  "switch-to-buffer-angle": { lo: "too near the buffer", hi: "inside the work" },
};
