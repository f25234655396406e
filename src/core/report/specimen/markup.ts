/** Markup made of parts: whatever is no markup is text, and written as text (HTML, 13.3). */

export class Markup {
  constructor(readonly text: string) {}
}

type Part = Markup | string | number | null | readonly Part[];

const references: Readonly<Record<string, string>> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
  "\u00a0": "&nbsp;",
};

const written = (part: Part): string => {
  if (part === null) return "";
  if (part instanceof Markup) return part.text;
  if (typeof part === "object") return part.map(written).join("");
  return String(part).replace(/[&<>"\u00a0]/g, (one) => references[one]!);
};

/** Parts are content, or stand between double quotes as the value of an attribute; null is nothing. */
export function html(texts: TemplateStringsArray, ...parts: readonly Part[]): Markup {
  return new Markup(texts.map((text, at) => text + (at < parts.length ? written(parts[at]!) : "")).join(""));
}
