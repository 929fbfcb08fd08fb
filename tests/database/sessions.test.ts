import { expect, test } from "vitest";
import { deleteExpiredSessions, insertSession, sessionData } from "~/data/queries/sessions";
import { freshWorks } from "./fixture";

const works = freshWorks();

test("a session that has run out opens nothing, and is cleared away without touching the others", async () => {
  const now = new Date("2026-06-01T12:00:00Z");
  const in_ = (minutes: number) => new Date(now.getTime() + minutes * 60_000);
  const session = (id: string, expires: Date) => ({
    id,
    data: { personId: works.lead.id },
    personId: works.lead.id,
    expires,
    now,
    device: "",
  });
  await insertSession(works.pool, session("over", in_(-1)));
  await insertSession(works.pool, session("open", in_(5)));
  expect(await sessionData(works.pool, "over", now)).toBeNull();
  await deleteExpiredSessions(works.pool, now);
  expect(await sessionData(works.pool, "over", in_(-10))).toBeNull();
  expect(await sessionData(works.pool, "open", now)).toMatchObject({ data: { personId: works.lead.id } });
});
