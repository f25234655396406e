// Lint, types, unit tests and browser tests; the last line is the sum of what the runners report.
import { spawn } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { build, installBrowser, installPackages, root } from "./setup.mjs";

installPackages();
installBrowser();
await build();

const reports = join(root, ".reports");
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

let passed = 0;
let failed = 0;

/** @param aside whether what it says is kept until it is done, so that others can run beside it */
function run(args, { env = {}, aside = false } = {}) {
  const title = `\n> ${args.join(" ")}`;
  if (!aside) console.log(title);
  return new Promise((resolve) => {
    const child = spawn("npx", args, {
      cwd: root,
      stdio: aside ? ["ignore", "pipe", "pipe"] : "inherit",
      env: { ...process.env, ...env },
    });
    const said = [];
    child.stdout?.on("data", (data) => said.push(data));
    child.stderr?.on("data", (data) => said.push(data));
    child.on("error", () => resolve(false));
    child.on("close", (code) => {
      if (aside) console.log(`${title}\n${Buffer.concat(said).toString("utf8").trimEnd()}`);
      resolve(code === 0);
    });
  });
}

/** A tool without tests of its own counts as one. */
async function check(args) {
  if (await run(args, { aside: true })) passed += 1;
  else failed += 1;
}

/** A runner's own report is counted; a runner that fails without a failed test counts as one failure. */
async function runner(args, report, count, how) {
  const ok = await run(args, how);
  const counted = existsSync(report) ? count(JSON.parse(readFileSync(report, "utf8"))) : { passed: 0, failed: 0 };
  passed += counted.passed;
  failed += counted.failed === 0 && !ok ? 1 : counted.failed;
}

/** What reads the code, one after the other: none of them keeps two cores busy, and unit tests do not either. */
async function checks() {
  await check(["prettier", "--check", "--log-level=warn", "."]);
  await check(["tsc", "--noEmit"]);
  await check(["eslint", "--max-warnings=0", "."]);
}

const unit = join(reports, "unit.json");
const units = runner(
  ["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`],
  unit,
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
  { aside: true },
);
await Promise.all([checks(), units]);

/** All specs of a browser report, whatever they stand in. */
const specsIn = (suites) => suites.flatMap(({ suites: inner = [], specs = [] }) => [...specs, ...specsIn(inner)]);

const reportAt = (path) => (existsSync(path) ? JSON.parse(readFileSync(path, "utf8")) : null);

/** The tests that took longest, of all runners. */
function slowest(count) {
  const units = (reportAt(unit)?.testResults ?? []).flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ title: fullName, took: duration ?? 0 })),
  );
  const specs = specsIn(reportAt(browser)?.suites ?? []).map(({ title, file, tests }) => ({
    title: `${file}: ${title}`,
    took: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0),
  }));
  return [...units, ...specs].sort((a, b) => b.took - a.took).slice(0, count);
}

const browser = join(reports, "browser.json");
await runner(
  ["playwright", "test"],
  browser,
  (report) => ({ passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected }),
  { env: { HEVRET_REPORT: browser } },
);

for (const { title, tests } of specsIn(reportAt(browser)?.suites ?? []))
  if (tests.some(({ status }) => status === "flaky")) console.log(`\nPassed only when tried again: ${title}`);
console.log("\nThe slowest:");
for (const { title, took } of slowest(10)) console.log(`  ${(took / 1000).toFixed(1)} s  ${title}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
