// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { FloorGroup } from "~/data/queries/floor";
import { nothingAsked } from "./asked";
import type { FloorRow } from "./load-floor.server";
import { MachineRow } from "./machine-row";
import { Halls } from "./narrow";
import { StateStrip } from "./state-strip";

configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

const now = "2026-10-05T12:00:00Z";
const stage = (id: string, name: string) => ({
  id,
  name,
  size: "22 : 57",
  state: "outside",
  read: "0.06 to 0.12 mm",
  limits: { lo: 0.14, hi: 0.28 },
  now: { min: 0.06, max: 0.12 },
  label: `${name}: 0.06 to 0.12 mm`,
});
const point = {
  id: "p",
  stageId: "a",
  text: "Shim bent",
  code: null,
  openedByName: "M. Sandor",
  openedAt: "2026-09-30T08:00:00Z",
};
const job = {
  id: "j",
  stages: ["Anvil drive"],
  reason: "Squeals",
  openedAt: "2026-10-05T08:13:00Z",
  openedByName: "I. Varga",
  now: {
    last: { kind: "round", phase: "as-found", state: null, by: "M. Sandor" },
    power: { kind: "isolated", lock: "12" },
  },
};
const row = (more: object = {}): FloorRow =>
  ({
    machine: { id: "m", name: "Rotary die-cutter", tag: "RDC-1", where: "Hall A, bay 3" },
    stages: [stage("a", "Anvil drive"), stage("c", "Cutter drive")],
    reasons: ["Anvil drive: too tight", "One open point"],
    due: "Due 30 November 2026, cutter drive",
    quiet: false,
    states: ["outside", "outside"],
    jobs: [job],
    points: [{ ...point, where: "Anvil drive" }],
    ...more,
  }) as unknown as FloorRow;

let shown: React.ReactNode;
const Page = () => shown;
function show(part: React.ReactNode) {
  shown = part;
  const Stub = createRoutesStub([{ path: "/", Component: Page }]);
  render(<Stub />);
}
const inList = (of: FloorRow, allowed = { mayAdd: true, mayWork: true }) => (
  <ul>
    <MachineRow row={of} now={now} allowed={allowed} />
  </ul>
);

test("a machine says first why it stands where it does, then whose job is open on which of its stages", () => {
  show(inList(row()));
  expect(screen.getByText("Anvil drive: too tight")).toBeTruthy();
  const job = screen.getByRole("link", { name: /^Job open since/ });
  expect(job.getAttribute("href")).toBe("/jobs/j");
  expect(job.textContent).toContain("anvil drive");
  expect(job.textContent).not.toContain("cutter drive");
  expect(screen.getByText("Squeals. I. Varga. As found, isolated, lock 12; last M. Sandor")).toBeTruthy();
  expect(screen.getByRole("link", { name: /^Cutter drive/ }).getAttribute("href")).toBe("/stages/c");
});

test("a quiet machine takes one line: its name, a mark for every stage told in words, and what comes next", () => {
  show(inList(row({ quiet: true, stages: [], jobs: [], points: [], states: ["inside", "near", "inside"] })));
  expect(screen.getByRole("img").getAttribute("aria-label")).toBe("Stages: 1 near the edge, 2 inside");
  expect(screen.getByText("Anvil drive: too tight. Due 30 November 2026, cutter drive")).toBeTruthy();
  expect(screen.getAllByRole("link").map(({ textContent }) => textContent)).toEqual(["Rotary die-cutter"]);
});

test("open points lie in a fold, with their stage; only who works here is offered to close one", async () => {
  show(inList(row()));
  expect(screen.queryByText("Shim bent")).toBeNull();
  await userEvent.click(screen.getByText("One open point"));
  const open = within((await screen.findByText("Shim bent")).closest("li") as HTMLElement);
  expect(open.getByText(/Anvil drive, M\. Sandor/)).toBeTruthy();
  await userEvent.click(open.getByRole("button", { name: "Close: Shim bent" }));
  await waitFor(() => expect(open.getByRole("textbox")).toBeTruthy());
  cleanup();
  show(inList(row(), { mayAdd: false, mayWork: false }));
  await userEvent.click(screen.getByText("One open point"));
  await screen.findByText("Shim bent");
  expect(screen.queryByRole("button", { name: /^Close/ })).toBeNull();
});

test("a machine without stages leads whoever may on to its first one", () => {
  show(inList(row({ stages: [], states: [], jobs: [], reasons: ["No stage yet"], points: [] })));
  expect(screen.getByRole("link", { name: "Enter its first stage" }).getAttribute("href")).toBe(
    "/machines/m/stages/new",
  );
  cleanup();
  show(
    inList(row({ stages: [], states: [], jobs: [], reasons: ["No stage yet"], points: [] }), {
      mayAdd: false,
      mayWork: true,
    }),
  );
  expect(screen.queryByRole("link", { name: "Enter its first stage" })).toBeNull();
});

const group = (site: string, hall: string, more: Partial<FloorGroup> = {}): FloorGroup => ({
  site,
  hall,
  machines: 2,
  outside: 0,
  near: 0,
  due: 0,
  unread: 0,
  open: 0,
  overdue: 0,
  drifting: 0,
  ...more,
});
const groups = [
  group("Main works", "Hall A", { outside: 1 }),
  group("Main works", "", { near: 2 }),
  group("Dock", "Hall C"),
];

test("halls lead in and out again, keep the words looked for, and say in words what is wrong in them", () => {
  show(<Halls groups={groups} asked={{ ...nothingAsked, site: "Main works", hall: "Hall A", words: "belt" }} />);
  const hall = (name: RegExp) => screen.getByRole("link", { name });
  expect(hall(/^Hall A 2\s*1 outside$/).getAttribute("aria-current")).toBe("true");
  // Pressed again it leads out of the hall.
  expect(hall(/^Hall A/).getAttribute("href")).toBe("/?q=belt");
  expect(hall(/^no hall 2\s*2 near$/).getAttribute("href")).toBe("/?q=belt&site=Main+works&hall=");
  expect(hall(/^Hall C/).getAttribute("href")).toBe("/?q=belt&site=Dock&hall=Hall+C");
  expect(hall(/^Dock/).getAttribute("href")).toBe("/?q=belt&site=Dock");
});

test("the strip counts machines by state, shows those of one, and all again on a second press", () => {
  show(<StateStrip fitting={groups} asked={{ ...nothingAsked, hall: "Hall A", state: "outside" }} />);
  const state = (name: RegExp) => screen.getByRole("link", { name });
  expect(state(/^Outside 1$/).getAttribute("aria-current")).toBe("true");
  expect(state(/^Outside/).getAttribute("href")).toBe("/?hall=Hall+A");
  expect(state(/^Near the edge 2$/).getAttribute("href")).toBe("/?hall=Hall+A&state=near");
});
