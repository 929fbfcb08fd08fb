import { dieCutter } from "./machines/die-cutter";
import { feeder } from "./machines/feeder";
import { gluer } from "./machines/gluer";
import { lift } from "./machines/lift";
import { secondSlitter } from "./machines/second-slitter";
import { slitter } from "./machines/slitter";
import { strapper } from "./machines/strapper";
import { table } from "./machines/table";
import type { DemoMachine } from "./types";

export const workshop = { name: "Carton works", timeZone: "Europe/London" };
export const lead = { name: "I. Varga", signIn: "lead", password: "carton works" };

/** Days before today on which each was calibrated and is due again; the force gauge is overdue, the rule never was calibrated. */
export const calibrations: Record<string, { daysAgo: number; dueInDays: number }> = {
  lever: { daysAgo: 130, dueInDays: 235 },
  fine: { daysAgo: 130, dueInDays: 235 },
  feelers: { daysAgo: 300, dueInDays: 65 },
  caliper: { daysAgo: 300, dueInDays: 65 },
  meter: { daysAgo: 90, dueInDays: 275 },
  gauge: { daysAgo: 401, dueInDays: -36 },
  protractor: { daysAgo: 200, dueInDays: 165 },
};

/** The whole carton works; every kind of stage and every adjuster at least once. */
export const machines: readonly DemoMachine[] = [
  dieCutter,
  feeder,
  gluer,
  slitter,
  table,
  strapper,
  lift,
  secondSlitter,
];
