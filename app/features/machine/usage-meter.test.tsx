// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Entry } from "~/core/logbook";
import type { Machine } from "~/core/records";
import { UsageMeter } from "./usage-meter";

configure({ asyncUtilTimeout: 60_000 });
let sent: Record<string, string>[];
let answer: unknown;
beforeEach(() => {
  sent = [];
  answer = { done: true };
});
afterEach(cleanup);

const machine = { id: "m", usageUnit: "hours" } as Machine;
const readings = [
  {
    id: "2",
    kind: "usage",
    madeAt: "2026-06-01T08:00:00Z",
    body: { reading: 40, unit: "hours", total: 8840, newMeter: true },
  },
  {
    id: "1",
    kind: "usage",
    madeAt: "2026-01-05T08:00:00Z",
    body: { reading: 8800, unit: "hours", total: 8800, newMeter: false },
  },
] as unknown as Entry[];

let mayRead = true;
const Meter = () => <UsageMeter machine={machine} readings={readings} mayRead={mayRead} />;

function show(may = true) {
  mayRead = may;
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: Meter,
      action: async ({ request }) => {
        sent.push(Object.fromEntries(await request.formData()) as Record<string, string>);
        return answer;
      },
    },
  ]);
  render(<Stub />);
}
const shows = () => screen.getByRole<HTMLInputElement>("textbox", { name: "Meter shows, hours" });

test("a new meter is told with all that the machine has run; who only looks has no field", () => {
  show(false);
  expect(screen.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining("new meter, 8840 in all"),
    expect.stringContaining("8800 hours"),
  ]);
  expect(screen.queryByRole("textbox")).toBeNull();
});

test("a meter that runs backwards is asked about, with what was typed still there; the answer is a person's", async () => {
  answer = { refusal: { code: "meter-backwards", path: ["reading"], facts: { last: 40 } } };
  show();
  await userEvent.type(shows(), "12{Enter}");
  await screen.findByText(/A slip: type it again above/);
  expect(shows().value).toBe("12");
  expect(sent[0]).toMatchObject({ what: "usage", reading: "12" });
  expect(sent[0]?.meter).toBeUndefined();
  answer = { done: true };
  await userEvent.click(screen.getByRole("button", { name: "It is a new meter" }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ reading: "12", meter: "new", newMeterFrom: "0", id: sent[0]?.id });
  await waitFor(() => expect(shows().value).toBe(""));
});

test("a reading that was taken leaves the field, and the next is one of its own", async () => {
  show();
  await userEvent.type(shows(), "60{Enter}");
  await waitFor(() => expect(shows().value).toBe(""));
  await userEvent.type(shows(), "61{Enter}");
  await waitFor(() => expect(sent.map(({ reading }) => reading)).toEqual(["60", "61"]));
  expect(sent[0]?.id).not.toBe(sent[1]?.id);
});
