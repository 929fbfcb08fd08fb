// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FormProvider, useWatch } from "react-hook-form";
import { afterEach, expect, test } from "vitest";
import { RowsField } from "./rows-field";
import { TextReader } from "./text-reader";
import { flatTexts, nestedTexts, rowTexts, type Texts } from "./texts";
import { useTextForm } from "./use-text-form";

configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

const columns = [
  { name: "size", label: "Size" },
  { name: "count", label: "How many" },
];

function readSizes(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("sizes", ["size", "count"]);
  read.want("sizes", rows.length > 0, "missing");
  return read.done(rows.map((row) => read.length(`${row}.size`)));
}

let typed: Texts = {};
function Form({ initial }: { initial: Texts }) {
  const form = useTextForm(initial, { read: readSizes }, true);
  typed = flatTexts(useWatch({ control: form.control }));
  return (
    <FormProvider {...form}>
      <RowsField name="sizes" legend="Sizes" one="Size" columns={columns} most={4} />
    </FormProvider>
  );
}
const cell = (name: string) => screen.getByRole<HTMLInputElement>("textbox", { name });
const two = rowTexts("sizes", [
  { size: "0.1", count: "4" },
  { size: "0.2", count: "" },
]);

test("rows are added, filled and taken out; what is left keeps its order", async () => {
  render(<Form initial={two} />);
  await userEvent.click(screen.getByRole("button", { name: "Another size" }));
  await userEvent.type(cell("Size 3, Size"), "0.5");
  await userEvent.click(screen.getByRole("button", { name: "Take out size 1" }));
  await waitFor(() => expect(readSizes(typed).value).toEqual([0.2, 0.5]));
  expect(cell("Size 1, Size").value).toBe("0.2");
});

test("what is wrong stands under its row, and that there is none under the list", async () => {
  render(<Form initial={two} />);
  await userEvent.clear(cell("Size 2, Size"));
  await userEvent.type(cell("Size 2, Size"), "thin");
  expect((await screen.findByRole("alert")).textContent).toBe("Size: “thin” is not a number.");
  expect(cell("Size 2, Size").getAttribute("aria-invalid")).toBe("true");
  await userEvent.click(screen.getByRole("button", { name: "Take out size 2" }));
  await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
  await userEvent.click(screen.getByRole("button", { name: "Take out size 1" }));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toBe("This has to be filled in."));
  expect(screen.getByRole("button", { name: "Add a size" })).toBeDefined();
});

test("lines that are pasted become rows, from the cell on and no more than there may be", async () => {
  render(<Form initial={two} />);
  // What was typed meanwhile in another row stays.
  await userEvent.type(cell("Size 1, Size"), "5");
  cell("Size 2, Size").focus();
  await userEvent.paste("0,3\t2\n1/8 in\t1\n\n2 × 5\n9\t9");
  await waitFor(() => expect(screen.getAllByRole("textbox")).toHaveLength(8));
  expect(screen.getAllByRole<HTMLInputElement>("textbox").map(({ value }) => value)).toEqual([
    ...["0.15", "4", "0,3", "2", "1/8 in", "1", "2", "5"],
  ]);
});

test("rows in which nothing was typed are passed over, and numbers of rows are numbers", () => {
  const texts = {
    ...rowTexts(
      "sizes",
      Array.from({ length: 11 }, (_, i) => ({ size: i === 2 || i === 10 ? "1" : " " })),
    ),
  };
  expect(new TextReader(texts).rows("sizes", ["size"])).toEqual(["sizes.2", "sizes.10"]);
  expect(flatTexts(nestedTexts(texts))).toEqual(texts);
});
