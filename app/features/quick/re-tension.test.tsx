// @vitest-environment happy-dom
import { cleanup, configure, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import type { Stage } from "~/core/records";
import { chain } from "~/tests/elements";
import { testInstrument, testStage } from "~/tests/stage";
import { nothingBefore } from "../job/entries/stage-before";
import type { Waiting } from "../offline/waiting-store";
import { ReTension } from "./re-tension";

configure({ asyncUtilTimeout: 60_000, defaultHidden: true });
const outbox = vi.hoisted(() => ({ put: [] as Pick<Waiting, "payload">[] }));
vi.mock("../offline/outbox-state", () => ({
  putOnItsWay: async (item: Pick<Waiting, "payload">) => {
    outbox.put.push(item);
  },
}));
beforeEach(() => {
  outbox.put = [];
});
afterEach(cleanup);

const made = () => outbox.put.map(({ payload }) => payload);
const press = (name: string | RegExp) => userEvent.click(screen.getByRole("button", { name }));

const base = testStage("01934076-bd4b-711c-88af-73b8ad150002");
const stage = { ...base, kind: "chain", geometry: { ...base.geometry, element: chain } } as Stage;
const kit = {
  machine: { id: "01934076-bd4b-711c-88af-73b8ad150003", name: "Lift", units: "metric", usageUnit: "starts" },
  stages: [stage],
  instruments: [testInstrument("01934076-bd4b-711c-88af-73b8ad150001")],
  jobs: [],
  before: [nothingBefore(stage.id)],
  standings: [],
  person: { id: "01934076-bd4b-711c-88af-73b8ad150004", name: "M. Sandor" },
  mayWork: true,
  now: new Date().toISOString(),
} as unknown as Kit;
const Screen = () => <ReTension kit={kit} stage={stage} held={null} />;
const Signed = () => <p>Signed.</p>;

function show() {
  const Stub = createRoutesStub([
    { path: "/", Component: Screen },
    { path: "/jobs/:job/sign-off", Component: Signed },
  ]);
  render(<Stub />);
}

async function safeAndFelt() {
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await userEvent.click(screen.getByRole("radio", { name: /No lock: the plug is out/ }));
  await userEvent.click(
    within(screen.getByRole("group", { name: "As it was" })).getByRole("button", { name: "claps" }),
  );
}

test("a push that nobody measured is a note, one that was is a move; nothing goes out before it is safe and felt", async () => {
  show();
  await press(/^Tensioned/);
  expect(await screen.findByRole("alert")).toBeTruthy();
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await press(/^Tensioned/);
  expect(await screen.findByRole("alert")).toBeTruthy();
  expect(made()).toEqual([]);
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await safeAndFelt();
  await press("Pushed");
  await press(/^Tensioned/);
  await screen.findByText("Signed.");
  expect(made().map(({ kind }) => kind)).toEqual(["job-opened", "isolated", "feel", "note", "signature"]);
  expect(made()[3]).toMatchObject({ text: expect.stringContaining("how far was not measured") });
});

test("measured by hand and by the push: both ways stand in the logbook, and a push below nothing is named at its field", async () => {
  show();
  await safeAndFelt();
  await press("Pushed");
  const push = screen.getByLabelText("Pushed by");
  await userEvent.type(screen.getByLabelText("Moved to and fro before, in all"), "60");
  await userEvent.type(push, "-2");
  await press(/^Tensioned/);
  expect(push.getAttribute("aria-invalid")).toBe("true");
  await userEvent.clear(push);
  await userEvent.type(push, "2,5");
  await press(/^Tensioned/);
  await screen.findByText("Signed.");
  expect(made().map(({ kind }) => kind)).toEqual(["job-opened", "isolated", "feel", "note", "move", "signature"]);
  expect(made()[3]).toMatchObject({ text: "Moves to and fro 60.0 mm in all in mid-span, by hand, as found" });
  expect(Math.abs(Number(made()[4]?.amount))).toBe(2.5);
});
