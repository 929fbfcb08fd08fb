// @vitest-environment happy-dom
import { cleanup, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Entry } from "~/core/logbook";
import { showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { SignForm } from "./sign-form";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const sign = () => screen.findByRole("button", { name: "Sign as M. Sandor" });
const note = {
  id: "n",
  kind: "note",
  seq: 1,
  jobId: "j",
  stageId: "one",
  namesEntry: null,
  body: { text: "x" },
  readings: [],
} as unknown as Entry;

const putIn = {
  ...note,
  id: "t",
  seq: 2,
  kind: "loose-thing",
  body: { thing: "pin", state: "in", where: "" },
} as unknown as Entry;

test("nothing is signed until each thing that is left open was acknowledged by a tick of its own", async () => {
  const job = showJob(<SignForm />, { entries: [note, putIn] });
  await sign();
  const ticks = screen.getAllByRole("checkbox");
  expect(ticks.length).toBeGreaterThan(1);
  for (const tick of ticks.slice(1)) await userEvent.click(tick);
  await userEvent.click(await sign());
  expect(await screen.findByRole("alert")).toBeTruthy();
  expect(job.signatures).toEqual([]);
  await userEvent.click(ticks[0] as HTMLElement);
  expect(screen.queryByRole("alert")).toBeNull();
  await userEvent.click(await sign());
  await waitFor(() => expect(job.signatures).toHaveLength(1));
  const [{ signature, secret }] = job.signatures as [(typeof job.signatures)[number]];
  expect(secret).toBeUndefined();
  expect(signature).toMatchObject({ saw: ["n", "t"], comment: "", stages: [{ stageId: "one", nextDate: null }] });
  expect((signature.stages as { provisional: string[] }[])[0]?.provisional).toHaveLength(ticks.length);
});

test("a next date that is no day is said at its stage, and the other stage's stays", async () => {
  const job = showJob(<SignForm />, { stages: [testStage("one"), testStage("two")] });
  await sign();
  await userEvent.type(screen.getByRole("textbox", { name: "Next date, one" }), "2027-01-31");
  await userEvent.type(screen.getByRole("textbox", { name: "Next date, two" }), "soon");
  for (const tick of screen.getAllByRole("checkbox")) await userEvent.click(tick);
  await userEvent.click(await sign());
  const two = screen.getByRole<HTMLInputElement>("textbox", { name: "Next date, two" });
  await waitFor(() => expect(two.getAttribute("aria-invalid")).toBe("true"));
  expect(two.value).toBe("soon");
  expect(job.signatures).toEqual([]);
  await userEvent.clear(two);
  await userEvent.click(await sign());
  await waitFor(() => expect(job.signatures).toHaveLength(1));
  expect(job.signatures[0]?.signature.stages).toMatchObject([
    { stageId: "one", nextDate: "2027-01-31" },
    { stageId: "two", nextDate: null },
  ]);
});

test("the secret is sent beside the signature and leaves the field; refused, it is asked anew under the same signature", async () => {
  const job = showJob(<SignForm />, { signer: { asksToSign: true, hasPin: true } });
  const secret = async () => (await screen.findByLabelText("Your PIN or password")) as HTMLInputElement;
  await secret();
  for (const tick of screen.getAllByRole("checkbox")) await userEvent.click(tick);
  job.refuse = { code: "wrong-secret", path: ["secret"], facts: {} } as unknown as typeof job.refuse;
  await userEvent.type(await secret(), "1111");
  await userEvent.click(await sign());
  await waitFor(async () => expect((await secret()).getAttribute("aria-invalid")).toBe("true"));
  expect((await secret()).value).toBe("");
  job.refuse = null;
  await userEvent.type(await secret(), "2468{Enter}");
  await waitFor(() => expect(job.signatures.map((one) => one.secret)).toEqual(["1111", "2468"]));
  const [first, second] = job.signatures;
  // The same id: an answer that got lost signs nothing twice.
  expect(second?.signature.id).toBe(first?.signature.id);
  expect(JSON.stringify(localStorage)).not.toContain("2468");
});

test("where the server asks for a secret that nobody expected, its field appears", async () => {
  const job = showJob(<SignForm />);
  await sign();
  expect(screen.queryByLabelText(/^Your/)).toBeNull();
  for (const tick of screen.getAllByRole("checkbox")) await userEvent.click(tick);
  job.refuse = { code: "missing", path: ["secret"], facts: {} };
  await userEvent.click(await sign());
  expect(await screen.findByLabelText("Your password")).toBeTruthy();
});
