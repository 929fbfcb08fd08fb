// @vitest-environment happy-dom
import { cleanup, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import { isKind } from "~/core/logbook";
import { bodiesOf, showJob } from "~/tests/job";
import { HandStation } from "./hand-station";

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
  const job = showJob(<HandStation phase="as-found" way="feel" />);
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
  expect(
    says().getByText("Nothing to move by hand. A measured round would say how near the limits it stands."),
  ).toBeTruthy();
  expect(says().getByRole("link", { name: "Sign it off" })).toBeTruthy();
});

test("one tooth that binds is outside, and ends in a small step there: one word's worth, logged as made", async () => {
  const job = showJob(<HandStation phase="set" way="feel" />);
  const tight = Number(/Tooth (\d+)/.exec(await asked())?.[1]);
  await feelAll((tooth) => (tooth === tight ? "5" : "3"));
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  expect(await says().findByText("Too tight, by feel.")).toBeTruthy();
  const step = within(await screen.findByRole("region", { name: "Next step" }));
  // A third of the band of 0.14 is 0.047 of backlash; 0.74 a mm makes 0.06 of the slide, in steps of 0.01.
  expect(step.getByText(/Slide/).textContent).toBe(`Stand it with tooth ${tight} in mesh. Slide: 0.06 mm out.`);
  expect(step.getByText(/^Part the centres by that/)).toBeTruthy();
  await userEvent.click(step.getByRole("button", { name: "Did it so" }));
  await waitFor(() => expect(bodiesOf(job.entries, "move")).toHaveLength(1));
  // What was felt before the move is not shown as how it stands.
  expect(await screen.findByRole("img", { name: /40 places round the turn, 0 felt/ })).toBeTruthy();
  expect(bodiesOf(job.entries, "move")[0]).toMatchObject({ amount: 0.06, direction: "apart", did: "so" });
});

test("a place felt wrongly is felt again; nothing is logged meanwhile", async () => {
  const job = showJob(<HandStation phase="set" way="feel" />);
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
      <HandStation phase="set" way="feel" />
    </>,
  );
  await asked();
  await userEvent.type(screen.getByRole("textbox", { name: "Other" }), "3");
  expect(screen.queryAllByRole("listitem")).toEqual([]);
});

test("as found under as left: where it is smoother and where rougher is said by place", async () => {
  const found = showJob(<HandStation phase="as-found" way="feel" />);
  const felt = await feelAll((tooth) => (tooth === 1 ? "5" : "3"));
  await userEvent.click(screen.getByRole("button", { name: "Round done" }));
  await waitFor(() => expect(found.entries).toHaveLength(1));
  cleanup();
  showJob(<HandStation phase="set" way="feel" />, { entries: found.entries });
  await feelAll((tooth) => (tooth === felt[1] ? "4" : "3"));
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  const said = await says().findByText(/^Against how it was found/);
  expect(said.textContent).toBe(`Against how it was found: smoother at tooth 1; rougher at tooth ${felt[1]}.`);
});

test("paper goes into the ledger, its prints are logged by place, and the strip comes out of it", async () => {
  const job = showJob(<HandStation phase="set" way="paper" />);
  const pane = within(await screen.findByRole("region", { name: "Paper" }));
  await userEvent.click(pane.getByRole("button", { name: "The strip is in" }));
  await userEvent.click(pane.getByRole("button", { name: /^cut through/ }));
  await userEvent.type(pane.getByRole("textbox", { name: "Thickness" }), "0,1");
  await userEvent.click(pane.getByRole("button", { name: "Reading done" }));
  await waitFor(() => expect(bodiesOf(job.entries, "feel")).toHaveLength(1));
  expect(bodiesOf(job.entries, "feel")[0]).toMatchObject({
    method: "paper strip",
    paper: { prints: [{ tooth: 1, print: "cut through" }], sheet: { thicknessMm: 0.1, flanks: 2, pressed: 1 } },
    judged: { verdict: "outside", side: "tight", by: "paper" },
  });
  await userEvent.click(pane.getByRole("button", { name: "The strip is out" }));
  await waitFor(() =>
    expect(job.entries.filter(isKind("loose-thing")).map(({ body }) => body.state)).toEqual(["in", "out"]),
  );
});

test("a sheet that is no sheet is refused at its field, and what was tried stays", async () => {
  const job = showJob(<HandStation phase="set" way="paper" />);
  const pane = within(await screen.findByRole("region", { name: "Paper" }));
  await userEvent.click(pane.getByRole("button", { name: /^even/ }));
  await userEvent.type(pane.getByRole("textbox", { name: "Thickness" }), "thick");
  await userEvent.click(pane.getByRole("button", { name: "Reading done" }));
  expect((await pane.findByRole("textbox", { name: "Thickness" })).getAttribute("aria-invalid")).toBe("true");
  expect(job.entries).toEqual([]);
  expect(within(pane.getByRole("list", { name: "Prints so far" })).getAllByRole("listitem")).toHaveLength(1);
});

test("a print typed by its edges is read: deep is apart, with a first step; the paint is in until it is cleaned off", async () => {
  const job = showJob(<HandStation phase="set" way="print" />);
  const pane = within(await screen.findByRole("region", { name: "Print" }));
  await userEvent.click(pane.getByRole("button", { name: "The teeth are painted" }));
  for (const flank of ["Drive", "Coast"]) {
    for (const [edge, value] of [
      ["depth from", "2"],
      ["depth to", "30"],
      ["length from", "10"],
      ["length to", "90"],
    ] as const)
      await userEvent.type(pane.getByLabelText(`${flank}, ${edge}, %`), value);
  }
  await userEvent.click(pane.getByRole("button", { name: "Reading done" }));
  const what = within(await screen.findByRole("list", { name: "What to do" }));
  expect(what.getByText(/Move the teeth apart by 0.35 mm as a first step/)).toBeTruthy();
  expect(job.entries.filter(isKind("feel"))[0]?.body.print?.findings).toEqual(["deep"]);
  await userEvent.click(pane.getByRole("button", { name: "The paint is cleaned off" }));
  await waitFor(() =>
    expect(job.entries.filter(isKind("loose-thing")).map(({ body }) => body.state)).toEqual(["in", "out"]),
  );
});

test("two schools that disagree stand side by side, and say so", async () => {
  const job = showJob(<HandStation phase="set" way="feel" />);
  await feelAll(() => "3");
  await userEvent.click(screen.getByRole("button", { name: "Reading done" }));
  await waitFor(() => expect(job.entries).toHaveLength(1));
  job.draft.changeText("way.set", "paper");
  cleanup();
  showJob(<HandStation phase="set" way="paper" />, { entries: job.entries });
  const pane = within(await screen.findByRole("region", { name: "Paper" }));
  await userEvent.click(pane.getByRole("button", { name: /^cut through/ }));
  await userEvent.click(pane.getByRole("button", { name: "Reading done" }));
  const both = within(await screen.findByRole("region", { name: "Side by side" }));
  expect(both.getByText("They do not agree. A measured round decides.")).toBeTruthy();
  expect(both.getAllByRole("listitem").map(({ textContent }) => textContent?.trim())).toEqual([
    expect.stringContaining("Right by feel"),
    expect.stringContaining("Too tight, by paper"),
  ]);
});
