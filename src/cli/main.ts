/** The headless command: the core over a folder, zip or page on disk. See docs/headless.md. */
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import {
  allRight,
  analyse,
  changeSite,
  fileBytes,
  textFile,
  unifiedDiff,
  type Analysis,
  type Conditions,
  type Site,
} from "@/core";
import { OpenError } from "@/store/limits";
import { readInput } from "./input";
import { installedFamilies } from "./installed";
import { readOptions, UsageError, type Options } from "./options";
import { asText } from "./text";

/** Runs the command and gives its exit code: 0, 1 with findings at "error", 2 for input that cannot be read. */
export async function run(words: readonly string[]): Promise<number> {
  try {
    const options = readOptions(words);
    const asked = await askedFor(options);
    const analysis = analyse(asked.site, asked.conditions, asked.pages);
    if (options.fix !== null) return await setRight(analysis, asked, options);
    await print(
      options.format === "text" ? asText(analysis) : `${JSON.stringify(withoutElements(analysis, options))}\n`,
    );
    return exitCode(analysis);
  } catch (error) {
    const known = error instanceof UsageError || error instanceof OpenError;
    const text = known ? (error as Error).message : `It cannot be read: ${(error as Error).message}`;
    process.stderr.write(`${text.replace(/\s+/g, " ")}\n`);
    return 2;
  }
}

const exitCode = ({ findings }: Analysis) => (findings.some(({ level }) => level === "error") ? 1 : 0);

interface Asked {
  site: Site;
  pages: string[];
  root: string | null;
  conditions: Partial<Conditions>;
}

async function askedFor({ path, page, conditions }: Options): Promise<Asked> {
  const { site, pages, root } = await readInput(path);
  const all = pages ?? [...site.files.values()].filter(({ kind }) => kind === "html").map((file) => file.path);
  if (page !== null && !all.includes(page)) throw new UsageError(`There is no page ${page} in ${path}.`);
  return {
    site,
    root,
    pages: page === null ? all : [page],
    conditions: { installed: await installedFamilies(), ...conditions },
  };
}

/** Sets the findings of one check right, prints what differs, and writes it where that is asked for. */
async function setRight(
  { findings }: Analysis,
  { site, pages, root, conditions }: Asked,
  { fix, write, path }: Options,
): Promise<number> {
  if (write && root === null) throw new UsageError(`${path} is no folder: nothing can be written into it.`);
  const own = findings.filter(({ check }) => check === fix);
  const { changes, count } = allRight(site, own, conditions);
  const after = changeSite(site, changes);
  for (const changed of new Set(changes.map((change) => change.path))) {
    const [was, now] = [textFile(site, changed)!, textFile(after, changed)!];
    await print(unifiedDiff([{ path: changed, before: was, after: now }]));
    if (write) writeFileSync(join(root!, changed), fileBytes(now));
  }
  process.stderr.write(`${count} of ${own.length} set right${write ? "" : "; nothing is written without --write"}.\n`);
  return exitCode(analyse(after, conditions, pages));
}

function withoutElements(analysis: Analysis, { elements }: Options): unknown {
  if (elements) return analysis;
  return { ...analysis, pages: analysis.pages.map(({ path, sheets }) => ({ path, sheets })) };
}

function print(text: string | Uint8Array): Promise<void> {
  return new Promise((resolve, reject) => process.stdout.write(text, (error) => (error ? reject(error) : resolve())));
}
