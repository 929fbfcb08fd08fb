import type { Reader } from "../words/reader";
import type { OnPage } from "./on-page";
import type { PaperOfJob, PaperOfMachine } from "./paper";

/** What is to be printed, and for whom figures are written. */
export type Printed = { reader: Reader } & (
  | { of: "job"; record: PaperOfJob }
  | { of: "machine"; record: PaperOfMachine }
);

/** The PDF of a job's record, or of the newest part of a machine's logbook. */
export async function printed(asked: Printed, onPage: OnPage = () => {}): Promise<Uint8Array> {
  const { logbookAsPdf, recordAsPdf } = await import("./paper");
  const { reader } = asked;
  return new Uint8Array(
    asked.of === "job"
      ? await recordAsPdf(reader, asked.record, onPage)
      : await logbookAsPdf(reader, asked.record, onPage),
  );
}
