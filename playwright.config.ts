import { defineConfig } from "@playwright/test";

const port = Number(process.env.E2E_PORT ?? 4790);
const root = process.getuid?.() === 0;

export default defineConfig({
  testDir: "tests/e2e",
  workers: 1,
  forbidOnly: true,
  // Generous: a busy machine is no failure, and nothing here is judged by its speed.
  timeout: 600_000,
  expect: { timeout: 120_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [["list"], ["json"]] : [["list"]],
  outputDir: "test-results",
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "block",
    // Without pictures: taking them keeps a busy machine from drawing the page itself.
    trace: { mode: "retain-on-failure", screenshots: false },
    actionTimeout: 120_000,
    navigationTimeout: 120_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: [
        ...(root ? ["--no-sandbox"] : []),
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
