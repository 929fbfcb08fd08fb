import { Paperclip } from "lucide-react";
import { useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { v7 } from "uuid";
import { isKind } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { NamedEntry } from "~/data/queries/entries";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { shortDay } from "../words/times";
import { shrinkPhotograph } from "./shrink-photograph";

/** Photographs and files of a machine, the newest first. */
export function Files({
  machineId,
  files,
  timeZone,
  mayAdd,
}: {
  machineId: string;
  files: readonly NamedEntry[];
  timeZone: string;
  mayAdd: boolean;
}) {
  return (
    <section aria-labelledby="files">
      <h2 id="files" className="text-xl font-bold mb-1">
        Photographs and files
      </h2>
      <ul className="flex flex-wrap gap-4 mb-3">
        {files.filter(isKind("attachment")).map((entry) => (
          <li key={entry.id} className="w-40">
            <a href={`/files/${entry.id}`} className="block text-ink" target="_blank" rel="noreferrer">
              {entry.body.mediaType.startsWith("image/") ? (
                <img
                  src={`/files/${entry.id}?small=1`}
                  alt=""
                  className="w-40 h-28 object-cover border border-rule"
                  loading="lazy"
                />
              ) : (
                <span className="w-40 h-28 border border-rule bg-panel grid place-items-center">
                  <Paperclip aria-hidden="true" />
                </span>
              )}
              <span className="block truncate">{entry.body.caption || entry.body.name}</span>
            </a>
            <span className="text-mid">{shortDay(entry.madeAt, timeZone)}</span>
          </li>
        ))}
        {files.length === 0 && <li className="text-mid">None yet.</li>}
      </ul>
      {mayAdd && <AddFile machineId={machineId} />}
    </section>
  );
}

function AddFile({ machineId }: { machineId: string }) {
  const { revalidate } = useRevalidator();
  const form = useRef<HTMLFormElement>(null);
  const [id, setId] = useState(() => v7());
  const [says, setSays] = useState<{ text: string; bad: boolean } | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (event: React.FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const file = typed.get("file");
    if (!(file instanceof File) || file.size === 0) return setSays({ text: "Choose a file first.", bad: true });
    setBusy(true);
    setSays({ text: "Sending …", bad: false });
    const smaller = await shrinkPhotograph(file);
    typed.set("file", smaller, file.name);
    const refusal = await sendFile(machineId, typed);
    setBusy(false);
    if (refusal) return setSays({ text: refusalWords(refusal), bad: true });
    setSays({ text: "Kept.", bad: false });
    setId(v7());
    form.current?.reset();
    revalidate();
  };
  return (
    <form ref={form} onSubmit={send} className="flex flex-wrap gap-3 items-end" encType="multipart/form-data">
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <label className="block">
        <span className="block font-semibold mb-1">Photograph or file</span>
        <input
          type="file"
          name="file"
          accept=".jpg,.jpeg,.png,.webp,.pdf,.csv,.txt"
          className="min-h-12 file:min-h-12 file:px-4 file:font-semibold file:bg-panel file:border-2 file:border-ink file:text-ink file:mr-3 max-w-full"
        />
      </label>
      <Field label="What it shows" name="caption" autoComplete="off" maxLength={400} />
      <Button type="submit" large disabled={busy}>
        Keep it
      </Button>
      {says && (
        <p role={says.bad ? "alert" : "status"} className={`w-full ${says.bad ? "text-outside font-semibold" : ""}`}>
          {says.text}
        </p>
      )}
    </form>
  );
}

async function sendFile(machineId: string, body: FormData): Promise<Refusal | null> {
  try {
    const response = await fetch(`/machines/${machineId}/files`, { method: "POST", body });
    const answer = (await response.json()) as { refusal?: Refusal };
    return answer.refusal ?? null;
  } catch {
    return { code: "offline-file", path: [], facts: {} };
  }
}
