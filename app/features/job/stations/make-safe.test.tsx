// @vitest-environment happy-dom
import { cleanup, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { StageKind } from "~/core/stages";
import { bodiesOf, showJob } from "~/tests/job";
import { testStage } from "~/tests/stage";
import { readerOf } from "../../words/reader";
import { cautionsFor } from "./cautions";
import { MakeSafe } from "./make-safe";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const alone = { limitKg: 25, first: "M. Sandor", second: "" };
const machine = { air: "unknown", heaviestKg: null } as const;
const asked = (...kinds: StageKind[]) => cautionsFor(readerOf(), machine, kinds, alone);

const lockField = () => screen.findByRole<HTMLInputElement>("textbox", { name: "Number of the lock" });
const confirm = () => screen.getByRole("button", { name: /^M\. Sandor: isolated/ });

test("by the keyboard alone: the lock, each caution by an Enter of its own, then the name; word for word in the logbook", async () => {
  const job = showJob(<MakeSafe />);
  const hand = userEvent.setup();
  await waitFor(async () => expect(document.activeElement).toBe(await lockField()));
  await hand.keyboard("31{Enter}");
  const presses = screen.getAllByRole("checkbox");
  expect(presses).toHaveLength(asked("gear-pair").length);
  for (const press of presses) {
    expect(document.activeElement).toBe(press);
    expect(job.entries).toEqual([]);
    await hand.keyboard("{Enter}");
  }
  await waitFor(() => expect(document.activeElement).toBe(confirm()));
  expect(confirm().textContent).toBe("M. Sandor: isolated, lock 31");
  await hand.keyboard("{Enter}");
  await waitFor(() => expect(job.address).toBe("/jobs/j/as-found"));
  expect(bodiesOf(job.entries, "isolated")).toEqual([
    {
      lock: "31",
      noLock: null,
      acknowledged: asked("gear-pair"),
      notAcknowledged: [],
    },
  ]);
});

test("without a number there is no lock: it is said at the field, and nothing is logged", async () => {
  const job = showJob(<MakeSafe />);
  await lockField();
  await userEvent.click(confirm());
  expect((await screen.findByRole("alert")).textContent).toBe("Needed.");
  expect((await lockField()).getAttribute("aria-invalid")).toBe("true");
  await userEvent.type(await lockField(), "7");
  await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
  expect(job.entries).toEqual([]);
});

test("what was not pressed is said before it is confirmed, and stands apart in the logbook", async () => {
  const job = showJob(<MakeSafe />);
  await userEvent.type(await lockField(), "7");
  const [first] = screen.getAllByRole("checkbox");
  await userEvent.click(first as HTMLElement);
  expect(screen.getByRole("status").textContent).toBe(
    `${asked("gear-pair").length - 1} are not acknowledged; the logbook says so.`,
  );
  await userEvent.click(confirm());
  await waitFor(() => expect(job.entries).toHaveLength(1));
  expect(bodiesOf(job.entries, "isolated")[0]).toMatchObject({
    acknowledged: [{ key: "electric" }],
    notAcknowledged: [{ key: "air" }, { key: "loads" }, { key: "gear-pair" }, { key: "lift" }],
  });
});

test("where no lock can be put on, what was done instead stands in its place, never a made-up number", async () => {
  const job = showJob(<MakeSafe />);
  await userEvent.type(await lockField(), "99");
  await userEvent.click(screen.getByText(/^No lock: the plug is out/));
  await waitFor(() => expect(screen.queryByRole("textbox", { name: "Number of the lock" })).toBeNull());
  expect(confirm().textContent).toBe("M. Sandor: isolated, no lock");
  await userEvent.click(confirm());
  await waitFor(() => expect(job.entries).toHaveLength(1));
  expect(bodiesOf(job.entries, "isolated")[0]).toMatchObject({
    lock: null,
    noLock: { key: "plug", text: "The plug is out and in my pocket" },
  });
});

test("pressed twice by a gloved thumb it is logged once", async () => {
  const job = showJob(<MakeSafe />);
  await userEvent.type(await lockField(), "7");
  await userEvent.dblClick(confirm());
  await waitFor(() => expect(job.address).toBe("/jobs/j/as-found"));
  expect(job.entries).toHaveLength(1);
});

test("a job of several kinds asks the caution of each kind once", async () => {
  const worm = { ...testStage("two"), kind: "worm" as const };
  showJob(<MakeSafe />, { stages: [testStage("one"), worm, { ...worm, id: "three" as typeof worm.id }] });
  await lockField();
  expect(screen.getAllByRole("checkbox").map(({ textContent }) => textContent)).toEqual(
    asked("gear-pair", "worm").map(({ text }) => text),
  );
});

test("air is asked for where there may be some, one danger of two kinds once, two people by name over the house's limit", () => {
  const texts = (more: object, ...kinds: StageKind[]) =>
    cautionsFor(readerOf(), { ...machine, ...more }, kinds, { ...alone, second: "I. Varga" }).map(({ text }) => text);
  expect(texts({ air: "no" }, "worm").join()).not.toMatch(/air/i);
  expect(texts({}, "worm").join()).toContain("Compressed air, if there is any");
  expect(texts({}, "toothed-belt", "v-belt").filter((text) => text.startsWith("Belts:"))).toHaveLength(1);
  expect(texts({ heaviestKg: 48 }, "worm")).toContain(
    "48 kg to lift, over the 25 kg of the house: two people, M. Sandor and I. Varga",
  );
  expect(texts({ heaviestKg: 12 }, "worm").join()).not.toMatch(/lift/);
  expect(texts({}, "worm")).toContain("Parts over 25 kg: two to lift");
});

test("a part over the limit asks who lifts too; the name stands in the logbook with what was acknowledged", async () => {
  const job = showJob(<MakeSafe />, { machine: { heaviestKg: 48 } });
  await userEvent.type(await screen.findByRole("textbox", { name: "Who lifts with you?" }), "I. Varga");
  await userEvent.type(await lockField(), "3");
  await userEvent.click(screen.getByRole("checkbox", { name: /two people/ }));
  await userEvent.click(confirm());
  await waitFor(() => expect(JSON.stringify(bodiesOf(job.entries, "isolated")[0])).toMatch(/M\. Sandor and I\. Varga/));
});
