// @vitest-environment happy-dom
import { cleanup, configure, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { Choice } from "./choice";
import { Tick } from "./tick";

// What is fetched when it is wanted comes when the machine has time for it.
configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

function Page({ onSubmit }: { onSubmit: (form: FormData) => void }) {
  const [way, setWay] = useState<"slow" | "fast">("slow");
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit(new FormData(event.currentTarget));
      }}
    >
      <Choice
        legend="Speed"
        name="speed"
        value={way}
        onChange={setWay}
        options={[
          { value: "slow", label: "slow" },
          { value: "fast", label: "at full speed" },
        ]}
      />
      <Tick label="First build" name="first" value="yes" />
      <button type="submit">Go</button>
    </form>
  );
}

test("one of a few is chosen by hand or by arrows, a tick by its words, and both go with the form they stand in", async () => {
  const sent: [string, string][][] = [];
  render(<Page onSubmit={(form) => sent.push([...form.entries()].map(([name, value]) => [name, String(value)]))} />);
  const hand = userEvent.setup();
  await hand.click(screen.getByText("Go"));
  await hand.click(screen.getByRole("radio", { name: "slow" }));
  await hand.keyboard("{ArrowRight>}");
  await screen.findByRole("radio", { name: "at full speed", checked: true });
  await hand.keyboard("{/ArrowRight}");
  expect(screen.getByRole("radiogroup", { name: "Speed" })).toBeTruthy();
  await hand.click(screen.getByText("First build"));
  await hand.click(screen.getByText("Go"));
  expect(sent).toEqual([
    [["speed", "slow"]],
    [
      ["speed", "fast"],
      ["first", "yes"],
    ],
  ]);
});
