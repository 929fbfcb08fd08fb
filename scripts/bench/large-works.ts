import type { OpenPool } from "../../data/postgres";

export const size = { machines: 1000, weeks: 520, readings: 12, drawers: 50_000, takings: 4 };

/**
 * A thousand machines with a stage each and ten years of weekly rounds, each a signed job, put beside the demo by the database itself:
 * 1.56 million entries and 6.24 million readings; and fifty thousand drawers from which pieces were taken. Copies of a stage of the demo; hashes are not worked out, for nobody verifies these.
 */
export async function growWorks(pool: OpenPool): Promise<void> {
  const client = await pool.connect();
  const run = (text: string) => client.query(text);
  try {
    await run("set statement_timeout = 0");
    await run("begin");
    // Triggers and references are for what people enter.
    await run(
      "set local session_replication_role = replica; set local synchronous_commit = off; set local work_mem = '256MB'",
    );
    await run("select setseed(0.42)");
    await run(`create temp table model on commit drop as
      select s.id as stage_id, m.workshop_id, p.id as person_id, p.name as person_name, i.id as instrument_id
      from stage s join machine m on m.id = s.machine_id join person p on p.workshop_id = m.workshop_id
        join instrument i on i.workshop_id = m.workshop_id and i.kind = 'lever indicator'
      where s.retired_at is null order by m.name, s.position limit 1`);
    await run(`create temp table large on commit drop as
      select n, gen_random_uuid() as machine_id, gen_random_uuid() as stage_id, gen_random_uuid() as geometry_id,
        gen_random_uuid() as adjuster_id, gen_random_uuid() as limits_id
      from generate_series(1, ${size.machines}) n`);
    await run(`insert into machine (id, workshop_id, name, tag, site, hall, place, model, usage_unit, created_at, entry_count, head_hash)
      select machine_id, workshop_id, 'Line ' || n, 'LINE-' || n, 'Works ' || n % 4, 'Hall ' || n % 20, 'bay ' || n, 'Line model ' || n % 90,
        'hours', now(), ${size.weeks * 3}, '\\x00' from large, model`);
    await run(`insert into stage (id, machine_id, position, name, kind, created_at)
      select stage_id, machine_id, 0, 'Main drive', 'gear-pair', now() from large`);
    for (const [table, id] of [
      ["stage_geometry", "geometry_id"],
      ["stage_adjuster", "adjuster_id"],
      ["stage_limits", "limits_id"],
    ] as const) {
      await run(`create temp table copied on commit drop as select t.* from ${table} t join model m on m.stage_id = t.stage_id
        order by revision desc limit 1`);
      await run(`insert into ${table} select (jsonb_populate_record(null::${table},
          to_jsonb(c) || jsonb_build_object('id', l.${id}, 'stage_id', l.stage_id, 'revision', 1))).* from copied c, large l`);
      await run("drop table copied");
    }
    await run(`create temp table visit on commit drop as
      select l.*, w, gen_random_uuid() as job_id, gen_random_uuid() as opened_id, gen_random_uuid() as round_id,
        gen_random_uuid() as signed_id, now() - (${size.weeks} - w) * interval '7 days' - l.n * interval '1 minute' as at,
        0.16 + 0.00004 * w + 0.01 * random() as low
      from large l, generate_series(1, ${size.weeks}) w`);
    await run(`insert into job (id, machine_id, reason, opened_by, opened_at, signed_entry)
      select job_id, machine_id, 'Weekly round', person_id, at, signed_id from visit, model`);
    await run("insert into job_stage select job_id, stage_id, 0 from visit");
    const result = `jsonb_build_object('quantity', 'backlash', 'count', ${size.readings}, 'min', low, 'max', low + 0.05, 'mean', low + 0.025, 'worstMin', low - 0.002,
      'worstMax', low + 0.052, 'tightTooth', 7, 'expandedUncertainty', 0.01, 'verdict', 'conforms', 'holds', 'provable', 'carriedFrom', null)`;
    const entry = (id: string, kind: string, body: string, offset: number) =>
      run(`insert into entry (id, machine_id, seq, job_id, stage_id, kind, body, made_by, made_by_name, made_at, recorded_at, usage, geometry_id,
          adjuster_id, limits_id, previous_hash, hash, format)
        select ${id}, machine_id, 3 * (w - 1) + ${offset}, job_id, visit.stage_id, '${kind}', ${body}, person_id, person_name, at, at, w * 40, geometry_id,
          adjuster_id, limits_id, '\\x00', '\\x00', 3 from visit, model`);
    await entry("opened_id", "job-opened", `'{"reason": "Weekly round"}'::jsonb`, 1);
    await entry("round_id", "round", `jsonb_build_object('phase', 'as-found', 'result', ${result})`, 2);
    await entry(
      "signed_id",
      "signature",
      `jsonb_build_object('record', jsonb_build_object('asFound', ${result}, 'asLeft', ${result}, 'moves', 0, 'clampsFirm', 0, 'proofs', 0),
        'comment', '', 'nextDate', null, 'provisional', '[]'::jsonb, 'saw', '[]'::jsonb, 'unproven', '[]'::jsonb)`,
      3,
    );
    await run(`insert into reading (entry_id, ordinal, tooth, turn, angle_deg, sense, quantity, typed, unit, value, struck,
        indicator_radius_mm, indicator_angle_deg, instrument_id, resolution, expanded_uncertainty, live)
      select round_id, i, 1 + 4 * i, 1, i * 25, 'clockwise', 'circumferential-backlash', round((low + 0.004 * i)::numeric, 2)::text, 'mm',
        low + 0.004 * i, false, 60, 0, instrument_id, 0.01, 0.006, false
      from visit, model, generate_series(0, ${size.readings - 1}) i`);
    await run(`insert into stage_standing (stage_id, machine_id, state, severity, standing, drifts_out_at, next_date)
      select stage_id, machine_id, case n % 25 when 0 then 'outside' when 1 then 'near' else 'inside' end,
        case n % 25 when 0 then 0 when 1 then 1 else 3 end,
        jsonb_build_object('result', ${result}, 'felt', null, 'readAt', at, 'changedSince', false,
          'state', case n % 25 when 0 then 'outside' when 1 then 'near' else 'inside' end, 'drift', null),
        case when n % 25 = 2 then now() + interval '20 days' end, (now() + interval '7 days')::date
      from visit where w = ${size.weeks}`);
    await run(`insert into open_point (id, machine_id, stage_id, code, text, opened_entry, opened_by, opened_at)
      select gen_random_uuid(), machine_id, visit.stage_id, 'said', 'Guard to be seen to', round_id, person_id, at
      from visit, model where w = ${size.weeks} and n % 4 = 0`);
    await run(`insert into store_item (id, workshop_id, kind, name, nominal_mm, count, place, created_at)
      select gen_random_uuid(), workshop_id, (array['shim', 'spacer', 'gear', 'bearing', 'screw'])[1 + n % 5], 'Drawer ' || n,
        0.01 * (1 + n % 900), n % 12, 'rack ' || n % 40, now() from generate_series(1, ${size.drawers}) n, model`);
    await run(`insert into store_movement (id, item_id, change, count_after, why, made_by, made_at)
      select gen_random_uuid(), i.id, 1, k, 'Entered', person_id, now() - k * interval '1 day'
      from store_item i, model, generate_series(1, ${size.takings}) k where i.name like 'Drawer %'`);
    await run("commit");
    await run("vacuum analyze");
  } finally {
    client.release();
  }
}
