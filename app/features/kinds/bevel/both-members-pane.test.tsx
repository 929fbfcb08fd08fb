// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { afterEach, expect, test, vi } from "vitest";
import type { PrintMove } from "~/core/prints";
import type { BevelElement } from "~/core/stages";
import { testStage } from "~/tests/stage";
import { BothMembersPane } from "./both-members-pane";

afterEach(cleanup);

const element: BevelElement = {
  kind: "bevel",
  shimmed: "gear",
  bevel: { teeth: [20, 40], moduleMm: 3, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg: 0 },
};
const plain = testStage("one");
const stage = {
  ...plain,
  geometry: { ...plain.geometry, element },
  // More shims behind the gear send it into the mesh.
  adjuster: { ...plain.adjuster, name: "Gear shims", adjuster: { type: "shims" as const, perMm: -1 } },
};

type Shown = { moves: PrintMove["what"][]; backlashMm: number | null; onMoved: (amount: number, note: string) => void };

function Held(shown: Shown) {
  const [texts, setTexts] = useState<Record<string, string>>({});
  const onText = (name: string, text: string) => setTexts((was) => ({ ...was, [name]: text }));
  return <BothMembersPane {...{ stage, element, texts, onText, stock: [] }} {...shown} />;
}

function show(moves: Shown["moves"], backlashMm: number | null) {
  const onMoved = vi.fn();
  render(<Held {...{ moves, backlashMm, onMoved }} />);
  return onMoved;
}

test("the print sends the pinion, the backlash the gear: both are named, and what the adjuster did is logged by its own sign", async () => {
  // 0.17 is the middle of 0.1 to 0.24: the backlash is right already, and the gear makes up for the pinion alone.
  const moved = show(["pinion-out"], 0.17);
  expect(screen.getByRole("status").textContent).toBe(
    "Pinion 0.10 mm out, gear 0.05 mm in: the backlash is then 0.17 mm.",
  );
  await userEvent.type(screen.getByLabelText("Step by the print"), "0.2");
  expect(screen.getByRole("status").textContent).toMatch(/^Pinion 0\.20 mm out, gear 0\.10 mm in/);
  await userEvent.click(screen.getByRole("button", { name: "Both are moved: log it" }));
  expect(moved).toHaveBeenCalledWith(0.1, "By print: pinion 0.20 mm out, gear 0.10 mm in, backlash reckoned 0.17 mm");
});

test("without a backlash it asks for one, and says no way that nobody can know", async () => {
  show(["gear-in"], null);
  expect(screen.queryByRole("status")).toBeNull();
  await userEvent.type(screen.getByLabelText("Backlash there now"), "0.24");
  // 0.07 too much, of which the gear's 0.1 in takes 0.065: the pinion, with 0.326 a mm, takes the rest.
  expect(screen.getByRole("status").textContent).toMatch(/^Pinion 0\.02 mm in, gear 0\.10 mm in: .*0\.17 mm\.$/);
  await userEvent.type(screen.getByLabelText("Shims behind the pinion now"), "0.5");
  expect(screen.getByText(/^Say which way more shims send it/)).toBeTruthy();
});
