import { createRequire } from "node:module";
import { Document, Font, Page, renderToBuffer, StyleSheet, Text, View } from "@react-pdf/renderer";
import type { ReactElement, ReactNode } from "react";
import { elementWords } from "~/app/features/kinds";
import { beforeAndAfter, meshesRead, tightestWords } from "~/app/features/words/before-and-after";
import { clampLines } from "~/app/features/words/clamp-lines";
import { entryWords } from "~/app/features/words/entry";
import { leftWords } from "~/app/features/words/provisional";
import { stageUnit } from "~/app/features/words/quantity";
import type { Reader } from "~/app/features/words/reader";
import { clock, dateWords, day, recordedLater } from "~/app/features/words/times";
import { ReaderContext, useWords } from "~/app/features/words/use-words";
import { clampsTouched, type Entry, isKind, jobRecord } from "~/core/logbook";
import type { Job, Machine, Stage } from "~/core/records";
import { stateWord } from "~/ui/state-mark";
import type { StageGlance } from "../stage/stage-glance";
import { noLimits } from "../words/limit-words";
import { headWords } from "./head-words";
import type { OnPage } from "./on-page";
import { PaperGauge, PaperRounds } from "./paper-pictures";

const font = (file: string) => createRequire(import.meta.url).resolve(`@fontsource/archivo/files/archivo-${file}.woff`);
for (const set of ["latin", "latin-ext"] as const)
  Font.register({
    family: `Archivo ${set}`,
    fonts: [
      { src: font(`${set}-400-normal`), fontWeight: 400 },
      { src: font(`${set}-700-normal`), fontWeight: 700 },
    ],
  });
Font.registerHyphenationCallback((word) => [word]);

const ink = "#10243A";
const mid = "#3F5467";
const look = StyleSheet.create({
  page: {
    padding: 42,
    paddingBottom: 60,
    fontSize: 10,
    color: ink,
    fontFamily: ["Archivo latin", "Archivo latin-ext"] as never,
    lineHeight: 1.35,
  },
  title: { fontSize: 18, fontWeight: 700, lineHeight: 1.2, marginBottom: 4 },
  mid: { color: mid },
  stage: { fontSize: 13, fontWeight: 700, marginTop: 14, borderBottom: `1.5 solid ${ink}`, paddingBottom: 2 },
  head: { fontWeight: 700, marginTop: 8 },
  rule: { height: 0.5, backgroundColor: "#9DAEB7" },
  row: { flexDirection: "row", paddingVertical: 2 },
  foot: {
    position: "absolute",
    bottom: 26,
    left: 42,
    right: 42,
    color: mid,
    fontSize: 8,
    flexDirection: "row",
    justifyContent: "space-between",
  },
});

type Head = { seq: number; hash: string };
/** What the paper of a job shows. */
export type PaperOfJob = {
  machine: Machine;
  job: Job;
  stages: Stage[];
  entries: Entry[];
  now: string;
  head: Head;
};
/** What the paper of a machine shows. */
export type PaperOfMachine = {
  machine: Machine;
  stages: Stage[];
  /** Each stage as it stands, with its limits. */
  stands: (Pick<StageGlance, "id" | "name" | "size" | "state" | "read"> & { within: string })[];
  entries: Entry[];
  now: string;
  head: Head;
};

/** The record of a job on paper: as found, what was done, as left, every reading, who signed it and what stayed open. */
export const recordAsPdf = (reader: Reader, record: PaperOfJob, onPage: OnPage = () => {}): Promise<Buffer> =>
  renderToBuffer(
    (
      <ReaderContext value={reader}>
        <JobDocument {...record} onPage={onPage} />
      </ReaderContext>
    ) as ReactElement<never>,
  );

/** The newest part of a machine's logbook on paper. */
export const logbookAsPdf = (reader: Reader, record: PaperOfMachine, onPage: OnPage = () => {}): Promise<Buffer> =>
  renderToBuffer(
    (
      <ReaderContext value={reader}>
        <Paper
          title={`${record.machine.name}, ${record.machine.tag}`}
          onPage={onPage}
          printed={`Printed ${day(reader, record.now)}, ${headWords(record.head)}`}
          more={Array.from({ length: Math.max(0, Math.ceil(record.entries.length / sheetOf) - 1) }, (_, i) => (
            <Entries
              key={i}
              entries={record.entries.slice((i + 1) * sheetOf, (i + 2) * sheetOf)}
              stages={record.stages}
            />
          ))}
        >
          {record.stands.map(({ id, name, size, state, read, within }) => (
            <Text key={id}>
              <Text style={{ fontWeight: 700 }}>
                {name} {size}
              </Text>
              : {stateWord[state]}, {read}, {within}
            </Text>
          ))}
          <Text style={{ ...look.mid, marginTop: 10 }}>
            Logbook, the newest {record.entries.length} entries. The whole, with its hashes, is in the JSON record.
          </Text>
          <Entries entries={record.entries.slice(0, sheetOf)} stages={record.stages} />
        </Paper>
      </ReaderContext>
    ) as ReactElement<never>,
  );

/** The renderer misplaces rows that flow over some dozens of pages; so many flow over two or three. */
const sheetOf = 60;

function Paper({
  title,
  printed,
  onPage,
  children,
  more = [],
}: {
  title: string;
  printed: string;
  onPage: OnPage;
  children: ReactNode;
  /** What begins on a sheet of its own. */
  more?: readonly ReactNode[];
}): ReactElement<never> {
  return (
    <Document title={title}>
      {[children, ...more].map((part, i) => (
        <Page key={i} size="A4" style={look.page}>
          {i === 0 && <Text style={look.title}>{title}</Text>}
          {part}
          <View style={look.foot} fixed>
            <Text>
              Harmostat. {title}. {printed}
            </Text>
            <Text
              render={({ pageNumber, totalPages }) => {
                onPage(pageNumber, totalPages);
                return `${pageNumber} of ${totalPages}`;
              }}
            />
          </View>
        </Page>
      ))}
    </Document>
  ) as ReactElement<never>;
}

function JobDocument({ machine, job, stages, entries, now, head, onPage }: PaperOfJob & { onPage: OnPage }) {
  const reader = useWords();
  const signatures = entries.filter(isKind("signature"));
  const signature = signatures[0];
  return (
    <Paper
      title={`${machine.name}, ${machine.tag}`}
      onPage={onPage}
      printed={`Printed ${day(reader, now)}, ${headWords(head)}`}
      more={Array.from({ length: Math.ceil(entries.length / sheetOf) }, (_, i) => (
        <View key={i}>
          <Text style={look.stage}>{i === 0 ? "Appendix: every entry" : "Every entry, continued"}</Text>
          <Entries entries={entries.slice(i * sheetOf, (i + 1) * sheetOf)} stages={stages} />
        </View>
      ))}
    >
      <Text style={look.mid}>
        {day(reader, job.openedAt)}. {job.reason}
      </Text>
      {stages.map((stage) => (
        <StagePart key={stage.id} stage={stage} entries={entries} />
      ))}
      <Text style={look.stage}>{signature ? "Signed" : "Not signed yet"}</Text>
      {signature && (
        <Text>
          {signature.madeByName}, {day(reader, signature.madeAt)} {clock(reader, signature.madeAt)}, entry{" "}
          {signature.seq}, {headWords(head)}. {signature.body.comment}
        </Text>
      )}
      {signatures.map((item) => (
        <Text key={item.id}>
          {stages.find((stage) => stage.id === item.stageId)?.name}:{" "}
          {item.body.provisional.length === 0
            ? "nothing left provisional"
            : item.body.provisional.map((code) => leftWords(reader, code, item.body.record).toLowerCase()).join("; ")}
          . {item.body.nextDate ? `Next on ${dateWords(reader, item.body.nextDate)}.` : ""}
        </Text>
      ))}
    </Paper>
  );
}

function StagePart({ stage, entries }: { stage: Stage; entries: readonly Entry[] }) {
  const reader = useWords();
  const record = jobRecord(entries, stage);
  return (
    <View>
      <Text style={look.stage}>
        {stage.name}, {elementWords(reader, stage.geometry.element)}
      </Text>
      {meshesRead(stage, record).map((mesh) => (
        <MeshPart key={mesh.gear} {...mesh} entries={entries} />
      ))}
      <Text style={look.head}>Done</Text>
      {record.moves.map((move) => {
        const { title, detail } = entryWords(reader, move, stage);
        return (
          <Text key={move.id}>
            {title}. {detail}
          </Text>
        );
      })}
      {record.moves.length === 0 && <Text>Nothing was moved.</Text>}
      {record.planned.map(({ last }) => {
        if (!last) return null;
        const { title, detail } = entryWords(reader, last, stage);
        return (
          <Text key={last.id}>
            {title}. {detail}
          </Text>
        );
      })}
      {clampLines(reader, clampsTouched(entries, stage.id)).map((line, i) => (
        <Text key={`${i} ${line}`} style={look.mid}>
          {line}
        </Text>
      ))}
    </View>
  );
}

/** As found and as left of a stage, or of one of its gears. */
function MeshPart({
  gear,
  stage,
  read,
  entries,
}: ReturnType<typeof meshesRead>[number] & { entries: readonly Entry[] }) {
  const reader = useWords();
  const { limits } = stage;
  const spoken = stageUnit(reader, stage.geometry.element);
  return (
    <View>
      {gear && <Text style={look.head}>With {gear} in</Text>}
      <Text style={look.mid}>
        {limits
          ? `Limits ${spoken.range(limits.lo, limits.hi)} ${spoken.unit} of ${spoken.name}. ${limits.source}, revision ${limits.revision}.`
          : `Its ${spoken.name} has ${noLimits}: what was read is not judged.`}
      </Text>
      <PaperGauge stage={stage} rows={beforeAndAfter(reader, stage, read)} />
      <PaperRounds stage={stage} entries={entries} read={read} />
      <Text style={look.mid}>{tightestWords(reader, stage, read)}</Text>
    </View>
  );
}

function Entries({ entries, stages }: { entries: readonly Entry[]; stages: readonly Stage[] }) {
  const reader = useWords();
  return (
    <>
      {entries.map((entry) => {
        const stage = stages.find((item) => item.id === entry.stageId);
        const { title, detail } = entryWords(reader, entry, stage);
        return (
          <View key={entry.id} wrap={false}>
            <View style={look.rule} />
            <View style={look.row}>
              <Text style={{ width: 30, flexShrink: 0 }}>{entry.seq}</Text>
              <Text style={{ width: 104, flexShrink: 0, paddingRight: 8, color: mid }}>
                {day(reader, entry.madeAt)} {clock(reader, entry.madeAt)}
                {recordedLater(reader, entry)}
              </Text>
              <View style={{ flex: 1, minWidth: 0 }}>
                <Text>
                  <Text style={{ fontWeight: 700 }}>{title}</Text>
                  {detail ? `: ${detail}` : ""}
                </Text>
                {entry.readings.length > 0 && (
                  <Text style={look.mid}>
                    {entry.readings.map((r) => `${r.tooth}: ${r.typed}${r.struck ? " (struck out)" : ""}`).join("   ")}
                  </Text>
                )}
              </View>
              <Text style={{ width: 84, flexShrink: 0, paddingLeft: 8, textAlign: "right", color: mid }}>
                {entry.madeByName}
              </Text>
            </View>
          </View>
        );
      })}
    </>
  );
}
