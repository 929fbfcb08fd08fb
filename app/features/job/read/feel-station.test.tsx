// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { bodiesOf, showJob } from "~/tests/job";
import { FeelStation } from "./feel-station";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const asked = async () => {
  const pane = within(await screen.findByRole("region", { name: "Feel" }));
  return pane.getByText(/how does it click|Enough places/).textContent ?? "";
};
const says = () => within(screen.getByRole("region", { name: "What it says" }));

/** Feels with the number keys until enough is felt. */
async function feelAll(key: (tooth: number) => string): Promise<number[]> {
  const felt: number[] = [];
  for (let i = 0; i < 40; i++) {
    const tooth = Number(/Tooth (\d+)/.exec(await asked())?.[1]);
    if (!tooth) return felt;
    felt.push(tooth);
    await userEvent.keyboard(key(tooth));
  }
  throw new Error("it never had enough");
}

test("five keys, a press a place; it asks on where the tight spot may lie, and logs the words as they were felt", async () => {
  const job = showJob(<FeelStation phase="as-found" />);
  const felt = await feelAll(() => "3");
  // No stretch longer than a quarter of the 40 teeth was left out.
  const gaps = [...felt].sort((a, b) => a - b).map((tooth, i, all) => (all[i + 1] ?? (all[0] as number) + 40) - tooth);
  expect(Math.max(...gaps)).toBeLessThanOrEqual(10);
  await userEvent.click(screen.getByRole("button", { name: "Round done" }));
  await waitFor(() => expect(job.entries).toHaveLength(1));
  expect(bodiesOf(job.entries, "feel")[0]).toMatchObject({
    phase: "as-found",
    method: "by hand",
    of: 40,
    judged: { verdict: "inside", step: "none" },
    places: felt.map((tooth) => ({ tooth, feel: "small click" })),
  });
  expect(says().getByText("Nothing to move by feel. A measured round would say by how much.")).toBeTruthy();
  expect(says().getByRole("link", { name: "Sign it off" })).toBeTruthy();
});

test("one tooth that binds is outside and says which way, at which tooth, and no amount", async () => {
  showJob(<FeelStation phase="set" />);
  await asked();
  const tight = Number(/Tooth (\d+)/.exec(await asked())?.[1]);
  const felt = await feelAll((tooth) => (tooth === tight ? "5" : "3"));
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  const advice = await says().findByText(new RegExp(`Stand it with tooth ${tight}, the tight spot`));
  expect(advice.textContent).toContain("Part the centres a little there");
  expect(advice.textContent).not.toMatch(/\d\.\d/);
  expect(felt).toContain(tight);
});

test("a place felt wrongly is felt again; nothing is logged meanwhile", async () => {
  const job = showJob(<FeelStation phase="set" />);
  const first = await asked();
  await userEvent.keyboard("15");
  const list = within(screen.getByRole("list", { name: "Felt so far, newest first" }));
  expect(list.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining("binds"),
    expect.stringContaining("knocks"),
  ]);
  await userEvent.click(
    list.getByRole("button", { name: `Feel ${first.slice(0, first.indexOf(":")).toLowerCase()} again` }),
  );
  expect(await asked()).toBe(first);
  expect(job.entries).toEqual([]);
});

test("numbers typed into a field are no words of feel", async () => {
  showJob(
    <>
      <input aria-label="Other" />
      <FeelStation phase="set" />
    </>,
  );
  await asked();
  await userEvent.type(screen.getByRole("textbox", { name: "Other" }), "3");
  expect(screen.queryAllByRole("listitem")).toEqual([]);
});
