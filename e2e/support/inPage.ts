/** Code of ours that is run inside a page: a file of this folder with all that it imports. */
import type { Page } from "@playwright/test";
import { join } from "node:path";
import { build } from "rolldown";

const root = new URL("../..", import.meta.url).pathname;

/** @param name of the file, without its ending */
export async function addToPage(page: Page, name: string): Promise<void> {
  const { output } = await build({
    input: join(root, `e2e/support/${name}.ts`),
    resolve: { alias: { "@": join(root, "src") } },
    output: { file: join(root, `node_modules/.cache/hevret/${name}.js`), format: "iife" },
    logLevel: "silent",
  });
  await page.addScriptTag({ content: output[0].code });
}
