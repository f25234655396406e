import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { run } from "./main";
import { inFolder } from "./testing/call";

const root = fileURLToPath(new URL("../..", import.meta.url));

const call = inFolder();

const page = "<!doctype html><title>x</title><link rel=stylesheet href=a.css><h1>Fares</h1><p>Return</p>";
const two = {
  "one/index.html": page,
  "one/a.css": "h1 { color: #eee }",
  "two/index.html": page,
  "two/a.css": "h1 { color: #333 }",
};
const at = (name: string) => join(call.folder, name);

describe("several paths", () => {
  test("are looked at one after the other, and the worst counts", async () => {
    call.put(two);
    expect(await run([at("two"), at("one")])).toBe(1);
    const { version, sites } = JSON.parse(call.out) as {
      version: number;
      sites: { path: string; findings: unknown[] }[];
    };
    expect([version, sites.map(({ path }) => path)]).toEqual([2, [at("two"), at("one")]]);
    call.out = "";
    expect(await run([at("two"), at("one"), "--format", "text"])).toBe(1);
    expect(call.out).toContain(`== ${at("one")}\n`);
    expect(call.out).toMatch(/1 error, 0 warnings, \d+ notes?\.\n$/);
  });

  test("have no page in common", async () => {
    call.put(two);
    expect(await run([at("one"), at("two"), "--page", "index.html"])).toBe(2);
    expect(call.err).toContain("--page goes with one path, not 2.");
  });
});

describe("what makes a call fail", () => {
  test("a level, and nothing at all", async () => {
    call.put({ ...two, "two/a.css": "h1 { color: #333; colour: red }" });
    expect(await run([at("one"), "--fail-on", "never"])).toBe(0);
    expect(await run([at("two")])).toBe(0);
    expect(await run([at("two"), "--fail-on", "warning"])).toBe(1);
    call.put({ "two/a.css": "h1 { color: #333 } i { color: #123 }" });
    expect(await run([at("two"), "--fail-on", "warning"])).toBe(0);
    expect(await run([at("two"), "--fail-on", "note"])).toBe(1);
  });

  test("only what was not there before", async () => {
    call.put(two);
    await run([at("one"), "--fail-on", "never"]);
    writeFileSync(at("kept.json"), call.out);
    expect(await run([at("one"), "--before", at("kept.json"), "--fail-on", "note"])).toBe(0);
    // Lines move, and what it says stays.
    call.put({ "one/a.css": "\n\n\nh1 { color: #eee }" });
    expect(await run([at("one"), "--before", at("kept.json"), "--fail-on", "note"])).toBe(0);
    call.put({ "one/a.css": "h1 { color: #eee } p { color: #ddd }" });
    call.out = "";
    expect(await run([at("one"), "--before", at("kept.json"), "--format", "text"])).toBe(1);
    expect(call.out).toMatch(/1 error, 0 warnings, 0 notes more than before; \d+ as before\.\n$/);
    expect(await run([at("one"), "--before", at("nowhere.json")])).toBe(2);
    writeFileSync(at("kept.json"), '{"findings": 3}');
    expect(await run([at("one"), "--before", at("kept.json")])).toBe(2);
    expect(call.err).toContain("is no report of this command: findings must be");
  });
});

describe("a configuration", () => {
  const config = (json: unknown) => call.put({ "ferry/hevret.config.json": JSON.stringify(json), ...prefixed });
  const prefixed = Object.fromEntries(Object.entries(two).map(([path, text]) => [`ferry/${path}`, text]));

  test("says what a call would; the call goes before it, and its paths start where it stands", async () => {
    config({ paths: ["one"], width: 400, format: "text", failOn: "never" });
    const named = ["--config", at("ferry/hevret.config.json")];
    expect(await run(named)).toBe(0);
    expect(call.out).toContain("At 400 by 800 px");
    call.out = "";
    expect(await run([...named, at("ferry/two"), "--width", "500", "--format=json"])).toBe(0);
    expect(JSON.parse(call.out)).toMatchObject({ conditions: { width: 500 } });
  });

  test("leaves findings, with a reason that goes into reports", async () => {
    config({
      paths: ["one"],
      leave: [{ check: "contrast", path: "a.css", reason: "The brand asks for it." }],
      reports: ["findings-sarif"],
      out: "kept",
    });
    expect(await run(["--config", at("ferry/hevret.config.json")])).toBe(0);
    expect(readFileSync(at("ferry/kept/one-findings.sarif"), "utf8")).toContain("The brand asks for it.");
  });

  test.each([
    ["{", /is no configuration: .*JSON/],
    ['{"wide": 3}', /unspecified keys: wide/],
    ['{"width": "wide"}', /width must be a `number`/],
    ['{"leave": [{"check": "contrast"}]}', /reason is a required field/],
    ['{"reports": ["all"]}', /must be one of the following values: /],
  ])("that is none is refused in one line: %s", async (text, why) => {
    call.put({ "c.json": text });
    expect(await run(["--config", at("c.json")])).toBe(2);
    expect(call.err).toMatch(why);
    expect(call.err.trim().split("\n")).toHaveLength(1);
  });
});

test("reports are written by name, for every site", async () => {
  call.put(two);
  const asked = ["--report", "findings-table", "--report", "design-tokens", "--out", at("made/here")];
  expect(await run([at("one"), at("two"), ...asked, "--fail-on", "never"])).toBe(0);
  expect(readdirSync(at("made/here")).sort()).toEqual([
    "one-findings.csv",
    "one-site.tokens.json",
    "two-findings.csv",
    "two-site.tokens.json",
  ]);
  expect(await run([at("one"), "--report", "everything"])).toBe(2);
  expect(call.err).toContain("--report takes specimen-sheet or");
});

test("all that can be set right is, and what is left counts", async () => {
  call.put({ ...two, "one/a.css": "h1 { color: #eee; colour: red }" });
  expect(await run([at("one"), "--fix", "all", "--write"])).toBe(0);
  expect(readFileSync(at("one/a.css"), "utf8")).not.toContain("#eee");
  expect(call.err).toMatch(/set right\.\n0 errors, /);
});

test("a folder is looked at again after every change, until it is stopped", async () => {
  call.put(two);
  const stopping = new AbortController();
  const running = run([at("one"), "--watch", "--format", "text"], stopping.signal);
  await vi.waitFor(() => expect(call.err).toContain("Waiting for changes"));
  expect(call.out).toContain("1 error");
  call.err = call.out = "";
  call.put({ "one/a.css": "h1 { color: #333 }" });
  await vi.waitFor(() => expect(call.err).toContain("Waiting for changes"), { timeout: 10_000 });
  expect(call.out).toContain("Nothing was found wrong.");
  stopping.abort();
  expect(await running).toBe(0);
  expect(await run([at("one"), "--watch", "--fix", "all"])).toBe(2);
});

describe("installed as a command", () => {
  beforeEach(() => {
    call.put(two);
    mkdirSync(at("bin"));
    symlinkSync(join(root, "scripts/analyse.mjs"), at("bin/hevret"));
  });

  test("it runs from another folder", () => {
    const done = spawnSync(at("bin/hevret"), ["one", "--format", "text"], { cwd: call.folder, encoding: "utf8" });
    expect([done.status, done.stderr]).toEqual([1, ""]);
    expect(done.stdout).toContain("index.html: a.css");
  });

  test("the script for a build keeps what is wrong at first, and fails when there is more", () => {
    const env = { ...process.env, HEVRET: at("bin/hevret") };
    const build = () => execFileSync(join(root, "docs/pipeline.sh"), ["one"], { cwd: call.folder, env, stdio: "pipe" });
    build();
    build();
    expect(readdirSync(at("reports")).sort()).toEqual(["one-findings.sarif", "one-specimen.html"]);
    call.put({ "one/a.css": "h1 { color: #eee } p { color: #ddd }" });
    expect(build).toThrow();
  });
});
