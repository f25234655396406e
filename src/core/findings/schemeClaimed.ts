import { declaredText } from "../cascade/declared";
import { computedValue } from "../cascade/style";
import { replaceValue } from "../edits/attributes";
import { attributeSource } from "../source/html/attributeSource";
import { isAskedIn } from "./texts";
import { at, type Check, type Found } from "./types";

const schemes = /prefers-color-scheme|light-dark\(/i;

/** Pages that say they have a dark scheme, and whose colours are the same in both. */
export const schemeClaimed: Check = {
  name: "scheme-claimed",
  group: "readers",
  onPage: (page) => {
    const { root, body, elements } = page.document;
    const html = root && page.styles[root.index];
    const holder = body ? page.styles[body.index] : html;
    if (!html || !holder) return [];
    const meta = elements.find(
      ({ tag, attributes }) => tag === "meta" && attributes.get("name")?.toLowerCase() === "color-scheme",
    );
    const claim = declaredText(html, "color-scheme") ?? meta?.attributes.get("content") ?? "";
    if (!/\bdark\b/i.test(claim) || /\bonly\s+light\b/i.test(claim)) return [];
    if (isAskedIn(page.sheets, schemes)) return [];
    // Without colours of its own the page gets the browser's, which follow the scheme.
    if (!isOwn(computedValue(holder, "background-color")) && !isOwn(computedValue(html, "background-color"))) return [];
    const found: Found = {
      level: "warning",
      message: `${page.file.path} says that it has a dark scheme (\`${claim}\`), and its colours are the same in both.`,
      because:
        "Fields, buttons and scroll bars turn dark where a page says so, beside grounds that stay light (CSS Color Adjustment 1, 2.2).",
      ...at(page.file, meta?.source?.startTag.start ?? 0),
      places: [],
      ways: () => {
        const source = meta && attributeSource(page.file.text, meta, "content");
        return source
          ? [
              {
                label: "Write `light`",
                changes: [{ path: page.file.path, ...replaceValue(page.file.text, source, "light") }],
              },
            ]
          : [];
      },
    };
    return [found];
  },
};

const isOwn = (color: string) => color !== "rgba(0, 0, 0, 0)";
