import { existsSync, readdirSync, readFileSync, statSync } from "node:fs";
import { basename, dirname, join, relative, sep } from "node:path";
import { openSite, pagesOf, styledPage, defaultConditions, type Site, type SiteFile } from "@/core";
import { limits, OpenError, siteTooLarge, textTooLarge, tooManyFiles } from "@/store/limits";
import { readZip } from "@/store/read";
import { UsageError } from "./options";

export interface Input {
  site: Site;
  /** The pages to look at; null for all. */
  pages: string[] | null;
  /** The folder that its paths start from; null where it is no folder. */
  root: string | null;
}

/** A folder, a zip or a page as a site. @throws UsageError, OpenError in plain words */
export async function readInput(path: string): Promise<Input> {
  if (!existsSync(path)) throw new UsageError(`There is nothing at ${path}.`);
  if (statSync(path).isDirectory()) return { site: openSite(readFolder(path)), pages: null, root: path };
  if (/\.zip$/i.test(path)) {
    const { files } = await readZip(basename(path), new Uint8Array(readFileSync(path)));
    return {
      site: openSite(files.map((file) => (file.kind === "other" ? file : { path: file.path, text: file.text }))),
      pages: null,
      root: null,
    };
  }
  if (/\.(?:html?|xhtml)$/i.test(path)) return readPage(path);
  throw new UsageError(`${path} is neither a folder nor a .zip nor an .html file.`);
}

const clutter = new Set(["node_modules", ".git", ".svn"]);

function readFolder(folder: string): SiteFile[] {
  const files: SiteFile[] = [];
  let bytes = 0;
  const walk = (directory: string) => {
    for (const entry of readdirSync(directory, { withFileTypes: true })) {
      const path = join(directory, entry.name);
      if (entry.isDirectory() && !clutter.has(entry.name)) walk(path);
      if (!entry.isFile()) continue;
      const { size } = statSync(path);
      bytes += size;
      if (files.length >= limits.files) throw new OpenError(tooManyFiles);
      if (bytes > limits.siteBytes) throw new OpenError(siteTooLarge);
      const name = relative(folder, path).split(sep).join("/");
      if (/\.(?:html?|xhtml|css)$/i.test(name) && size > limits.textBytes) {
        process.stderr.write(`${name} is left out: ${textTooLarge}\n`);
        continue;
      }
      files.push({ path: name, bytes: new Uint8Array(readFileSync(path)) });
    }
  };
  walk(folder);
  if (!files.some(({ path }) => /\.(?:html?|xhtml|css)$/i.test(path)))
    throw new OpenError(`There is no page and no style sheet in ${folder}.`);
  return files;
}

/** A page with the sheets it asks for, wherever below or above it they stand. */
function readPage(path: string): Input {
  const bytes = new Uint8Array(readFileSync(path));
  const climbs = [
    ...new TextDecoder("latin1").decode(bytes).matchAll(/(?:href|url|import)[^>;]{0,20}?["'(]((?:\.\.\/)+)/gi),
  ].map(([, steps]) => steps!.length / 3);
  let root = dirname(path);
  for (let steps = Math.max(0, ...climbs); steps > 0; steps -= 1) root = dirname(join(root, "."));
  const name = relative(root, path).split(sep).join("/");
  const files: SiteFile[] = [{ path: name, bytes }];
  for (;;) {
    const site = openSite(files);
    const page = pagesOf(site)[0];
    if (!page) throw new OpenError(`${path} cannot be read: ${site.refused[0]?.reason ?? "it is not a page."}`);
    const wanted = styledPage(site, page, defaultConditions)
      .sheets.missing.map(({ target }) => target)
      .filter(
        (target): target is string =>
          target !== null &&
          !files.some((file) => file.path === target) &&
          existsSync(join(root, target)) &&
          statSync(join(root, target)).isFile(),
      );
    if (wanted.length === 0 || files.length + wanted.length > limits.files) return { site, pages: [name], root };
    files.push(
      ...[...new Set(wanted)].map((target) => ({
        path: target,
        bytes: new Uint8Array(readFileSync(join(root, target))),
      })),
    );
  }
}
