import { expect, test } from "vitest";
import { deleteExpiredSessions, insertSession, sessionData } from "~/data/queries/sessions";
import { freshWorks } from "./fixture";

const works = freshWorks();

test("a session that has run out opens nothing, and is cleared away without touching the others", async () => {
  const now = new Date("2026-06-01T12:00:00Z");
  const in_ = (minutes: number) => new Date(now.getTime() + minutes * 60_000);
  await insertSession(works.pool, "over", { personId: works.lead.id }, works.lead.id, in_(-1));
  await insertSession(works.pool, "open", { personId: works.lead.id }, works.lead.id, in_(5));
  expect(await sessionData(works.pool, "over", now)).toBeNull();
  await deleteExpiredSessions(works.pool, now);
  expect(await sessionData(works.pool, "over", in_(-10))).toBeNull();
  expect(await sessionData(works.pool, "open", now)).toEqual({ personId: works.lead.id });
});
