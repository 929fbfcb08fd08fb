// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ComponentType, useState } from "react";
import { afterEach, expect, test, vi } from "vitest";
import { deferred, useDeferred } from "./deferred";
import { Dialog } from "./dialog";
import { later } from "./use-later";
import { WhenHere } from "./when-here";

configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

const Part: ComponentType<{ of: string }> = ({ of }) => <p>The part of {of}</p>;

test("a part that cannot be brought says so in its place, and is asked for again by hand", async () => {
  const load = vi.fn().mockRejectedValueOnce(new TypeError("no network")).mockResolvedValue(Part);
  render(<WhenHere part={later<typeof Part>(load)} props={{ of: "the job" }} />);
  expect((await screen.findByRole("alert")).textContent).toContain("could not be fetched");
  await userEvent.click(screen.getByRole("button", { name: "Try again" }));
  expect(await screen.findByText("The part of the job")).toBeTruthy();
  expect(screen.queryByRole("alert")).toBeNull();
  expect(load).toHaveBeenCalledTimes(2);
});

test("a part that came once is there at once the next time", async () => {
  const load = vi.fn().mockResolvedValue(Part);
  const part = later<typeof Part>(load);
  const { unmount } = render(<WhenHere part={part} props={{ of: "one" }} />);
  await screen.findByText("The part of one");
  unmount();
  render(<WhenHere part={part} props={{ of: "two" }} />);
  expect(screen.getByText("The part of two")).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(1);
});

test("one that is only looked at keeps its room until it comes, and what stands around it is usable meanwhile", async () => {
  const Late = deferred<{ of: string }>(
    async () => Part,
    () => <p>its room</p>,
  );
  render(
    <>
      <input aria-label="Reading" />
      <Late of="the round" />
    </>,
  );
  expect(screen.getByText("its room")).toBeTruthy();
  await userEvent.type(screen.getByRole("textbox", { name: "Reading" }), "0.15");
  expect(await screen.findByText("The part of the round")).toBeTruthy();
  expect(screen.getByRole<HTMLInputElement>("textbox", { name: "Reading" }).value).toBe("0.15");
});

const nowhere = async (): Promise<typeof Part> => {
  throw new TypeError("no network");
};
const LateNowhere = deferred(nowhere);
const partNowhere = later(nowhere);
function Used() {
  const Here = useDeferred(partNowhere);
  return Here && <Here of="it" />;
}

test.each([["deferred"], ["useDeferred"]])("%s: without a network it says so in its place", async (how) => {
  render(how === "deferred" ? <LateNowhere of="it" /> : <Used />);
  expect((await screen.findByRole("alert")).textContent).toContain("could not be fetched");
});

function Asked() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        Ask
      </button>
      <Dialog title="Before power comes on" open={open} onOpenChange={setOpen}>
        <button type="button">Guards are on</button>
      </Dialog>
    </>
  );
}

test("a dialog gives the focus back to what opened it, on Escape as on its own key", async () => {
  render(<Asked />);
  const ask = screen.getByRole("button", { name: "Ask" });
  await userEvent.click(ask);
  await screen.findByRole("dialog", { name: "Before power comes on" });
  await waitFor(() => expect(document.activeElement?.textContent).toBe("Guards are on"));
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  await waitFor(() => expect(document.activeElement).toBe(ask));
});
