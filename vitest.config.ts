import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    environment: "node",
    pool: "threads",
    // Limits are for what hangs; how long something takes on a busy machine is no failure.
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          testTimeout: 180_000,
          include: ["{core,calc,data,operations,server,ui,app,demo,scripts}/**/*.test.{ts,tsx}"],
        },
      },
      { extends: true, test: { name: "reference", testTimeout: 180_000, include: ["tests/reference/**/*.test.ts"] } },
      {
        extends: true,
        test: { name: "architecture", include: ["tests/architecture/**/*.test.ts"], testTimeout: 180_000 },
      },
      {
        extends: true,
        test: {
          name: "database",
          include: ["tests/database/**/*.test.ts"],
          globalSetup: ["tests/database/cluster.ts"],
          testTimeout: 180_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
