import QRCode from "qrcode";
import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { headOf, machineById } from "~/data/queries/machines";
import type { Context } from "~/operations/context";

/** The label of a machine: the address of its quick touch as a QR code. */
export async function loadLabel({ pool, person }: Context, machineId: string, origin: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const address = `${origin}/at/${machine.id}`;
  const svg = await QRCode.toString(address, { type: "svg", errorCorrectionLevel: "Q", margin: 1 });
  const { count, hash } = await headOf(pool, machine.id);
  return { machine, address, svg, head: { seq: count, hash: hash.toString("hex") } };
}
