import { expect, test } from "@playwright/test";
import { signIn } from "./steps";

test("rounds kept on paper: looked through while they are typed, wrong lines named, brought in and marked in the logbook", async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole("link", { name: "Indexing table", exact: true }).first().click();
  await page
    .getByRole("link", { name: /^Locking sector/ })
    .first()
    .click();
  await page.getByRole("link", { name: "Rounds kept on paper" }).click();
  const form = page.getByRole("form", { name: "Rounds kept on paper" });
  const sheet = form.getByLabel("Or typed here");
  await sheet.fill("date,tooth,reading\n2023-03-01,1,5 thou\n2023-13-01,9,5 thou");
  await expect(sheet).toHaveAccessibleDescription(/Line 3, date:/);
  await expect(form.getByRole("button", { name: "Bring them in" })).toBeDisabled();
  await sheet.fill(
    "date,tooth,reading\n2023-03-01,1,5 thou\n2023-03-01,9,0.14 mm\n2024-03-01,1,0.13 mm\n2024-03-01,9,0.15 mm",
  );
  await expect(form.getByRole("status")).toHaveText("Two rounds, 4 readings, of 1 March 2023 to 1 March 2024.");
  await form.getByLabel("With", { exact: true }).selectOption({ label: "Lever indicator 0.01" });
  await form.getByLabel("Kept by, or where").fill("Card on the machine");
  await form.getByRole("button", { name: "Bring them in" }).click();
  await expect(form.getByRole("status")).toHaveText(/^Two rounds of 4 readings are in the logbook/);
  await expect(page.getByRole("region", { name: "There already" })).toContainText("1 March 2023; 1 March 2024");
  await page.getByRole("link", { name: "Indexing table" }).click();
  await expect(page.getByText("From paper, 2 readings").first()).toBeVisible();
  await expect(
    page.getByText(/kept by Card on the machine; whether it was set after it is not known/).first(),
  ).toBeVisible();
});
