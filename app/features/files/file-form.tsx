import { type ReactNode, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { FileField } from "~/ui/file-field";
import { putOnItsWay } from "../offline/outbox-state";
import { Refused } from "../words/refused";

/** A file to be kept: sent once under its own id, said to be kept, or why not; then the form is ready for the next. */
export function FileForm({
  to,
  label,
  types,
  prepare = async (file) => file,
  waits = false,
  className,
  children,
}: {
  /** Where it is sent. */
  to: string;
  label: string;
  /** What may be chosen, as the browser takes it. */
  types: string;
  /** What is done with a file before it is sent. */
  prepare?: (file: File) => Promise<Blob>;
  /** Without a server it waits on this tablet, as entries do. */
  waits?: boolean;
  className: string;
  children?: ReactNode;
}) {
  const { revalidate } = useRevalidator();
  const form = useRef<HTMLFormElement>(null);
  const [id, setId] = useState(() => v7());
  const [says, setSays] = useState<{ text: ReactNode; bad: boolean } | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (event: React.FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const file = typed.get("file");
    if (!(file instanceof File) || file.size === 0) return setSays({ text: "Choose a file first.", bad: true });
    setBusy(true);
    setSays({ text: "Sending …", bad: false });
    const content = await prepare(file);
    typed.set("file", content, file.name);
    const refusal = await post(to, typed);
    const away = waits && refusal !== null && goesLater.has(refusal.code);
    if (away) await putOnItsWay(waiting(to, typed, file.name, content));
    setBusy(false);
    if (refusal && !away) return setSays({ text: <Refused refusal={refusal} />, bad: true });
    setSays({ text: away ? "Kept on this tablet; it is sent when the server can be reached." : "Kept.", bad: false });
    setId(v7());
    form.current?.reset();
    // Without a server there is nothing new to be had, and asking would cost the page.
    if (!away) revalidate();
  };
  return (
    <form ref={form} onSubmit={send} className={className} encType="multipart/form-data">
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <FileField label={label} name="file" accept={types} />
      {children}
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

/** Nothing against the file: without a network, with too much at once, or with somebody else signed in it waits for who took it. */
const goesLater: ReadonlySet<string> = new Set(["offline-file", "busy", "signed-out", "other-person"]);

function waiting(to: string, typed: FormData, name: string, file: Blob) {
  const fields = Object.fromEntries([...typed].filter(([field]) => field !== "file"));
  const payload = {
    ...fields,
    id: String(typed.get("id")),
    kind: "attachment",
    name,
    madeAt: new Date().toISOString(),
  };
  return { id: payload.id, jobId: "", url: to, payload, file };
}

async function post(to: string, body: FormData): Promise<Refusal | null> {
  try {
    const response = await fetch(to, { method: "POST", body });
    return ((await response.json()) as { refusal?: Refusal }).refusal ?? null;
  } catch {
    return { code: "offline-file", path: [], facts: {} };
  }
}
