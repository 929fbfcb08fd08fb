import { type RefObject, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { Refusal } from "~/core/quantity";
import { ownStop } from "~/operations/stage-as-read";
import { useHandler } from "~/ui/use-handler";
import type { ChosenStack } from "../advise/drawer-pane";
import { emptyRound } from "../entries/draft-store";
import { useJobScreen } from "../entries/job-context";
import { methodInput } from "./method";
import type { RoundView } from "./round-view";
import type { RoundNow } from "./use-round";

/** Makes entries of a round and of the move that follows it; the readings that stand open become one first. */
export function useLogging(
  now: RoundNow,
  fields: { method: RefObject<Map<string, HTMLInputElement>>; so: RefObject<HTMLButtonElement | null> },
) {
  const { stage, job, draft, stationPath } = useJobScreen();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { phase, goesOn, method, begun, mesh } = now;
  const goingOn = useRef(false);
  useEffect(() => {
    goingOn.current = goesOn !== null;
  }, [goesOn]);

  /** False where the readings were refused; then they all stay. */
  const finish = async (): Promise<boolean> => {
    const { readings } = draft.body.rounds[phase];
    if (readings.length === 0) return true;
    if (method.problem) {
      setProblem(method.problem);
      fields.method.current.get(String(method.problem.path[0]))?.focus();
      return false;
    }
    const result = await job.put({
      kind: "round",
      phase: goesOn?.phase ?? phase,
      method: methodInput(method),
      readings,
      teeth: begun,
      continues: goesOn?.first ?? null,
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) {
      job.changeRound(phase, emptyRound);
      job.changeText(`kept.${phase}`, "");
      job.changeText(`on.${phase}`, "");
    }
    return result.ok;
  };

  const done = useHandler(async () => {
    const from = document.activeElement;
    if (!(await finish())) return;
    setTimeout(() => {
      // Whoever goes on with the round meanwhile, or has gone to another field, is not called away.
      const at = document.activeElement;
      if (at !== null && at !== document.body && at !== from) return;
      if (!goingOn.current) (fields.so.current ?? document.querySelector<HTMLElement>("[data-onward]"))?.focus();
    }, 60);
  });

  /** What was seen as it was moved goes into the logbook with it. */
  const logMove = async (
    view: RoundView | null,
    move: Omit<Extract<Parameters<typeof job.put>[0], { kind: "move" }>, "kind" | "reasons" | "adjusterId">,
  ) => {
    if (!(await finish())) return;
    const reasons = view?.advice?.reasons ?? [];
    const gear = ownStop(stage, method.gear);
    const result = await job.put({ kind: "move", reasons, gear, adjusterId: stage.adjuster.id, ...move });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const name of ["move.amount", "move.note"]) job.changeText(name, "");
    navigate(stationPath("set"), { replace: true });
  };

  const move = useHandler(
    (view: RoundView | null, amount: number, did: "so" | "otherwise", note: string, feelerMm?: number[]) => {
      const advised = view?.move && view.move.amount !== 0 ? { ...view.move, standTooth: view.standTooth } : null;
      return logMove(view, { amount, did, advised, note, feelerMm });
    },
  );

  const take = useHandler((view: RoundView | null, { amount, min, max, stack, stock }: ChosenStack) => {
    const advised = { amount, min, max, at: null, standTooth: view?.standTooth ?? null };
    return logMove(view, { amount, did: "so", advised, note: "", stack, stock });
  });

  /** Readings of a gear that has been exchanged since: nothing of them is lost, and nothing of them is taken for the new one. */
  const putInNote = useHandler(async () => {
    const readings = now.readings.map(({ tooth, typed }) => `tooth ${tooth} ${typed}`).join(", ");
    const result = await job.put({ kind: "note", text: `Read with ${begun?.join(" : ")} in mesh: ${readings}` });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) job.changeRound(phase, emptyRound);
  });

  const changeRound = useHandler((how: Parameters<typeof job.changeRound>[1]) => {
    if (draft.body.rounds[phase].readings.length === 0) job.changeText(`mesh.${phase}`, mesh?.join(" ") ?? "");
    job.changeRound(phase, how);
  });

  return { problem, done, move, take, putInNote, changeRound };
}

export type Logging = ReturnType<typeof useLogging>;
