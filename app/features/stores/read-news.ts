import type { Refusal } from "~/core/quantity";
import type { SheetReport } from "~/operations/sheets";

type News = { share: number } | { report: SheetReport } | { refusal: Refusal };

/** Sends a sheet and listens how far it is; gives what comes of it at the end. */
export async function readNews(
  url: string,
  content: string,
  onShare: (share: number) => void,
): Promise<{ report: SheetReport } | { refusal: Refusal }> {
  const away: Refusal = { code: "offline-file", path: [], facts: {} };
  try {
    const response = await fetch(url, { method: "POST", headers: { "Content-Type": "text/csv" }, body: content });
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    let rest = "";
    let last: News | null = null;
    for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
      const lines = (rest + part.value).split("\n");
      rest = lines.pop() ?? "";
      for (const line of lines.filter(Boolean)) {
        last = JSON.parse(line) as News;
        if ("share" in last) onShare(last.share);
      }
    }
    // A refusal before anything was begun comes as one object without a line's end.
    if (rest.trim() !== "") last = JSON.parse(rest) as News;
    return last && !("share" in last) ? last : { refusal: away };
  } catch {
    return { refusal: away };
  }
}
