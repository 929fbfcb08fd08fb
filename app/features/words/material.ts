import type { GrowingMaterial } from "~/core/reference";

export const materialWords: Record<GrowingMaterial, string> = {
  steel: "steel",
  stainless: "stainless steel",
  "cast-iron": "cast iron",
  brass: "brass",
  aluminium: "aluminium",
  zinc: "zinc",
  acetal: "acetal",
  pa6: "polyamide 6",
  pa66: "polyamide 66",
  pc: "polycarbonate",
  abs: "ABS",
  pla: "PLA",
  phenolic: "phenolic fabric",
};
