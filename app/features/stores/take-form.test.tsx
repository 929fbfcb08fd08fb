// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { StoreItem } from "~/core/records";
import { TakeForm } from "./take-form";

configure({ asyncUtilTimeout: 60_000 });
type Sent = { id: string; change: number; why: string };
let sent: Sent[];
let answer: () => unknown;
beforeEach(() => {
  sent = [];
  answer = () => ({ count: 3 });
});
afterEach(cleanup);

function show() {
  const Stub = createRoutesStub([
    { path: "/", Component: Drawer },
    {
      path: "/stores/items/:item",
      action: async ({ request }) => {
        sent.push(await request.json());
        return answer();
      },
    },
  ]);
  render(<Stub />);
}
const Drawer = () => <TakeForm item={{ id: "s", name: "Shim 0.10" } as StoreItem} />;
const take = () => screen.getByRole<HTMLButtonElement>("button", { name: "Take Shim 0.10" });

test("one by a touch, as many as are typed otherwise, and put back with the other key", async () => {
  show();
  await userEvent.click(take());
  await waitFor(() => expect(sent).toHaveLength(1));
  const many = screen.getByRole("textbox", { name: "Pieces of Shim 0.10" });
  await userEvent.clear(many);
  await userEvent.type(many, "4");
  await waitFor(() => expect(take().disabled).toBe(false));
  await userEvent.click(screen.getByRole("button", { name: "Put back Shim 0.10" }));
  await waitFor(() => expect(sent.map(({ change }) => change)).toEqual([-1, 4]));
  // Each movement of its own; the store takes the same one once.
  expect(new Set(sent.map(({ id }) => id)).size).toBe(2);
});

test("more than lie there is refused in words, and nothing is taken for taken", async () => {
  answer = () => ({ refusal: { code: "not-so-many", path: ["change"], facts: { there: 2 } } });
  show();
  await userEvent.click(take());
  expect((await screen.findByRole("alert")).textContent).toBeTruthy();
  expect(take().disabled).toBe(false);
});

test("letters are no number of pieces: nothing is asked for, and the store says so", async () => {
  show();
  const many = screen.getByRole("textbox", { name: "Pieces of Shim 0.10" });
  await userEvent.clear(many);
  await userEvent.type(many, "few");
  await userEvent.click(take());
  await waitFor(() => expect(Math.abs(sent[0]?.change ?? 1)).toBe(0));
});
