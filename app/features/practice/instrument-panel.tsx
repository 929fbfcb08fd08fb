import { useRouteLoaderData } from "react-router";
import type { loader as rootLoader } from "~/app/root";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useSimulatedInstruments } from "./switch";

const instruments = later(async () => (await import("./simulated-instruments")).SimulatedInstruments);

const bench = later(async () => (await import("./practice-bench")).PracticeBench);

/** Simulated instruments, where they were laid out, and those of a practice; they are fetched then. */
export function InstrumentPanel({ machineId, stageId }: { machineId: string; stageId: string }) {
  const practising = useRouteLoaderData<typeof rootLoader>("root")?.person?.practising;
  const laidOut = useSimulatedInstruments();
  if (practising) return <WhenHere part={bench} props={{ machineId, stageId }} />;
  return laidOut ? <WhenHere part={instruments} props={{}} /> : null;
}

/** On pages of a machine where nothing is read: what else one can do to a practice machine. */
export function PracticePanel({ machineId }: { machineId: string }) {
  const practising = useRouteLoaderData<typeof rootLoader>("root")?.person?.practising;
  return practising ? <WhenHere part={bench} props={{ machineId, stageId: null }} /> : null;
}
