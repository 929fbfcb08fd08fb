import { v7 } from "uuid";
import { expect, test } from "vitest";
import { dayMs, idleMs, stateOf } from "~/app/session/session-state";
import { deleteExpiredSessions, insertSession, openSession } from "~/data/queries/sessions";
import { freshWorks } from "./fixture";

const works = freshWorks();

test("a session that has run out opens nothing, and is cleared away without touching the others", async () => {
  const now = new Date("2026-06-01T12:00:00Z");
  const in_ = (minutes: number) => new Date(now.getTime() + minutes * 60_000);
  const session = (id: string, expires: Date) => ({
    id,
    personId: works.lead.id,
    how: "password" as const,
    expires,
    now,
    device: "",
    deviceId: null,
  });
  await insertSession(works.pool, session("over", in_(-1)));
  await insertSession(works.pool, session("open", in_(5)));
  expect(await openSession(works.pool, "over", now)).toBeNull();
  await deleteExpiredSessions(works.pool, now);
  expect(await openSession(works.pool, "over", in_(-10))).toBeNull();
  expect(await openSession(works.pool, "open", now)).toMatchObject({ person: { id: works.lead.id } });
});

test("half an hour without its owner it rests, and at the end of the working day it is over whatever happens", async () => {
  const now = new Date("2026-06-01T06:00:00Z");
  const later = (ms: number) => new Date(now.getTime() + ms);
  const id = v7();
  const expires = later(dayMs);
  const input = { id, personId: works.lead.id, how: "pin" as const, expires, now, device: "", deviceId: null };
  await insertSession(works.pool, input);
  const at = async (ms: number) => stateOf(await openSession(works.pool, id, later(ms)), later(ms)).is;
  expect(await at(idleMs - 1)).toBe("open");
  expect(await at(idleMs + 1)).toBe("resting");
  expect(await at(dayMs + 1)).toBe("none");
});
