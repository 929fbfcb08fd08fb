import { type Database, none, one, sql } from "../postgres";

/** Notes that a browser has signed somebody in. */
export async function noteDevice(db: Database, deviceId: Buffer, personId: string, now: Date): Promise<void> {
  await none(
    db,
    sql`insert into device (id, seen_at) values (${deviceId}, ${now}) on conflict (id) do update set seen_at = excluded.seen_at`,
  );
  await none(
    db,
    sql`insert into device_person (device_id, person_id, seen_at) values (${deviceId}, ${personId}, ${now})
        on conflict (device_id, person_id) do update set seen_at = excluded.seen_at`,
  );
}

export const isKnownDevice = (db: Database, deviceId: Buffer, personId: string) =>
  one(
    db,
    sql`select exists(select 1 from device_person where device_id = ${deviceId} and person_id = ${personId}) as known`,
    (row) => row.known as boolean,
  );

export const setDeviceShared = (db: Database, deviceId: Buffer, shared: boolean, now: Date) =>
  none(
    db,
    sql`insert into device (id, shared, seen_at) values (${deviceId}, ${shared}, ${now})
        on conflict (id) do update set shared = excluded.shared, seen_at = excluded.seen_at`,
  );

/** Browsers that nobody has used for over a year. */
export const forgetOldDevices = (db: Database, before: Date) =>
  none(db, sql`delete from device where seen_at < ${before}`);
