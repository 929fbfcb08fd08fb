// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Refusal } from "~/core/quantity";
import { FormEnd } from "./form-end";
import { SavedForm } from "./saved-form";
import { TextField } from "./text-field";
import { TextReader } from "./text-reader";
import type { Texts } from "./texts";
import { TickField } from "./tick-field";
import { useSavedForm } from "./use-saved-form";

configure({ asyncUtilTimeout: 60_000 });
const taken = vi.fn();
let answer: { refusal?: Refusal; onward?: string };

beforeEach(() => {
  localStorage.clear();
  taken.mockClear();
  answer = { onward: "/done" };
});
afterEach(cleanup);

function readMachine(texts: Texts) {
  const read = new TextReader(texts);
  return read.done({
    name: read.words("name"),
    tag: read.words("tag"),
    usageUnit: "hours",
    place: read.text("at.place"),
    model: read.has("width") ? `${read.length("width")} mm` : "",
    serial: read.text("old") === "yes" ? "old" : "",
  });
}

function Form() {
  const saved = useSavedForm({
    key: "machine",
    initial: { tag: "FG-1" },
    read: readMachine,
    schema: async () => (await import("~/core/records/machine")).machineFields,
    fieldOf: ([name]) => (name === "place" ? "at.place" : String(name)),
    send: (said) => ({ ...said, id: "1" }),
  });
  return (
    <SavedForm of={saved} label="Machine">
      <TextField name="name" label="Name" />
      <TextField name="tag" label="Tag" />
      <details>
        <summary>More</summary>
        <TextField name="at.place" label="Place" />
        <TextField name="width" label="Width" />
      </details>
      <TickField name="old" label="An old one" />
      <FormEnd save="Save" busy={saved.busy} back="/" />
    </SavedForm>
  );
}

const Done = () => <p>It is in.</p>;

const show = () => {
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: Form,
      action: async ({ request }) => {
        taken(await request.json());
        return answer;
      },
    },
    { path: "/done", Component: Done },
  ]);
  return render(<Stub />);
};
const field = (name: string) => screen.findByRole<HTMLInputElement>("textbox", { name });
const save = () => userEvent.click(screen.getByRole("button", { name: "Save" }));

test("what is wrong stands at its field, the first takes the focus, and goes once it is right", async () => {
  show();
  await userEvent.type(await field("Name"), " ");
  expect(screen.queryByRole("alert")).toBeNull();
  await save();
  expect((await screen.findAllByRole("alert")).map(({ textContent }) => textContent)).toEqual([
    "Needed: name",
    "Look at: Name.",
  ]);
  await waitFor(async () => expect(document.activeElement).toBe(await field("Name")));
  await userEvent.type(await field("Name"), "Folder-gluer");
  await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
  expect(taken).not.toHaveBeenCalled();
});

test("a problem in something folded up opens it", async () => {
  show();
  await userEvent.type(await field("Name"), "Folder-gluer");
  const fold = screen.getByText("More").closest("details") as HTMLDetailsElement;
  await userEvent.type(fold.querySelector("input[name=width]") as HTMLInputElement, "wide");
  await save();
  await waitFor(() => expect(fold.open).toBe(true));
});

test("the schema by which the server takes it judges before anything is sent", async () => {
  show();
  await userEvent.type(await field("Name"), "x".repeat(81));
  await save();
  expect((await screen.findAllByRole("alert"))[0]?.textContent).toMatch(/80/);
  expect(taken).not.toHaveBeenCalled();
});

test("what is typed is there again after a crash, and forgotten once it was taken", async () => {
  const { unmount } = show();
  await userEvent.type(await field("Name"), "Folder-gluer");
  await userEvent.click(screen.getByRole("checkbox"));
  unmount();
  show();
  await waitFor(async () => expect((await field("Name")).value).toBe("Folder-gluer"));
  expect((await field("Tag")).value).toBe("FG-1");
  expect(screen.getByRole("checkbox").getAttribute("aria-checked")).toBe("true");
  await save();
  await screen.findByText("It is in.");
  expect(taken).toHaveBeenCalledWith(expect.objectContaining({ name: "Folder-gluer", serial: "old", id: "1" }));
  expect(localStorage.length).toBe(0);
});

test("what the server refuses stands at its field, or at the end where it is about all of it", async () => {
  answer = { refusal: { code: "tag-taken", path: ["tag"], facts: {} } as unknown as Refusal };
  show();
  await userEvent.type(await field("Name"), "Folder-gluer");
  await save();
  await waitFor(async () => expect((await field("Tag")).getAttribute("aria-invalid")).toBe("true"));
  answer = { refusal: { code: "not-allowed", path: [], facts: {} } as unknown as Refusal };
  await userEvent.type(await field("Tag"), "2");
  await save();
  await waitFor(() => expect(screen.getAllByRole("alert")).toHaveLength(1));
  expect(screen.getByRole("alert").textContent).not.toMatch(/look/);
  expect((await field("Tag")).value).toBe("FG-12");
});
