// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import { Field } from "~/ui/field";
import { AccountForm, type Answer } from "./account-form";

configure({ asyncUtilTimeout: 60_000 });
let sent: Record<string, string>[];
let answer: Answer;
beforeEach(() => {
  sent = [];
  answer = { done: "Opened." };
});
afterEach(cleanup);

function Open() {
  return (
    <AccountForm label="Add a person" hidden={{ what: "add", id: "1" }} word="Add this person">
      {(error) => (
        <>
          <Field label="Name" name="name" error={error("name")} />
          <Field label="First password" name="password" type="password" error={error("password")} />
        </>
      )}
    </AccountForm>
  );
}

const Strike = () => (
  <AccountForm
    label="Strike"
    hidden={{ what: "strike", id: "1" }}
    word="Strike the name for good"
    asks={{ title: "Strike the name of V. Halasz for good?", text: "It cannot be brought back." }}
  />
);

function show(Component: () => React.ReactNode) {
  const Stub = createRoutesStub([
    {
      path: "/",
      Component,
      action: async ({ request }) => {
        sent.push(Object.fromEntries(await request.formData()) as Record<string, string>);
        return answer;
      },
    },
  ]);
  render(<Stub />);
}
const fill = async () => {
  await userEvent.type(screen.getByLabelText("Name"), "V. Halasz");
  await userEvent.type(screen.getByLabelText("First password"), "paper strip and pin");
  await userEvent.keyboard("{Enter}");
};

test("what is refused is said at its field, and what was typed stays in the others", async () => {
  answer = { refusal: { code: "name-taken", path: ["name"], facts: {} } as unknown as NonNullable<Answer["refusal"]> };
  show(Open);
  await fill();
  const name = screen.getByLabelText<HTMLInputElement>("Name");
  await waitFor(() => expect(name.getAttribute("aria-invalid")).toBe("true"));
  expect(name.value).toBe("V. Halasz");
  expect(screen.getByLabelText<HTMLInputElement>("First password").value).toBe("paper strip and pin");
});

test("what was taken is gone from the fields, a password first of all", async () => {
  show(Open);
  await fill();
  expect((await screen.findByRole("status")).textContent).toBe("Opened.");
  expect(screen.getByLabelText<HTMLInputElement>("First password").value).toBe("");
  expect(sent).toEqual([{ what: "add", id: "1", name: "V. Halasz", password: "paper strip and pin" }]);
  expect(JSON.stringify(localStorage)).not.toContain("paper strip");
});

test("what cannot be taken back is asked once more, with the focus on leaving it; only the second press sends it", async () => {
  answer = { done: "Struck." };
  show(Strike);
  const press = async () => userEvent.click(screen.getByRole("button", { name: "Strike the name for good" }));
  await press();
  const box = await screen.findByRole("alertdialog", { name: "Strike the name of V. Halasz for good?" });
  const leave = screen.getByRole("button", { name: "Leave it as it is" });
  await waitFor(() => expect(document.activeElement).toBe(leave));
  await userEvent.keyboard("{Enter}");
  await waitFor(() => expect(box.isConnected).toBe(false));
  await press();
  await screen.findByRole("alertdialog");
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByRole("alertdialog")).toBeNull());
  expect(sent).toEqual([]);
  await press();
  await screen.findByRole("alertdialog");
  await userEvent.click(screen.getByRole("button", { name: "Strike the name for good", hidden: false }));
  expect((await screen.findByRole("status")).textContent).toBe("Struck.");
  expect(sent).toEqual([{ what: "strike", id: "1" }]);
});
