import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { expect, type Page } from "@playwright/test";
import { visit } from "./steps";

const root = resolve(import.meta.dirname, "../..");

export type Started = { child: ChildProcess; output: () => string; ends: Promise<number | null> };
export type OwnStart = { home: string; start: (port: number, ...options: string[]) => Started; clear: () => void };

/** `./start` with a home folder of its own, as often as a test wants; all of it gone at the end. */
export function ownStart(): OwnStart {
  const started: ChildProcess[] = [];
  const home = mkdtempSync(join(tmpdir(), "harmostat-start-"));
  const start = (port: number, ...options: string[]): Started => {
    const { DATABASE_URL: _, ...env } = process.env;
    const child = spawn(join(root, "start"), options, {
      cwd: root,
      env: { ...env, PORT: String(port), HARMOSTAT_HOME: home },
    });
    started.push(child);
    let text = "";
    for (const stream of [child.stdout, child.stderr])
      stream?.on("data", (chunk) => {
        text += chunk;
      });
    return { child, output: () => text, ends: new Promise((done) => child.once("exit", done)) };
  };
  const clear = () => {
    for (const child of started) child.kill("SIGKILL");
    rmSync(home, { recursive: true, force: true });
  };
  return { home, start, clear };
}

/** A workshop that has nobody yet asks for its first lead, who is signed in then. */
export async function nameFirstLead(page: Page): Promise<void> {
  await visit(page, "/");
  await expect(page.getByRole("heading", { name: "Nobody works here yet" })).toBeVisible();
  await page.getByLabel("Workshop").fill("Box works");
  await page.getByLabel("Your name").fill("L. Orban");
  await page.getByLabel("Sign-in name").fill("orban");
  await page.getByLabel("Password").fill("a quiet gear runs long");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "The floor is empty" })).toBeVisible();
}
