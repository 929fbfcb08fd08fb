import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { certificateContent, certificatesOf, everyInstrument } from "~/data/queries/instruments";
import type { Context } from "~/operations/context";
import { dayIn } from "~/operations/day-in";

export async function loadInstruments({ pool, person, now }: Context) {
  const instruments = await everyInstrument(pool, person.workshopId);
  return { instruments, role: person.role, today: dayIn(now, person.timeZone) };
}

export async function loadInstrument(asked: Context, id: string) {
  const { instruments, role, today } = await loadInstruments(asked);
  const instrument = instruments.find((one) => one.id === id);
  if (!instrument) throw data({ code: "no-such-instrument" }, { status: 404 });
  const certificates = await certificatesOf(asked.pool, instrument.id);
  return { instrument, certificates, role, today };
}

export const loadCertificate = async ({ pool, person }: Context, id: string) =>
  isId(id) ? certificateContent(pool, person.workshopId, id) : null;
