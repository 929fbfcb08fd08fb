// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import type { Stage } from "~/core/records";
import { testInstrument, testStage } from "~/tests/stage";
import { nothingBefore } from "../job/entries/stage-before";
import type { Waiting } from "../offline/waiting-store";
import { QuickTouch } from "./quick-touch";

configure({ asyncUtilTimeout: 60_000, defaultHidden: true });
const outbox = vi.hoisted(() => ({ put: [] as Pick<Waiting, "payload">[] }));
vi.mock("../offline/outbox-state", () => ({
  putOnItsWay: async (item: Pick<Waiting, "payload">) => {
    outbox.put.push(item);
  },
}));

let stage: Stage;
beforeEach(() => {
  outbox.put = [];
  stage = testStage("01934076-bd4b-711c-88af-73b8ad150002");
});
afterEach(cleanup);

const Touch = () => <QuickTouch kit={kit()} stage={stage} />;
const Signed = () => <p>Signed.</p>;
const kit = () =>
  ({
    machine: { id: "01934076-bd4b-711c-88af-73b8ad150003", name: "Cross drive", units: "metric" },
    stages: [stage],
    instruments: [testInstrument("01934076-bd4b-711c-88af-73b8ad150001")],
    jobs: [],
    before: [nothingBefore(stage.id)],
    standings: [],
    person: { id: "01934076-bd4b-711c-88af-73b8ad150004", name: "M. Sandor" },
    mayWork: true,
    now: new Date().toISOString(),
  }) as unknown as Kit;

function show() {
  const Stub = createRoutesStub([
    { path: "/", Component: Touch },
    { path: "/jobs/:job/sign-off", Component: Signed },
  ]);
  render(<Stub />);
}
const fine = () => userEvent.click(screen.getByRole("button", { name: "Fine: sign as M. Sandor" }));
const asItIs = () => screen.getByLabelText(/^As it is, at tooth 1/);
const kinds = () => outbox.put.map(({ payload }) => payload.kind);
const made = (kind: string) => outbox.put.find(({ payload }) => payload.kind === kind)?.payload;

test("what is missing is named at its field one after the other, and nothing goes on its way before it is there", async () => {
  show();
  await fine();
  expect(await screen.findByRole("alert")).toBeTruthy();
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await fine();
  await waitFor(() => expect(asItIs().getAttribute("aria-invalid")).toBe("true"));
  await userEvent.type(asItIs(), "0.17");
  await fine();
  const lock = screen.getByLabelText<HTMLInputElement>("Number of the lock");
  await waitFor(() => expect(lock.getAttribute("aria-invalid")).toBe("true"));
  expect(outbox.put).toEqual([]);
});

test("read and left alone: a job of its own, opened, safe, read, signed, in that order", async () => {
  show();
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await userEvent.type(screen.getByLabelText("Number of the lock"), "31");
  await userEvent.type(asItIs(), "0,17");
  await fine();
  await screen.findByText("Signed.");
  expect(kinds()).toEqual(["job-opened", "isolated", "round", "signature"]);
  expect(made("isolated")).toMatchObject({ lock: "31", noLock: null, acknowledged: [{ key: "quick-safe" }] });
  expect(made("round")).toMatchObject({ phase: "as-found", readings: [{ tooth: 1, typed: "0,17" }] });
});

test("moved: the amount with its way, the clamps only where somebody said so, and what it reads then", async () => {
  show();
  await userEvent.click(screen.getByRole("checkbox", { name: /^Safe:/ }));
  await userEvent.type(screen.getByLabelText("Number of the lock"), "31");
  await userEvent.type(asItIs(), "0.30");
  await userEvent.click(screen.getByText("in"));
  await userEvent.type(screen.getByLabelText("How much?"), "much");
  await userEvent.type(screen.getByLabelText(/^As left, at tooth 1/), "0.17");
  await fine();
  const amount = screen.getByLabelText<HTMLInputElement>("How much?");
  await waitFor(() => expect(amount.getAttribute("aria-invalid")).toBe("true"));
  await userEvent.clear(amount);
  await userEvent.type(amount, "0.18");
  await fine();
  await screen.findByText("Signed.");
  expect(kinds()).not.toContain("clamp");
  expect(made("move")).toMatchObject({ amount: -0.18, did: "otherwise" });
  expect(outbox.put.filter(({ payload }) => payload.kind === "round").map(({ payload }) => payload.phase)).toEqual([
    "as-found",
    "check",
  ]);
});
