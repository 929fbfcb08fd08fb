import { expect, test, vi } from "vitest";
import { loadKit } from "~/app/routes/machine/load-kit.server";
import { loadMachine } from "~/app/routes/machine/load-machine.server";
import { freshWorks } from "./fixture";

const works = freshWorks();
const inAll = 1000;

async function grow(): Promise<void> {
  await works.pool.query(
    `with more as (
       insert into stage (id, machine_id, position, name, kind, created_at)
       select gen_random_uuid(), s.machine_id, n, 'Stage ' || n, s.kind, now() from stage s, generate_series(1, $2::int) n
       where s.id = $1 returning id),
     g as (insert into stage_geometry (id, stage_id, revision, element, clamps, made_by, effective_from)
       select gen_random_uuid(), m.id, 1, g.element, g.clamps, g.made_by, now() from more m, stage_geometry g where g.stage_id = $1),
     a as (insert into stage_adjuster (id, stage_id, revision, name, adjuster, step, positive_word, negative_word, made_by, effective_from)
       select gen_random_uuid(), m.id, 1, a.name, a.adjuster, a.step, a.positive_word, a.negative_word, a.made_by, now()
       from more m, stage_adjuster a where a.stage_id = $1)
     insert into stage_limits (id, stage_id, revision, quantity, lo, aim, hi, source_kind, source, made_by, effective_from)
     select gen_random_uuid(), m.id, 1, l.quantity, l.lo, l.aim, l.hi, l.source_kind, l.source, l.made_by, now()
     from more m, stage_limits l where l.stage_id = $1`,
    [works.stageId, inAll - 1],
  );
}

/** How many questions are asked of the database meanwhile. */
async function questions(work: () => Promise<unknown>): Promise<number> {
  const asked = vi.spyOn(works.pool, "query");
  await work();
  const count = asked.mock.calls.length;
  asked.mockRestore();
  return count;
}

test("a machine of a thousand stages: its page comes a part at a time, and what a tablet keeps of it takes no more questions than one of a single stage", async () => {
  const asked = { before: 0, words: "", stagesFrom: 0 };
  const kit = () => loadKit(works.as(), works.machineId);
  const page = (stagesFrom = 0) => loadMachine(works.as(), works.machineId, { ...asked, stagesFrom });
  const few = [await questions(kit), await questions(() => page())];
  await grow();
  expect([await questions(kit), await questions(() => page())]).toEqual(few);
  const first = await page();
  expect([first.stages.length, first.stagesInAll]).toEqual([48, inAll]);
  // Stages that are alike share one drawing, which travels once.
  expect(new Set(first.stages.map(({ alone }) => alone?.drawn)).size).toBe(1);
  const more = JSON.stringify(first, (key, value) => (key === "drawn" ? undefined : value));
  expect(more.length).toBeLessThan(100_000);
  const names = new Set<string>();
  for (let from = 0; from < inAll; from += 48) for (const { name } of (await page(from)).stages) names.add(name);
  expect(names.size).toBe(inAll);
  expect((await kit()).stages).toHaveLength(120);
});

test("a stage beyond what a tablet keeps is there when it is asked for, and is never taken for another", async () => {
  const { rows } = await works.pool.query("select id from stage where machine_id = $1 order by position desc limit 1", [
    works.machineId,
  ]);
  const { stages } = await loadKit(works.as(), works.machineId, rows[0].id);
  expect(stages.at(-1)?.id).toBe(rows[0].id);
});
