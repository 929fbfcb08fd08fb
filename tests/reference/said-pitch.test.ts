import { expect, test } from "vitest";
import { saidToothToTooth } from "~/core/gears";

// Machinery's Handbook, gear formulas: circular pitch = π·module; diametral pitch = 25.4/module, teeth in an inch of rim = 25.4/(π·module).
test("a circular pitch said for a module, and teeth in an inch of rim said for a diametral pitch, are noticed", () => {
  for (const moduleMm of [0.5, 0.8, 1.25, 3]) {
    expect(saidToothToTooth(Number((Math.PI * moduleMm).toFixed(1)), moduleMm)).toBe(true);
    const teethInAnInch = Math.round((25.4 / (Math.PI * moduleMm)) * 4) / 4;
    expect(saidToothToTooth(25.4 / teethInAnInch, moduleMm)).toBe(true);
    expect(saidToothToTooth(moduleMm, moduleMm)).toBe(false);
    expect(saidToothToTooth(2 * moduleMm, moduleMm)).toBe(false);
  }
});
