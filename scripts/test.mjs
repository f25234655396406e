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
check(["eslint", "."]);
check(["tsc", "--noEmit"]);

const unit = join(reports, "unit.json");
runner(["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`], unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests,
}));

/** Titles of tests that passed only when they were tried again. */
function flakyIn(suites) {
  return suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...specs.filter(({ tests }) => tests.some(({ status }) => status === "flaky")).map(({ title }) => title),
    ...flakyIn(inner),
  ]);
}

const browser = join(reports, "browser.json");
runner(
  ["playwright", "test"],
  browser,
  (report) => ({ passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected }),
  { HEVRET_REPORT: browser },
);

const flaky = existsSync(browser) ? flakyIn(JSON.parse(readFileSync(browser, "utf8")).suites) : [];
for (const title of flaky) console.log(`\nPassed only when tried again: ${title}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
