// Lint, types, unit tests and browser tests; the last line is the sum of what the runners report.
import { spawnSync } from "node:child_process";
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

function run(args, env = {}) {
  console.log(`\n> ${args.join(" ")}`);
  return spawnSync("npx", args, { cwd: root, stdio: "inherit", env: { ...process.env, ...env } }).status === 0;
}

/** A tool without tests of its own counts as one. */
function check(args) {
  if (run(args)) passed += 1;
  else failed += 1;
}

/** A runner's own report is counted; a runner that fails without a failed test counts as one failure. */
function runner(args, report, count, env) {
  const ok = run(args, env);
  const counted = existsSync(report) ? count(JSON.parse(readFileSync(report, "utf8"))) : { passed: 0, failed: 0 };
  passed += counted.passed;
  failed += counted.failed === 0 && !ok ? 1 : counted.failed;
}

check(["prettier", "--check", "--log-level=warn", "."]);
check(["eslint", "--max-warnings=0", "."]);
check(["tsc", "--noEmit"]);

const unit = join(reports, "unit.json");
runner(["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`], unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests,
}));

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
runner(
  ["playwright", "test"],
  browser,
  (report) => ({ passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected }),
  { HEVRET_REPORT: browser },
);

for (const { title, tests } of specsIn(reportAt(browser)?.suites ?? []))
  if (tests.some(({ status }) => status === "flaky")) console.log(`\nPassed only when tried again: ${title}`);
console.log("\nThe slowest:");
for (const { title, took } of slowest(10)) console.log(`  ${(took / 1000).toFixed(1)} s  ${title}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
