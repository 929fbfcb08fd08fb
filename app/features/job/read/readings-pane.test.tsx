// @vitest-environment happy-dom
import { cleanup, configure, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ReactNode, useRef } from "react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { frameOf } from "~/core/stages";
import { testStage } from "~/tests/stage";
import { JobContext, type JobScreenValue } from "../entries/job-context";
import { TypedDraft } from "../entries/typed-draft";
import { ReadingsPane } from "./readings-pane";

const stage = testStage("one");
const frame = frameOf(stage.geometry.element);
let draft: TypedDraft;
const done = vi.fn();

beforeEach(() => {
  localStorage.clear();
  done.mockClear();
  draft = new TypedDraft("job", "one", "me", [], async () => ({ stopped: "server" }));
});
// What is fetched when it is wanted comes when the machine has time for it.
configure({ asyncUtilTimeout: 60_000 });
afterEach(cleanup);

/** As much of a job's screen as the pane looks at. */
const onScreen = (children: ReactNode) => <JobContext value={{ draft } as JobScreenValue}>{children}</JobContext>;

function Pane({ stopsEarly = false }: { stopsEarly?: boolean }) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <ReadingsPane
      field={field}
      phase="set"
      change={(how) => draft.changeRound("set", how)}
      positions={[1, 11, 21]}
      frame={frame}
      quantity="circumferential-backlash"
      view={null}
      bareUnit="mm"
      canRead={() => true}
      onBareUnit={() => {}}
      least={3}
      stopsEarly={stopsEarly}
      doneWord="Round done"
      onDone={done}
      method={null}
      listen={null}
      instead={null}
      problem={null}
      asking
      questioned={null}
      onKeepQuestioned={() => {}}
    />
  );
}

const field = () => screen.getByRole("textbox") as HTMLInputElement;
const read = () =>
  draft.body.rounds.set.readings.map(({ tooth, typed, struck }) => `${tooth} ${typed}${struck ? " struck" : ""}`);

test("a round is read with the keyboard alone: Enter takes and goes on, and ends it where all is read", async () => {
  render(onScreen(<Pane />));
  const hand = userEvent.setup();
  expect(document.activeElement).toBe(field());
  await hand.keyboard("0.15{Enter}0,16{Enter}");
  expect(field().getAttribute("aria-label")).toBe("Reading at tooth 21");
  await hand.keyboard("6 thou{Enter}");
  expect(read()).toEqual(["1 0.15", "11 0,16", "21 6 thou"]);
  expect(done).not.toHaveBeenCalled();
  await hand.keyboard("{Enter}");
  expect(done).toHaveBeenCalledTimes(1);
});

test("what cannot be read stays in the field and says why; what is understood is said while one types", async () => {
  render(onScreen(<Pane />));
  const hand = userEvent.setup();
  await hand.keyboard("7 thou");
  expect(screen.getByRole("status").textContent).toBe("0.178 mm");
  await hand.keyboard("{Backspace>6/}wide{Enter}");
  expect(field().value).toBe("wide");
  expect(await screen.findByText(/is not a number/)).toBe(screen.getByRole("status"));
  expect(read()).toEqual([]);
});

test("the keys on the screen type, and never take the focus from the field", async () => {
  render(onScreen(<Pane />));
  const hand = userEvent.setup();
  for (const key of ["0", ".", "2"]) await hand.click(screen.getByRole("button", { name: key }));
  expect(field().value).toBe("0.2");
  expect(document.activeElement).toBe(field());
  await hand.click(screen.getByRole("button", { name: "Delete the last sign" }));
  expect(field().value).toBe("0.");
});

test("at a place that was read it is asked whether it repeats that reading or stands in its place", async () => {
  render(onScreen(<Pane />));
  const hand = userEvent.setup();
  await hand.keyboard("0.15{Enter}");
  await hand.keyboard("{Backspace}0.17{Enter}");
  const asked = within(screen.getByRole("alertdialog", { name: "Read here before" }));
  expect(asked.getByText(/Tooth 1 already reads/)).toBeTruthy();
  await hand.click(asked.getByRole("button", { name: "Strike out 0.15, keep 0.17" }));
  expect(read()).toEqual(["1 0.15 struck", "1 0.17"]);
  expect(screen.queryByRole("alertdialog")).toBeNull();
  expect(document.activeElement).toBe(field());
});

test("a struck reading stays in the list and can be had back", async () => {
  render(onScreen(<Pane stopsEarly />));
  const hand = userEvent.setup();
  await hand.keyboard("0.15{Enter}");
  await hand.click(screen.getByRole("button", { name: "Strike out 0.15 at tooth 1" }));
  expect(read()).toEqual(["1 0.15 struck"]);
  await hand.click(screen.getByRole("button", { name: "Restore 0.15 at tooth 1" }));
  expect(read()).toEqual(["1 0.15"]);
});
