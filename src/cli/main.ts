/** The headless command: the core over a folder, zip or page on disk. See docs/headless.md. */
import { analyse, type Analysis } from "@/core";
import { OpenError } from "@/store/limits";
import { readInput } from "./input";
import { installedFamilies } from "./installed";
import { readOptions, UsageError, type Options } from "./options";
import { asText } from "./text";

/** Runs the command and gives its exit code: 0, 1 with findings at "error", 2 for input that cannot be read. */
export async function run(words: readonly string[]): Promise<number> {
  try {
    const options = readOptions(words);
    const analysis = await analysed(options);
    await print(
      options.format === "text" ? asText(analysis) : `${JSON.stringify(withoutElements(analysis, options))}\n`,
    );
    return analysis.findings.some(({ level }) => level === "error") ? 1 : 0;
  } catch (error) {
    const known = error instanceof UsageError || error instanceof OpenError;
    const text = known ? (error as Error).message : `It cannot be read: ${(error as Error).message}`;
    process.stderr.write(`${text.replace(/\s+/g, " ")}\n`);
    return 2;
  }
}

async function analysed({ path, page, conditions }: Options): Promise<Analysis> {
  const { site, pages } = await readInput(path);
  const all = pages ?? [...site.files.values()].filter(({ kind }) => kind === "html").map((file) => file.path);
  if (page !== null && !all.includes(page)) throw new UsageError(`There is no page ${page} in ${path}.`);
  return analyse(site, { installed: await installedFamilies(), ...conditions }, page === null ? all : [page]);
}

function withoutElements(analysis: Analysis, { elements }: Options): unknown {
  if (elements) return analysis;
  return { ...analysis, pages: analysis.pages.map(({ path, sheets }) => ({ path, sheets })) };
}

function print(text: string): Promise<void> {
  return new Promise((resolve, reject) => process.stdout.write(text, (error) => (error ? reject(error) : resolve())));
}
