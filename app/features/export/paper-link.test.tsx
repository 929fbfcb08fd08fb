// @vitest-environment happy-dom
import { cleanup, configure, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, expect, test, vi } from "vitest";
import { PaperLink } from "./paper-link";

configure({ asyncUtilTimeout: 60_000 });
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test("says which page is being made, and fetches the paper when all are", async () => {
  let say: (text: string) => void = () => {};
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      say = (text) => controller.enqueue(new TextEncoder().encode(text));
      end = () => controller.close();
    },
  });
  const fetched = vi.fn(async () => new Response(body));
  const went = vi.fn();
  vi.stubGlobal("fetch", fetched);
  vi.stubGlobal("location", { assign: went });
  render(<PaperLink path="/jobs/one/record.pdf" />);
  await userEvent.click(screen.getByRole("link", { name: "PDF" }));
  expect(fetched).toHaveBeenCalledExactlyOnceWith("/jobs/one/record.pdf?progress");
  // A line may come in two pieces.
  say('{"page":9,"o');
  say('f":14}\n');
  expect((await screen.findByText("Making the record, page 9 of 14")).getAttribute("role")).toBe("status");
  expect(went).not.toHaveBeenCalled();
  say('{"made":true}\n');
  end();
  await vi.waitFor(() => expect(went).toHaveBeenCalledExactlyOnceWith("/jobs/one/record.pdf"), { timeout: 60_000 });
  expect(screen.queryByRole("status")).toBeNull();
});

test("without a network it says so, and the page stays", async () => {
  const went = vi.fn();
  vi.stubGlobal("fetch", async () => Promise.reject(new TypeError("no network")));
  vi.stubGlobal("location", { assign: went });
  render(<PaperLink path="/jobs/one/record.pdf" />);
  await userEvent.click(screen.getByRole("link", { name: "PDF" }));
  expect(await screen.findByText(/could not be made now/)).toBeTruthy();
  expect(went).not.toHaveBeenCalled();
});
