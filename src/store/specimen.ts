/** A blank page with one of everything, to try a sheet on. All of its text is ours. */
import { readFile, type StoredFile } from "@/core/files";
import type { Opened } from "./read";

const words = (
  "the boat leaves when the tide is right and the crew has had its tea nobody on the pier looks at the clock they look at the water " +
  "which is grey in the morning green at noon and no colour at all when it rains a rope is thrown a gate is shut and the island begins to " +
  "move away or so it seems to those on deck who wave at the sheep and at the two benches outside the hall where the post is sorted and the " +
  "news is made longer by each who tells it"
).split(" ");

/** Filler of so many words, in sentences of five to fourteen. */
export function fillerText(count: number): string {
  const parts: string[] = [];
  let length = 0;
  let sentence = 9;
  for (let at = 0; at < count; at += 1) {
    const word = words[at % words.length]!;
    const first = length === 0;
    length += 1;
    const last = length >= sentence || at === count - 1;
    parts.push((first ? word[0]!.toUpperCase() + word.slice(1) : word) + (last ? "." : ""));
    if (last) {
      length = 0;
      sentence = 5 + ((sentence * 7) % 10);
    }
  }
  return parts.join(" ");
}

/** What a specimen page can have, in its order. */
export const specimenParts = ["headings", "text", "links", "lists", "quotation", "table", "form"] as const;

export type SpecimenPart = (typeof specimenParts)[number];

export interface Specimen {
  /** Words of filler in all. */
  words: number;
  parts: readonly SpecimenPart[];
  /** Levels of headings, from 1 to 6. */
  levels: readonly number[];
  /** Whether it has a sheet of its own, linked. */
  sheet: boolean;
}

type Text = (share: number) => string;

const htmlOf: Readonly<Record<SpecimenPart, (text: Text, levels: readonly number[]) => string>> = {
  headings: (text, levels) =>
    [...levels]
      .sort()
      .map((level) => `<h${level}>Heading of level ${level}</h${level}>\n<p>${text(0.1)}</p>`)
      .join("\n"),
  text: (text) =>
    `<p>${text(0.25)} Then <strong>strong words</strong>, <em>stressed words</em>, <code>code</code> and <small>small print</small>.</p>`,
  links: (text) =>
    `<p>${text(0.05)} A <a href="#top">link in running text</a>.</p>\n<nav aria-label="Main"><ul><li><a href="#top">Sailings</a></li><li><a href="#fares">Fares</a></li></ul></nav>`,
  lists: () => `<ul>
<li>${fillerText(6)}</li>
<li>${fillerText(9)}</li>
</ul>
<ol>
<li>${fillerText(5)}</li>
<li>${fillerText(8)}</li>
</ol>`,
  quotation: (text) => `<blockquote><p>${text(0.1)}</p></blockquote>`,
  table: () => `<table>
<caption>Sailings</caption>
<thead><tr><th>Departs</th><th>Arrives</th><th>Boat</th></tr></thead>
<tbody><tr><td>08:30</td><td>09:10</td><td>Tern</td></tr><tr><td>11:00</td><td>11:40</td><td>Turnstone</td></tr></tbody>
</table>`,
  form: () => `<form>
<label for="name">Name</label> <input id="name" value="Words in a field">
<label for="boat">Boat</label> <select id="boat"><option>Tern</option><option>Turnstone</option></select>
<button>Send</button>
</form>`,
};

/** A page with the parts that are asked for, and a sheet where it is to have one. */
export function specimenSite({ words: wordCount, parts, levels, sheet }: Specimen): Opened {
  const text: Text = (share) => fillerText(Math.max(4, Math.round(wordCount * share)));
  const inside = specimenParts.filter((part) => parts.includes(part)).map((part) => htmlOf[part](text, levels));
  const html = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Specimen page</title>
${sheet ? '<link rel="stylesheet" href="style.css">\n' : ""}</head>
<body id="top">
<main>
${inside.join("\n")}
</main>
</body>
</html>
`;
  const files = [
    { path: "specimen.html", text: html },
    ...(sheet ? [{ path: "style.css", text: "body {\n  font-family: Georgia, serif;\n  line-height: 1.4;\n}\n" }] : []),
  ];
  return { name: "Specimen page", files: files.map((file) => readFile(file) as StoredFile), refused: [], folder: null };
}
