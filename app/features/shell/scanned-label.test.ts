import { expect, test } from "vitest";
import { scannedLabel } from "./scanned-label";

const id = "01a2124d-3f96-7055-baee-acd6aaaaaaaa";

test.each([
  [`http://127.0.0.1:4780/at/${id}`, id],
  [`HTTPS://works.example/AT/${id.toUpperCase()}`.replace("/AT/", "/at/"), id],
  [`http://works.example/at/${id}?stage=x`, id],
  [`/machines/${id}`, null],
  ["RDC-1", null],
  [`at ${id}`, null],
])("%s", (typed, machine) => expect(scannedLabel(typed)).toBe(machine));
