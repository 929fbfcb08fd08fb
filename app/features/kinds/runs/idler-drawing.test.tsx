// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FormProvider, useWatch } from "react-hook-form";
import { createRoutesStub } from "react-router";
import { afterEach, expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import type { BeltElement } from "~/core/stages";
import { beltWithIdlers } from "~/tests/elements";
import { flatTexts, type Texts } from "../../form/texts";
import { useTextForm } from "../../form/use-text-form";
import { readElement, textsOfElement } from "../forms";
import { IdlerDrawing } from "./idler-drawing";

afterEach(cleanup);

let typed: Texts = {};
function Form() {
  const form = useTextForm(textsOfElement(readerOf(), beltWithIdlers), { read: readElement }, true);
  typed = flatTexts(useWatch({ control: form.control }));
  const element = readElement(typed).value;
  return (
    <FormProvider {...form}>
      {element && <IdlerDrawing element={element as BeltElement} label="The belt" />}
    </FormProvider>
  );
}

test("an idler goes a step a key, and what follows from its place goes with it; off the belt it can still be brought back", async () => {
  const Page = createRoutesStub([{ path: "/", Component: Form }]);
  render(<Page />);
  const [was] = beltWithIdlers.idlers;
  if (!was) throw new Error("no idler");
  screen.getByRole("button", { name: /^Idler 1 at/ }).focus();
  await userEvent.keyboard("{ArrowRight}{Shift>}{ArrowDown}{/Shift}");
  expect(readElement(typed).value).toMatchObject({ idlers: [{ x: was.x + 1, y: expect.closeTo(was.y - 0.1, 9) }, {}] });
  // Far outside it touches nothing: the wheels stay, and so does what moves them.
  await userEvent.keyboard("{ArrowUp}".repeat(90));
  expect(screen.getByRole("img", { name: "The belt" })).toBeTruthy();
  expect(screen.getByRole("button", { name: /^Idler 1 at/ })).toBe(document.activeElement);
});
