// @vitest-environment happy-dom
import { cleanup, configure, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { DateField, isDay } from "./date-field";

// What is fetched when it is wanted comes when the machine has time for it.
configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

let kept = "";
function Page({ begins = "" }: { begins?: string }) {
  const [day, setDay] = useState(begins);
  kept = day;
  return <DateField label="Next date" value={day} onChange={setDay} />;
}

test.each([
  ["2026-11-25", "2026-11-25"],
  ["25.11.2026", "2026-11-25"],
  ["5. 1. 2027", "2027-01-05"],
  // What is no day stays as it was typed, for the form to say so.
  ["soon", "soon"],
])("“%s” is kept as “%s”", async (typed, day) => {
  render(<Page />);
  await userEvent.type(screen.getByRole("textbox", { name: "Next date" }), typed);
  expect(kept).toBe(day);
});

test("a day is picked from the month of the one that stands there, and the field has the focus again", async () => {
  render(<Page begins="2027-02-10" />);
  await userEvent.click(screen.getByRole("button", { name: "Pick the day: next date" }));
  await userEvent.click(await screen.findByRole("button", { name: /February 25th, 2027/ }));
  expect(kept).toBe("2027-02-25");
  expect(document.activeElement).toBe(screen.getByRole("textbox", { name: "Next date" }));
  expect(screen.queryByRole("grid")).toBeNull();
});

test("days of the calendar alone are days", () => {
  for (const day of ["2026-02-28", "2028-02-29"]) expect(isDay(day), day).toBe(true);
  for (const no of ["2026-02-29", "2026-13-01", "26-01-01", "2026-1-1", "", "soon"]) expect(isDay(no), no).toBe(false);
});
