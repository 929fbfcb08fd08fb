import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useSimulatedInstruments } from "./switch";

const instruments = later(async () => (await import("./simulated-instruments")).SimulatedInstruments);

/** Simulated instruments, where they were laid out; they are fetched then. */
export function InstrumentPanel() {
  return useSimulatedInstruments() ? <WhenHere part={instruments} props={{}} /> : null;
}
