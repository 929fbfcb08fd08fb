// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { bodiesOf, showJob } from "~/tests/job";
import { Ledger, ledgerNews } from "./ledger";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const open = async () => {
  await userEvent.click(await screen.findByRole("button", { name: /^Left in and loose/ }));
  return within(await screen.findByRole("dialog"));
};

test("what is put in stays on the list until it is said to be out, and is counted in the head", async () => {
  const job = showJob(<Ledger />);
  let box = await open();
  expect(box.getByText("Nothing is in.")).toBeTruthy();
  await userEvent.click(box.getByRole("button", { name: "+ paper strip" }));
  await userEvent.type(box.getByRole("textbox", { name: "Something else" }), "brass drift{Enter}");
  await waitFor(() => expect(job.entries).toHaveLength(2));
  expect(screen.getByRole("dialog", { name: /^2 things are still in/ })).toBeTruthy();
  await userEvent.click(box.getByRole("button", { name: "paper strip is out" }));
  await waitFor(() => expect(job.entries).toHaveLength(3));
  const [strip] = job.entries;
  expect(job.entries[2]?.namesEntry).toBe(strip?.id);
  expect(bodiesOf(job.entries, "loose-thing")).toMatchObject([
    { thing: "paper strip", state: "in" },
    { thing: "brass drift", state: "in" },
    { thing: "paper strip", state: "out" },
  ]);
  await userEvent.click(box.getByRole("button", { name: "Back to the job" }));
  await screen.findByRole("button", { name: "Left in and loose: 1 put in, 0 clamps not firm, 1 not known" });
  box = await open();
  expect(box.getByText("brass drift")).toBeTruthy();
});

test("a thing without a name is refused at its field", async () => {
  const job = showJob(<Ledger />);
  const box = await open();
  await userEvent.click(box.getByRole("button", { name: "Put in" }));
  await waitFor(() =>
    expect(box.getByRole("textbox", { name: "Something else" }).getAttribute("aria-invalid")).toBe("true"),
  );
  expect(job.entries).toEqual([]);
});

test.each([
  [0, 0, 0, "All out, all firm"],
  [1, 0, 0, "1 thing is still in, all firm"],
  [0, 2, 1, "All out, 2 clamps not firm, 1 clamp not known"],
  [3, 0, 4, "3 things are still in, 4 clamps not known"],
])("%i in, %i slack, %i not known: %s", (things, slack, unknown, news) =>
  expect(ledgerNews(things, slack, unknown)).toBe(news),
);
