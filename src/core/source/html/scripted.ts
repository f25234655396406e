/**
 * What a page's boxes are where scripts run, said in sheets, since where it is shown none do. Drawings by script
 * (`canvas`) are replaced by their bitmap (HTML, 15.4.1), otherwise their fallback is laid out; what stands in for
 * scripts (`noscript`) is not shown (HTML, 15.3.1).
 */
import { string } from "css-tree/utils";
import type { SafeDocument, SafeElement } from "./safe";

const known = new WeakMap<SafeDocument, string>();

/** Rules weaker than all that pages say, wherever they stand before other layers or after them. */
export function scriptedText(document: SafeDocument): string {
  let text = known.get(document);
  if (text === undefined) known.set(document, (text = rulesFor(document)));
  return text;
}

function rulesFor({ root }: SafeDocument): string {
  const rules = new Set(["noscript{display:none!important}"]);
  const pending = root ? [root] : [];
  for (let element = pending.pop(); element; element = pending.pop()) {
    if (element.tag === "canvas" && element.namespace === "html") rules.add(bitmapRule(element));
    for (const child of element.content) if (typeof child !== "string") pending.push(child);
  }
  return `@layer{${[...rules].join("")}}`;
}

function bitmapRule({ attributes }: SafeElement): string {
  const valueOf = (name: string) => attributes.find(([one]) => one === name)?.[1];
  const sizes = ["width", "height"].map((name) => [name, valueOf(name)] as const);
  const asked = sizes.map(([name, value]) => (value === undefined ? "" : `[${name}=${string.encode(value)}]`)).join("");
  const [width, height] = sizes.map(([name, value]) => natural(value) ?? (name === "width" ? 300 : 150));
  const picture = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"/>`;
  return `canvas${asked}{content:url("data:image/svg+xml,${encodeURIComponent(picture)}")}`;
}

/** A number that is not negative (HTML, 2.3.4.2), as large as a bitmap may be. */
function natural(text: string | undefined): number | null {
  const digits = /^[\t\n\f\r ]*\+?(\d+)/.exec(text ?? "");
  return digits ? Math.min(Number(digits[1]), 32_767) : null;
}
