/** The headless command: the core over folders, zips or pages on disk. See docs/headless.md. */
import { mkdirSync, writeFileSync } from "node:fs";
import { basename, join, resolve } from "node:path";
import {
  allRight,
  analysisSteps,
  changeSite,
  defaultConditions,
  fileBytes,
  finished,
  pagesOf,
  reports,
  textFile,
  unifiedDiff,
  type Analysis,
  type Conditions,
  type Site,
} from "@/core";
import { OpenError } from "@/store/limits";
import { readConfig } from "./config";
import { readInput } from "./input";
import { installedFamilies } from "./installed";
import { fails, judge, readBefore, type Before, type Judged } from "./judge";
import { optionsFrom, readCall, UsageError, type Options } from "./options";
import { withProgress } from "./steps";
import { asText, summaryOf } from "./text";
import { whenChanged } from "./watch";

/**
 * Runs the command and gives its exit code: 0, 1 with findings that count, 2 for input that cannot be read.
 * @param stop ends a call that watches; Ctrl+C where it is null
 */
export async function run(words: readonly string[], stop: AbortSignal | null = null): Promise<number> {
  try {
    const called = readCall(words);
    const options = optionsFrom(readConfig(called.config), called.options);
    if (!options.watch) return await once(options);
    let code = 0;
    await whenChanged(
      options.paths,
      async () => {
        code = await once(options).catch(told);
        process.stderr.write("Waiting for changes; Ctrl+C ends it.\n");
      },
      stop ?? interrupted(),
    );
    return code;
  } catch (error) {
    return told(error);
  }
}

function interrupted(): AbortSignal {
  const stopping = new AbortController();
  process.once("SIGINT", () => stopping.abort());
  return stopping.signal;
}

/** Says in one line why something cannot be done. */
function told(error: unknown): number {
  const known = error instanceof UsageError || error instanceof OpenError;
  const text = known ? (error as Error).message : `It cannot be read: ${(error as Error).message}`;
  process.stderr.write(`${text.replace(/\s+/g, " ")}\n`);
  return 2;
}

/** A site that is looked at. */
interface Looked extends Asked {
  analysis: Analysis;
  judged: Judged;
}

async function once(options: Options): Promise<number> {
  const before = options.before === null ? null : readBefore(options.before);
  const looked: Looked[] = [];
  for (const path of options.paths) looked.push(look(await askedFor(path, options), options, before));
  if (options.fix !== null) return setAllRight(looked, options, before);
  if (options.reports.length > 0) for (const one of looked) writeReports(one, options);
  await print(options.format === "text" ? textOf(looked) : `${JSON.stringify(jsonOf(looked, options))}\n`);
  return exitCode(looked, options);
}

const exitCode = (looked: readonly { judged: Judged }[], { failOn }: Options) =>
  looked.some(({ judged }) => fails(judged, failOn)) ? 1 : 0;

interface Asked {
  path: string;
  site: Site;
  pages: string[];
  root: string | null;
  conditions: Conditions;
}

async function askedFor(path: string, { page, conditions }: Options): Promise<Asked> {
  const { site, pages, root } = await readInput(path);
  const all = pages ?? pagesOf(site).map((file) => file.path);
  if (page !== null && !all.includes(page)) throw new UsageError(`There is no page ${page} in ${path}.`);
  return {
    path,
    site,
    root,
    pages: page === null ? all : [page],
    conditions: { ...defaultConditions, installed: await installedFamilies(), ...conditions },
  };
}

function look(asked: Asked, options: Options, before: Before | null): Looked {
  const { path, site, pages, conditions } = asked;
  const steps = analysisSteps(site, conditions, { only: pages, elements: options.elements });
  const analysis = withProgress(steps, path);
  return { ...asked, analysis, judged: judge(path, analysis, options, before) };
}

const textOf = (looked: readonly Looked[]): string =>
  looked
    .map(({ path, analysis, judged }) => `${looked.length > 1 ? `== ${path}\n` : ""}${asText(analysis, judged)}`)
    .join("\n");

function jsonOf(looked: readonly Looked[], options: Options): unknown {
  const [only] = looked;
  if (looked.length === 1) return withoutElements(only!.analysis, options);
  return {
    version: only!.analysis.version,
    sites: looked.map(({ path, analysis }) => ({ path, ...withoutElements(analysis, options) })),
  };
}

function withoutElements(analysis: Analysis, { elements }: Options) {
  if (elements) return analysis;
  return { ...analysis, pages: analysis.pages.map(({ path, sheets }) => ({ path, sheets })) };
}

/** Writes the reports that are asked for, named by the site. */
function writeReports({ path, site, conditions, judged }: Looked, { reports: ids, out }: Options): void {
  mkdirSync(out, { recursive: true });
  const name = basename(resolve(path)).replace(/\.(?:zip|html?|xhtml)$/i, "");
  for (const id of ids) {
    const report = reports.find((one) => one.id === id)!;
    const file = join(out, `${name}-${report.file}`);
    writeFileSync(file, finished(report.make({ name, left: judged.left, site, conditions, layouts: {} })));
    process.stderr.write(`${file} is written.\n`);
  }
}

async function setAllRight(looked: readonly Looked[], options: Options, before: Before | null): Promise<number> {
  const after: { judged: Judged }[] = [];
  for (const one of looked) after.push(await setRight(one, options, before));
  return exitCode(after, options);
}

/** Sets what counts right, prints what differs, and writes it where that is asked for. */
async function setRight(one: Looked, options: Options, before: Before | null): Promise<Looked> {
  const { path, site, root, conditions, judged } = one;
  const { fix, write } = options;
  if (write && root === null) throw new UsageError(`${path} is no folder: nothing can be written into it.`);
  const own = judged.counting.filter(({ check }) => fix === "all" || check === fix);
  const { changes, count } = allRight(site, own, conditions);
  const after = changeSite(site, changes);
  for (const changed of new Set(changes.map((change) => change.path))) {
    const [was, now] = [textFile(site, changed)!, textFile(after, changed)!];
    await print(unifiedDiff([{ path: changed, before: was, after: now }]));
    if (write) writeFileSync(join(root!, changed), fileBytes(now));
  }
  process.stderr.write(`${count} of ${own.length} set right${write ? "" : "; nothing is written without --write"}.\n`);
  const left = look({ ...one, site: after }, options, before);
  process.stderr.write(`${summaryOf(left.judged)}\n`);
  return left;
}

function print(text: string | Uint8Array): Promise<void> {
  return new Promise((resolve, reject) => process.stdout.write(text, (error) => (error ? reject(error) : resolve())));
}
