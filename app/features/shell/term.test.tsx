// @vitest-environment happy-dom
import { configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { Term } from "./term";
import { terms } from "./terms";

configure({ asyncUtilTimeout: 60_000 });

test("a word says what it means where it stands, by keyboard too, and gives the focus back", async () => {
  render(
    <p>
      It reads 0.16, <Term name="uncertainty">give or take</Term> 0.01.
    </p>,
  );
  expect(screen.queryByText(terms.uncertainty)).toBeNull();
  await userEvent.tab();
  await userEvent.keyboard("{Enter}");
  expect(await screen.findByText(terms.uncertainty)).toBeTruthy();
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByText(terms.uncertainty)).toBeNull());
  await waitFor(() => expect(document.activeElement?.textContent).toBe("give or take"));
});
