import sharp from "sharp";
import { v7 } from "uuid";
import { personHeader, personOf } from "../lib/as-person";
import { cpuTicks, type Visitor } from "./visitor";
import { browserFor } from "./weights";

const steps = 200;
const rounds = 20;
const batch = 5;

/** A guide of two hundred parts with a photograph each: CPU time of its page as a ratio to a bare one, and what a browser loads of it before anybody scrolls. */
export async function measureGuidePage(base: string, person: Visitor, pid: number, machineId: string): Promise<void> {
  const photographs = await photographsOf(base, person, machineId);
  const guideId = v7();
  const kept = (await person.post(`/machines/${machineId}/guides/new.data`, {
    entryId: v7(),
    revisionId: v7(),
    guideId,
    name: `Bench ${guideId}`,
    seenRevision: 0,
    parts: photographs.map((photograph, i) => ({
      id: `p${i}`,
      name: `Part ${i}`,
      after: i > 0 ? [`p${i - 1}`] : [],
      screws: [{ size: "M4", lengthMm: 12, count: 4 }],
      photographs: [photograph],
    })),
  })) as unknown;
  if (!kept) throw new Error("the guide was not kept");
  const path = `/guides/${guideId}`;
  const ticks = { bare: 0, guide: 0 };
  for (let round = -2; round < rounds; round++)
    for (const [name, asked] of [
      ["bare", "/status"],
      ["guide", path],
    ] as const) {
      const before = cpuTicks(pid);
      for (let i = 0; i < batch; i++) await person.get(asked);
      if (round >= 0) ticks[name] += cpuTicks(pid) - before;
    }
  const { browser, page } = await browserFor(base);
  let pictures = 0;
  let bytes = 0;
  page.on("requestfinished", async (request) => {
    const { responseBodySize } = await request.sizes();
    bytes += responseBodySize;
    if (request.url().includes("/files/")) pictures++;
  });
  await page.goto(base + path, { waitUntil: "networkidle" });
  await browser.close();
  console.log(
    `guide, ${steps} parts with a photograph each: CPU time of the server ${(ticks.guide / ticks.bare).toFixed(1)} times a bare page; before scrolling ${pictures} of ${steps} pictures and ${(bytes / 1000).toFixed(0)} kB in all`,
  );
}

/** As many small photographs of the machine. */
async function photographsOf(base: string, person: Visitor, machineId: string): Promise<string[]> {
  const noise = { type: "gaussian", mean: 128, sigma: 40 } as const;
  const content = await sharp({ create: { width: 1200, height: 900, channels: 3, background: "#888", noise } })
    .jpeg()
    .toBuffer();
  const headers = { cookie: person.cookie, Origin: base, [personHeader]: await personOf(base, person.cookie) };
  const ids: string[] = [];
  for (let i = 0; i < steps; i++) {
    const id = v7();
    const body = new FormData();
    body.set("id", id);
    body.set("caption", `Part ${i}`);
    body.set("file", new File([new Uint8Array(content)], `part-${i}.jpg`, { type: "image/jpeg" }));
    const answer = await fetch(`${base}/machines/${machineId}/files`, { method: "POST", headers, body });
    if (!answer.ok) throw new Error(`a photograph was refused: ${await answer.text()}`);
    ids.push(id);
  }
  return ids;
}
