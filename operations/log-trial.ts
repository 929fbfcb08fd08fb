import * as z from "zod";
import { type Entry, makings, trialOutcomes } from "../core/logbook";
import { fitWords } from "../core/making";
import { accept, parseQuantity, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead } from "../data/queries/machines";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text, words } from "./input";

const typed = text(40).trim().default("");

const trialInput = z.object({
  id,
  stageId: id,
  madeAt: instant,
  /** What is made or tried, and which one of it. */
  part: words(60),
  version: words(40),
  making: z.enum(makings),
  /** Which of the two is varied; null: it is no fit that is tried. */
  of: z.enum(["hole", "shaft"]).nullable().default(null),
  /** Sizes as they were typed; empty: not known. */
  drawn: typed,
  made: typed,
  felt: z.enum(fitWords).nullable().default(null),
  /** As measured, with its unit, and in words. */
  play: text(60).trim().default(""),
  smooth: text(120).trim().default(""),
  /** Null: nobody looked. */
  burr: z.enum(["none", "taken off"]).nullable().default(null),
  outcome: z.enum(trialOutcomes),
  why: text(400).trim().default(""),
});

/** One version of a part as drawn, made, tried or fitted; each try of a file or reamer is one by itself, and those that lost stay with their reason. */
export async function logTrial({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(trialInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const sizes = [value.drawn, value.made].map((size) => (size === "" ? null : parseQuantity(size, "length", "mm")));
  for (const [i, size] of sizes.entries()) {
    const field = i === 0 ? "drawn" : "made";
    if (size && !size.ok) return refuse(size.refusal.code, [field], size.refusal.facts);
    if (size?.ok && size.value.value <= 0) return refuse("too-small", [field]);
  }
  const [drawnMm, madeMm] = sizes.map((size) => (size?.ok ? size.value.value : null)) as [number | null, number | null];
  if (value.outcome === "dropped" && value.why === "") return refuse("missing", ["why"]);
  if (value.felt !== null && value.of === null) return refuse("missing", ["of"]);
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machineId = await machineOfStage(db, person.workshopId, value.stageId);
    if (!machineId) return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const { part, version, making, of, felt, play, smooth, burr, outcome, why } = value;
    return accept(
      await appendEntry(db, head, {
        id: value.id,
        machineId,
        stageId: value.stageId,
        kind: "trial",
        body: { part, version, making, of, drawnMm, madeMm, felt, play, smooth, burr, outcome, why },
        madeBy: person.id,
        submission,
        madeAt: value.madeAt,
        recordedAt: now,
      }),
    );
  });
}
