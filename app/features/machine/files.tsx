import { Paperclip } from "lucide-react";
import { useWords } from "~/app/features/words/use-words";
import { type Entry, isKind } from "~/core/logbook";
import { Field } from "~/ui/field";
import { FileForm } from "../files/file-form";
import { shortDay } from "../words/times";
import { shrinkPhotograph } from "./shrink-photograph";

/** Photographs and files of a machine, the newest first. */
export function Files({ machineId, files, mayAdd }: { machineId: string; files: readonly Entry[]; mayAdd: boolean }) {
  const reader = useWords();
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
            <span className="text-mid">{shortDay(reader, entry.madeAt)}</span>
          </li>
        ))}
        {files.length === 0 && <li className="text-mid">None yet.</li>}
      </ul>
      {mayAdd && (
        <FileForm
          to={`/machines/${machineId}/files`}
          label="Photograph or file"
          types=".jpg,.jpeg,.png,.webp,.pdf,.csv,.txt"
          prepare={shrinkPhotograph}
          waits
          className="flex flex-wrap gap-3 items-end"
        >
          <Field label="What it shows" name="caption" autoComplete="off" maxLength={400} />
        </FileForm>
      )}
    </section>
  );
}
