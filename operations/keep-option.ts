import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant } from "./input";
import { optionFields } from "./option-fields";

const optionInput = optionFields.extend({
  id,
  /** Of a stage; or else of an assembly of a machine. */
  stageId: id.nullable().default(null),
  machineId: id.nullable().default(null),
  madeAt: instant,
});

/** One way to drive a stage, or to build an assembly of a machine, beside others, as it is known now; said again under its name it is revised, and one that lost keeps its reason. */
export async function keepOption({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(optionInput, input);
  if (!checked.ok) return checked;
  const { id: entryId, stageId, machineId: asked, madeAt, ...body } = checked.value;
  if (body.outcome === "lost" && body.why === "") return refuse("missing", ["why"]);
  if (stageId === null && body.assembly === undefined) return refuse("missing", ["assembly"]);
  if (stageId !== null && body.assembly !== undefined) return refuse("one-of-two", ["assembly"]);
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machineId =
      stageId === null
        ? asked && (await machineById(db, person.workshopId, asked))?.id
        : await machineOfStage(db, person.workshopId, stageId);
    if (!machineId)
      return stageId === null ? refuse("no-such-machine", ["machineId"]) : refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, entryId, submission);
    if (known) return known;
    return accept(
      await appendEntry(db, head, {
        id: entryId,
        machineId,
        stageId,
        kind: "option",
        body,
        madeBy: person.id,
        submission,
        madeAt,
        recordedAt: now,
      }),
    );
  });
}
