import { useMemo } from "react";
import type { CalcAnswer } from "~/calc";
import type { CalcQuestion } from "~/workers/calc";
import { type Calculation, useWorker } from "./use-worker";

const start = () => new Worker(new URL("../../../workers/calc.ts", import.meta.url), { type: "module" });

/** A tool's answer from a worker. Nothing is asked while `input` is null. */
export function useCalc(tool: string, input: object | null): Calculation<CalcAnswer> {
  const question = useMemo((): CalcQuestion | null => input && { tool, input }, [tool, input]);
  return useWorker(start, question);
}
