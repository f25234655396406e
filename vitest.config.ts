import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  test: {
    include: ["src/**/*.test.ts"],
    environment: "node",
    testTimeout: 60_000 * Number(process.env.HEVRET_TIMES ?? 1),
    // No test leaves anything behind in a module, so each module is loaded once for a worker, not once for a file.
    isolate: false,
    // Beside the checks of `npm test`, too: what reads the code leaves a core free most of the time.
    maxWorkers: "100%",
    // The database is there before anything that asks for one is loaded, in whatever order files are run.
    setupFiles: ["fake-indexeddb/auto", "src/core/testing/setup.ts"],
  },
});
