// @vitest-environment happy-dom
import { cleanup, configure, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub, useActionData } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Refusal } from "~/core/quantity";
import type { ShownStage } from "./shown-stage";
import { StartJob } from "./start-job";

configure({ asyncUtilTimeout: 60_000 });
let sent: [string, string][][];
let refusal: Refusal | null;
beforeEach(() => {
  sent = [];
  refusal = null;
});
afterEach(cleanup);

const stageOf = (id: string, name: string, adjuster: string | null) =>
  ({
    id,
    name,
    opening: {
      limits: { range: "0.14 to 0.28", unit: "mm", source: "drawing D 114" },
      quantity: "backlash",
      adjuster,
      clamps: "4 clamps M8",
    },
  }) as unknown as ShownStage;
const anvil = stageOf("a", "Anvil drive", "Jack screw");
const planetary = stageOf("b", "Feed set", null);
let stages: ShownStage[];

function Page() {
  const refused = useActionData() as { refusal: Refusal; reason: string; stageId: string } | undefined;
  return <StartJob stages={stages} usual="a" refused={refused ?? null} />;
}
function show(...shown: ShownStage[]) {
  stages = shown;
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: Page,
      action: async ({ request }) => {
        const form = [...(await request.formData())] as [string, string][];
        sent.push(form);
        return refusal && { refusal, reason: new Map(form).get("reason"), stageId: new Map(form).get("stageId") };
      },
    },
  ]);
  render(<Stub />);
}
const all = (name: string) => sent.at(-1)?.flatMap(([key, value]) => (key === name ? [value] : []));
const start = () => userEvent.click(screen.getByRole("button", { name: "Start a job" }));

test("the stage that needs it most is chosen already, with its limits, where they come from, and what sets it", async () => {
  show(anvil, planetary);
  expect(screen.getByText(/of backlash, drawing D 114\. Set by jack screw, 4 clamps M8\./)).toBeTruthy();
  await userEvent.type(screen.getByRole("textbox", { name: "Why look at the anvil drive?" }), "Squeals{Enter}");
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(all("stageId")).toEqual(["a"]);
  expect(all("reason")).toEqual(["Squeals"]);
  expect(all("firstBuild")).toEqual([]);
});

test("with another stage, and as a first build; what nothing adjusts says so", async () => {
  show(anvil, planetary);
  await userEvent.click(screen.getByRole("radio", { name: "Feed set" }));
  expect(screen.getByText(/Nothing to adjust\./)).toBeTruthy();
  await userEvent.click(screen.getByText("With other stages, or a first build"));
  await userEvent.click(screen.getByRole("checkbox", { name: "With Anvil drive" }));
  await userEvent.click(screen.getByRole("checkbox", { name: /^First build/ }));
  await userEvent.type(screen.getByRole("textbox", { name: /^Why look at the feed set/ }), "New");
  await start();
  await waitFor(() => expect(all("stageId")).toEqual(["b", "a"]));
  expect(all("firstBuild")).toEqual(["yes"]);
});

test("what is refused stays typed at its stage, and sent again it opens the same job", async () => {
  show(anvil, planetary);
  refusal = { code: "empty", path: ["reason"], facts: {} };
  await userEvent.click(screen.getByRole("radio", { name: "Feed set" }));
  await start();
  const reason = screen.getByRole("textbox", { name: /^Why look at the feed set/ });
  await waitFor(() => expect(reason.getAttribute("aria-invalid")).toBe("true"));
  const first = all("jobId");
  refusal = null;
  await userEvent.type(reason, "Whines");
  await start();
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(all("jobId")).toEqual(first);
  expect(all("stageId")).toEqual(["b"]);
});
