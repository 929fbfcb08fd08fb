import { expect, test } from "vitest";
import type { Bodies, Entry } from "~/core/logbook";
import { entryWords } from "./entry";
import { readerOf } from "./reader";

const said = (kind: Entry["kind"], body: object): string => {
  const { title, detail } = entryWords(readerOf(), { kind, body, readings: [] } as unknown as Entry);
  return `${title} | ${detail}`;
};
const hub = { key: "h", name: "Hub" };
const none = {
  side: "",
  facing: "",
  mark: "",
  spacers: [],
  massKg: null,
  conditions: [],
  fate: null,
  beforeHidden: "",
  note: "",
  guide: null,
};
const m4 = { size: "M4", lengthMm: 12, count: 6, washers: 6, where: "tray 2" };
const turned: Bodies["turned"] = {
  way: "as built",
  feel: "stiff",
  after: { part: hub, by: "screws" },
  suspects: [{ part: hub, by: "screws" }],
  found: ["burr"],
  did: ["filed", "blown out"],
  note: "",
};

test.each<[Entry["kind"], object, string]>([
  // What nobody counted is never a count of none.
  ["part-off", { ...none, part: hub, screws: null }, "Off: Hub | Screws not counted"],
  ["part-off", { ...none, part: hub, screws: [] }, "Off: Hub | No screws"],
  [
    "part-off",
    { ...none, part: hub, screws: [m4], conditions: ["worn", "dry"], fate: "order one", mark: "dot" },
    "Off: Hub, worn, dry | 6 × M4 × 12 with 6 washers. Screws put: tray 2. To do: order one. Mark: dot",
  ],
  [
    "part-on",
    {
      guide: null,
      part: hub,
      screws: [{ ...m4, in: 5, washersIn: 6 }],
      state: "snug",
      fresh: true,
      asItWentOn: "",
      note: "",
    },
    "On: Hub, a new one | 5 of 6 × M4 × 12 in, 6 of 6 washers. Screws snug",
  ],
  [
    "part-screws",
    { part: hub, screws: [{ ...m4, in: 6, washersIn: 6 }], state: "firm" },
    "Screws of Hub firm | 6 of 6 × M4 × 12 in, 6 of 6 washers",
  ],
  [
    "turned",
    turned,
    "Turned by hand, as built so far: stiff | After the screws of Hub. Suspect: the screws of Hub. Found: burr. Done: filed, blown out",
  ],
  [
    "greased",
    { points: [{ id: "p", name: "Main bearing", kind: "lithium", grams: 4 }], spread: false, note: "" },
    "Greased: Main bearing | Main bearing, 4.0 g, lithium. Not said whether it was spread by a full turn",
  ],
  [
    "looked",
    { items: [{ id: "l", name: "Cord", found: "damage", note: "frayed" }], note: "" },
    "Looked at: damage on Cord | Cord damage: frayed",
  ],
])("%s in the logbook: %#", (kind, body, line) => {
  expect(said(kind, body)).toBe(line);
});
