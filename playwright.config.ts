import { defineConfig } from "@playwright/test";

import { setTestFonts } from "./scripts/fonts.mjs";

const port = 4180;

/**
 * What the browser keeps ready in each of its windows for an address bar that nobody sees costs as much as a small page; the
 * last such list counts, so those that Playwright names by itself, and that pages notice, stand in it, too.
 */
const withoutFeatures = [
  "WebUIOmniboxPopup",
  "WebUIOmniboxAimPopup",
  "AimEnabled",
  "AvoidUnnecessaryBeforeUnloadCheckSync",
  "DestroyProfileOnBrowserClose",
  "HttpsFirstBalancedModeAutoEnable",
  "HttpsUpgrades",
  "LensOverlay",
  "MediaRouter",
  "NetworkTimeServiceQuerying",
  "OptimizationHints",
  "PaintHolding",
  "PreconnectToSearch",
  "ThirdPartyStoragePartitioning",
];

/** Windows live for seconds here: what V8 makes quick for longer lives costs a tenth of the run and is thrown away. */
const shortLived = "--max-opt=2,--invocation-count-for-maglev=4000";

setTestFonts();

export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  // On a loaded machine a test is tried once more; the run names those that needed it.
  retries: 1,
  expect: { timeout: 10_000 },
  reporter: process.env.HEVRET_REPORT ? [["line"], ["json", { outputFile: process.env.HEVRET_REPORT }]] : [["line"]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    // Only the tests of it keep the application for use without a network.
    serviceWorkers: "block",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        `--disable-features=${withoutFeatures.join(",")}`,
        `--js-flags=${shortLived}`,
      ],
    },
  },
  webServer: {
    command: `node scripts/serve.mjs ${port}`,
    url: `http://localhost:${port}`,
    reuseExistingServer: false,
    env: { NEXT_TELEMETRY_DISABLED: "1" },
  },
});
