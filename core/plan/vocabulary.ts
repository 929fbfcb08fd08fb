/** Why somebody is to come: a visit planned by day or by meter, a trend that leads out, a chain that stretches to its limit, grease and looks, calibration, an open point. */
export const dueKinds = ["visit", "usage", "drift", "wear", "grease", "look", "calibration", "point"] as const;
export type DueKind = (typeof dueKinds)[number];

/** Machine with where it stands. */
export type PlacedMachine = { id: string; name: string; tag: string; site: string; hall: string; place: string };

/** One thing that falls due. Days as text, "2026-11-30". */
export type DueItem = {
  kind: DueKind;
  /** Of what it is due: a stage, a machine, an instrument or a point; one of each kind. */
  key: string;
  /** null: nobody gave a day. */
  on: string | null;
  /** null: of an instrument. */
  machine: PlacedMachine | null;
  stage: { id: string; name: string } | null;
  /** What somebody planned, the place of grease, the instrument, the point. */
  what: string;
  /** Of a trend and of wear: between these days, and at which limit; `earliest` null: too few looks for an interval. */
  between: { earliest: string | null; latest: string | null; limit: "lo" | "hi" } | null;
  /** Of a visit by the meter. */
  atUsage: { total: number; unit: string } | null;
  /** Whose it is. */
  to: { id: string; name: string } | null;
  /** What whoever gave it said. */
  note: string;
};
