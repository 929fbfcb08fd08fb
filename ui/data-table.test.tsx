// @vitest-environment happy-dom
import { cleanup, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { type Column, DataTable } from "./data-table";

type Gauge = { id: string; name: string; stepMm: number | null };
const gauges: Gauge[] = [
  { id: "a", name: "Lever 10", stepMm: 0.01 },
  { id: "b", name: "Lever 9", stepMm: null },
  { id: "c", name: "Caliper", stepMm: 0.002 },
];
const columns: Column<Gauge>[] = [
  { key: "name", head: "Name", value: ({ name }) => name, cell: ({ name }) => name },
  {
    key: "step",
    head: "Step",
    figures: true,
    value: ({ stepMm }) => stepMm,
    cell: ({ stepMm }) => stepMm ?? "not known",
  },
];
const show = () =>
  render(
    <DataTable label="Gauges" name="gauges" find="Find" columns={columns} rows={gauges} rowKey={({ id }) => id} />,
  );
const names = () =>
  within(screen.getByRole("table", { name: "Gauges" }))
    .getAllByRole("row")
    .slice(1)
    .map((row) => within(row).getAllByRole("cell")[0]?.textContent);

beforeEach(() => localStorage.clear());
afterEach(cleanup);

test("a press on a head sorts by it, a second turns it round, a third gives back the first order", async () => {
  show();
  const hand = userEvent.setup();
  expect(names()).toEqual(["Lever 10", "Lever 9", "Caliper"]);
  const head = screen.getByRole("button", { name: "Name" });
  await hand.click(head);
  // Ten comes after nine.
  expect(names()).toEqual(["Caliper", "Lever 9", "Lever 10"]);
  expect(screen.getByRole("columnheader", { name: "Name" }).getAttribute("aria-sort")).toBe("ascending");
  await hand.click(head);
  expect(names()).toEqual(["Lever 10", "Lever 9", "Caliper"]);
  await hand.click(head);
  expect(names()).toEqual(["Lever 10", "Lever 9", "Caliper"]);
});

test("what is not known stands last, whichever way it is sorted", async () => {
  show();
  const head = screen.getByRole("button", { name: "Step" });
  await userEvent.click(head);
  expect(names()).toEqual(["Caliper", "Lever 10", "Lever 9"]);
  await userEvent.click(head);
  expect(names()).toEqual(["Lever 10", "Caliper", "Lever 9"]);
});

test("it is found by words, and says so where nothing fits", async () => {
  show();
  await userEvent.type(screen.getByRole("searchbox", { name: "Find" }), "lever");
  expect(names()).toEqual(["Lever 10", "Lever 9"]);
  await userEvent.type(screen.getByRole("searchbox", { name: "Find" }), " 11");
  expect(names()).toEqual([]);
  expect(screen.getByText(/None of them fits/)).toBeTruthy();
});

test("hidden columns and the order are kept in this browser; what is damaged there is passed over", async () => {
  const first = show();
  await userEvent.click(screen.getByText("Columns"));
  await userEvent.click(screen.getByRole("checkbox", { name: "Step" }));
  await userEvent.click(screen.getByRole("button", { name: "Name" }));
  expect(screen.queryByRole("columnheader", { name: "Step" })).toBeNull();
  first.unmount();
  const again = show();
  expect(screen.queryByRole("columnheader", { name: "Step" })).toBeNull();
  expect(names()).toEqual(["Caliper", "Lever 9", "Lever 10"]);
  again.unmount();
  localStorage.setItem("harmostat table gauges", '{"sorting":7}');
  show();
  expect(names()).toEqual(["Lever 10", "Lever 9", "Caliper"]);
});
