import * as z from "zod";
import { callTool, tools } from "../calc";
import type { Entry } from "../core/logbook";
import { accept, asRefusalCode, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead } from "../data/queries/machines";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text } from "./input";

const keepInput = z.object({
  id,
  stageId: id,
  tool: z.string().max(40),
  input: z.unknown(),
  text: text(400).trim(),
  madeAt: instant,
});

const mostInputLetters = 20_000;

/** Keeps a computation of the Bench in the logbook of a stage. What it gives is computed here, so that it is what it says. */
export async function keepComputation({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const tool = tools.find((candidate) => candidate.name === value.tool);
  if (!tool) return refuse("no-such-tool", ["tool"]);
  const size = JSON.stringify(value.input ?? null).length;
  if (size > mostInputLetters) return refuse("text-too-long", ["input"], { given: size, most: mostInputLetters });
  const answer = callTool(tool, value.input);
  if (!answer.ok) return refuse(asRefusalCode(answer.refused.error.code), ["input", ...answer.refused.error.path]);
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machineId = await machineOfStage(db, person.workshopId, value.stageId);
    if (!machineId) return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    return accept(
      await appendEntry(db, head, {
        id: value.id,
        machineId,
        stageId: value.stageId,
        kind: "computation",
        body: { tool: tool.name, input: value.input, output: answer.result, text: value.text },
        madeBy: person.id,
        submission,
        madeAt: value.madeAt,
        recordedAt: now,
      }),
    );
  });
}
